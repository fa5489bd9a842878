import { Button, FileButton } from '@mantine/core';
import type { SpotRecord } from '@keen/core';
import { useState } from 'react';
import { useBringBack, useDelete } from '../../api/salt-queries.js';
import { spotPhotoPath, spotPhotoUrl, useAddSpotPhoto } from '../../api/spot-queries.js';
import { DeleteButton } from '../../parts/delete-button.js';
import { sayWithUndo } from '../../parts/notices.js';
import { PhotoRefused, smallPhoto } from '../../parts/photo.js';
import { ZONE_NAMES } from '../../words/car-names.js';
import classes from './spot-photos.module.css';

/** Photographs of spots on a car's record: taken or chosen, seen large, deleted and brought back. */
export function SpotPhotos({ record }: { readonly record: SpotRecord }) {
  const add = useAddSpotPhoto();
  const { mutateAsync: remove } = useDelete('spots');
  const { mutateAsync: bringBack } = useBringBack('spots');
  const [fault, setFault] = useState<string | null>(null);
  const where = ZONE_NAMES[record.zone].toLowerCase();
  const take = async (file: File | null): Promise<void> => {
    if (!file) return;
    setFault(null);
    try {
      const { bytes, mediaType } = await smallPhoto(file);
      await add.mutateAsync({ spot: record, file: new Blob([bytes], { type: mediaType }) });
    } catch (failure) {
      const isKnown = failure instanceof PhotoRefused || failure instanceof Error;
      setFault(isKnown ? failure.message : 'The photograph could not be kept; try again.');
    }
  };
  const forget = (photoId: string): void => {
    const path = spotPhotoPath(record, photoId);
    void sayWithUndo(remove(path), 'The photograph is deleted.', () => bringBack(path));
  };
  return (
    <div className={classes.photos}>
      {(record.photoIds ?? []).map((photoId, i) => (
        <span key={photoId} className={classes.one}>
          <a href={spotPhotoUrl(record, photoId)} target="_blank" rel="noreferrer">
            <img src={spotPhotoUrl(record, photoId)} alt={`Spots on the ${where}, photograph ${i + 1}`} />
          </a>
          <DeleteButton
            what={`photograph ${i + 1} of the spots on the ${where}`}
            onClick={() => forget(photoId)}
          />
        </span>
      ))}
      <FileButton accept="image/*" capture="environment" onChange={(file) => void take(file)}>
        {(props) => (
          <Button
            {...props}
            size="compact-md"
            variant="default"
            loading={add.isPending}
            aria-label={`Photograph the spots on the ${where}`}
          >
            Photograph
          </Button>
        )}
      </FileButton>
      {fault && (
        <p role="alert" className={classes.fault}>
          {fault}
        </p>
      )}
    </div>
  );
}
