import { Button, Group, Select } from '@mantine/core';
import { CAR_ZONE_IDS, type SpotRecord } from '@keen/core';
import { useVehicles } from '../../api/queries.js';
import { useBringBack, useDelete } from '../../api/salt-queries.js';
import { useAddSpot, useChangeSpot, useSpots } from '../../api/spot-queries.js';
import { useFormat } from '../../format/use-format.js';
import { DeleteButton } from '../../parts/delete-button.js';
import { noticeOfFailure, sayWithUndo } from '../../parts/notices.js';
import { Failed } from '../../parts/states.js';
import { ZONE_NAMES } from '../../words/car-names.js';
import { spotText } from '../../words/clinic-words.js';
import classes from './clinic.module.css';
import { fromRecord, onZone, type SpotCase } from './spot-case.js';
import { SpotPhotos } from './spot-photos.js';

interface OnCarProps {
  readonly spot: SpotCase;
  readonly onChange: (change: Partial<SpotCase>) => void;
}

/** On which car the spots sit, and what its record says of spots already. */
export function OnCar({ spot, onChange }: OnCarProps) {
  const format = useFormat();
  const { data: vehicles = [] } = useVehicles();
  const { data: records = [], error } = useSpots(spot.vehicleId ?? '');
  const { mutateAsync: remove } = useDelete('spots');
  const { mutateAsync: bringBack } = useBringBack('spots');
  const forget = ({ vehicleId, id }: SpotRecord): void => {
    const path = `vehicles/${vehicleId}/spots/${id}`;
    void sayWithUndo(remove(path), 'The spots are deleted.', () => bringBack(path));
  };
  return (
    <>
      <Select
        label="On which car"
        placeholder="None of mine"
        data={vehicles.map(({ id, name }) => ({ value: id, label: name }))}
        value={spot.vehicleId}
        onChange={(vehicleId) => onChange({ vehicleId, recordId: null, done: [] })}
        clearable
        size="md"
      />
      {spot.vehicleId !== null && (
        <Select
          label="Where on it"
          placeholder="Choose a zone"
          data={CAR_ZONE_IDS.map((zone) => ({ value: zone, label: ZONE_NAMES[zone] }))}
          value={spot.zone}
          onChange={(zone) => onChange(onZone(zone))}
          size="md"
        />
      )}
      {error && <Failed error={error} />}
      {records.length > 0 && (
        <div>
          <h3>On its record</h3>
          <ul className={classes.records}>
            {records.toReversed().map((record) => (
              <li key={record.id} data-chosen={record.id === spot.recordId || undefined}>
                <span>
                  {format.dayShort(record.atMs)}: {spotText(record)}
                </span>
                <Group gap={6} wrap="nowrap">
                  <Button size="compact-md" variant="default" onClick={() => onChange(fromRecord(record))}>
                    Go on
                  </Button>
                  <DeleteButton
                    what={`the spots on the ${ZONE_NAMES[record.zone].toLowerCase()}`}
                    onClick={() => forget(record)}
                  />
                </Group>
                <SpotPhotos record={record} />
              </li>
            ))}
          </ul>
        </div>
      )}
    </>
  );
}

/** Keeps the spots, or what else was tried, on the record of the car that they sit on. */
export function KeepButton({ spot, onKept }: Pick<OnCarProps, 'spot'> & { readonly onKept: () => void }) {
  const add = useAddSpot();
  const change = useChangeSpot();
  const { mutateAsync: remove } = useDelete('spots');
  const { vehicleId, zone, recordId, age, material, cause, done } = spot;
  if (vehicleId === null || zone === null) return null;
  const keep = (): void => {
    if (recordId !== null) {
      void change.mutateAsync({ vehicleId, id: recordId, done }).then(onKept, noticeOfFailure);
      return;
    }
    void sayWithUndo(
      add.mutateAsync({ vehicleId, zone, age, material, cause, done, note: '' }),
      'Kept on the car’s record.',
      ({ id }) => remove(`vehicles/${vehicleId}/spots/${id}`),
    ).then((isKept) => isKept && onKept());
  };
  return (
    <Button color="lamp.3" size="md" loading={add.isPending || change.isPending} onClick={keep}>
      {recordId === null ? 'Keep it on the car’s record' : 'Keep what was tried'}
    </Button>
  );
}
