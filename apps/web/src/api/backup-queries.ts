import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { BackupsView } from '@keen/core';
import { ask } from './client.js';

const KEY = ['backups'];

export const useBackups = () => useQuery({ queryKey: KEY, queryFn: () => ask<BackupsView>('backups') });

/** Makes a copy now. */
export function useMakeBackup() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: () => ask<BackupsView>('backups', { method: 'POST' }),
    onSuccess: (view) => client.setQueryData(KEY, view),
    onError: () => client.invalidateQueries({ queryKey: KEY }),
  });
}
