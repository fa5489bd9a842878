import { useQuery } from '@tanstack/react-query';
import type { RungDone, SpotRecord } from '@keen/core';
import { ask } from './client.js';
import { useChange } from './change.js';

/** Spots on a car's record, the oldest first. */
export const useSpots = (vehicleId: string) =>
  useQuery({
    queryKey: ['spots', vehicleId],
    queryFn: () => ask<SpotRecord[]>(`vehicles/${encodeURIComponent(vehicleId)}/spots`),
    enabled: vehicleId !== '',
  });

export const useAddSpot = () =>
  useChange(
    ({ vehicleId, ...body }: Omit<SpotRecord, 'id' | 'atMs'>) =>
      ask<SpotRecord>(`vehicles/${encodeURIComponent(vehicleId)}/spots`, { method: 'POST', body }),
    'spots',
  );

/** The path of a photograph, to send it, delete it or bring it back. */
export const spotPhotoPath = (
  { vehicleId, id }: Pick<SpotRecord, 'vehicleId' | 'id'>,
  photoId: string,
): string => `vehicles/${encodeURIComponent(vehicleId)}/spots/${id}/photos/${encodeURIComponent(photoId)}`;

export const spotPhotoUrl = (spot: Pick<SpotRecord, 'vehicleId' | 'id'>, photoId: string): string =>
  `/api/${spotPhotoPath(spot, photoId)}`;

export const useAddSpotPhoto = () =>
  useChange(
    ({ spot, file }: { spot: Pick<SpotRecord, 'vehicleId' | 'id'>; file: Blob }) =>
      ask<void>(spotPhotoPath(spot, crypto.randomUUID()), { method: 'PUT', file }),
    'spots',
  );

export const useChangeSpot = () =>
  useChange(
    ({ vehicleId, id, ...body }: Pick<SpotRecord, 'vehicleId' | 'id'> & { done: readonly RungDone[] }) =>
      ask<SpotRecord>(`vehicles/${encodeURIComponent(vehicleId)}/spots/${id}`, { method: 'PATCH', body }),
    'spots',
  );
