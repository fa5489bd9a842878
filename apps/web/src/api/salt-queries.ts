import { useQuery } from '@tanstack/react-query';
import { ask } from './client.js';
import { type RecordKind } from './stale.js';
import {
  type Bulletins,
  type Drive,
  type DriveRecord,
  type ImportMode,
  type ImportReport,
  type SwabRecord,
  type Treatment,
  type TreatmentRecord,
} from '@keen/core';
import { useChange } from './change.js';

export const useBulletins = () =>
  useQuery({ queryKey: ['bulletins'], queryFn: () => ask<Bulletins>('roads/bulletins') });

export const useDrives = (vehicleId: string) =>
  useQuery({
    queryKey: ['drives', vehicleId],
    queryFn: () => ask<DriveRecord[]>(`vehicles/${vehicleId}/drives`),
    enabled: vehicleId !== '',
  });

export const useSwabs = (vehicleId: string) =>
  useQuery({
    queryKey: ['swabs', vehicleId],
    queryFn: () => ask<SwabRecord[]>(`vehicles/${vehicleId}/swabs`),
    enabled: vehicleId !== '',
  });

export const useAddBulletin = () =>
  useChange(
    (treatment: Treatment) =>
      ask<TreatmentRecord & { readonly isLate: boolean }>('roads/bulletins', {
        method: 'POST',
        body: treatment,
      }),
    'bulletins',
  );

export const useImportBulletins = () =>
  useChange(
    (body: { text: string; mode: ImportMode }) =>
      ask<ImportReport<Treatment>>('roads/bulletins/import', { method: 'POST', body }),
    'bulletins',
  );

export const useAddDrive = (vehicleId: string) =>
  useChange(
    (drive: Drive) => ask<DriveRecord>(`vehicles/${vehicleId}/drives`, { method: 'POST', body: drive }),
    'drives',
  );

export const useImportTrack = (vehicleId: string) =>
  useChange(
    (body: { text: string; mode: ImportMode }) =>
      ask<ImportReport<Drive>>(`vehicles/${vehicleId}/drives/import`, { method: 'POST', body }),
    'drives',
  );

export const useAddSwab = (vehicleId: string) =>
  useChange(
    (swab: Omit<SwabRecord, 'id' | 'vehicleId' | 'gramsPerM2'>) =>
      ask<SwabRecord>(`vehicles/${vehicleId}/swabs`, { method: 'POST', body: swab }),
    'swabs',
  );

/** Takes away, or brings back, what a path names. */
export const useDelete = (kind: RecordKind) =>
  useChange((path: string) => ask<void>(path, { method: 'DELETE' }), kind);

export const useBringBack = (kind: RecordKind) =>
  useChange((path: string) => ask<void>(`${path}/restore`, { method: 'POST' }), kind);
