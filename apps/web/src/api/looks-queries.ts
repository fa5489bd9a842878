import type { QuickLook, SoilLookRecord } from '@keen/core';
import { ask } from './client.js';
import { useChange } from './change.js';

export const useLookAtSoil = (vehicleId: string) =>
  useChange(
    (look: Pick<SoilLookRecord, 'zone' | 'kind' | 'grade'>) =>
      ask<SoilLookRecord>(`vehicles/${vehicleId}/soil`, { method: 'POST', body: look }),
    'looks',
  );

/** How the whole car looks at a glance. */
export const useQuickLook = () =>
  useChange(
    ({ vehicleId, look }: { readonly vehicleId: string; readonly look: QuickLook }) =>
      ask<SoilLookRecord[]>(`vehicles/${vehicleId}/soil/whole`, { method: 'POST', body: { look } }),
    'looks',
  );

/** Deletes, or restores, several looks at once. */
export const useChangeLooks = (vehicleId: string) =>
  useChange(
    ({ ids, isDeleted }: { readonly ids: readonly string[]; readonly isDeleted: boolean }) =>
      ask<void>(`vehicles/${vehicleId}/soil/${isDeleted ? 'delete' : 'restore'}`, {
        method: 'POST',
        body: { ids },
      }),
    'looks',
  );
