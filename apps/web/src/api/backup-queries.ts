import { useQuery } from '@tanstack/react-query';
import type { BackupsView } from '@keen/core';
import { ask } from './client.js';
import { useChange } from './change.js';

export const useBackups = () =>
  useQuery({ queryKey: ['backups'], queryFn: () => ask<BackupsView>('backups') });

/** Makes a copy now. */
export const useMakeBackup = () =>
  useChange(
    () => ask<BackupsView>('backups', { method: 'POST' }),
    'backups',
    (client, view) => client.setQueryData(['backups'], view),
  );
