import { useQuery } from '@tanstack/react-query';
import type { BackupsView, BackupTrial } from '@keen/core';
import { ask } from './client.js';
import { useAct, useChange } from './change.js';

export const useBackups = () =>
  useQuery({ queryKey: ['backups'], queryFn: () => ask<BackupsView>('backups') });

/** Makes a copy now. */
export const useMakeBackup = () =>
  useChange(
    () => ask<BackupsView>('backups', { method: 'POST' }),
    'backups',
    (client, view) => client.setQueryData(['backups'], view),
  );

/** Opens the newest copy elsewhere, as a restore would. */
export const useTryBackup = () =>
  useAct(
    (_: void) => ask<BackupTrial>('backups/trial', { method: 'POST' }),
    () => undefined,
  );
