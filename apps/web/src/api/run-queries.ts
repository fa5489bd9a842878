import type { RunAction, RunAnswer, RunHand, RunNews } from '@keen/core';
import { useQueries, useQuery } from '@tanstack/react-query';
import { ask } from './client.js';

const path = (washId: string): string => `runs/${encodeURIComponent(washId)}`;

/** The run as the server has it now: what was kept of it would set the clock of the run wrong. */
export const askRun = (washId: string): Promise<RunAnswer> => ask<RunAnswer>(path(washId), { isFresh: true });

export const askRunNews = (washId: string, after: number): Promise<RunNews> =>
  ask<RunNews>(`${path(washId)}/actions?after=${after}`);

export const sendRunActions = (
  washId: string,
  body: { readonly actions: readonly RunAction[]; readonly after: number },
): Promise<RunNews> => ask<RunNews>(`${path(washId)}/actions`, { method: 'POST', body });

/** Sends a picture as it is. @throws ApiError when it is refused; TypeError when there is no signal */
export const sendRunPhoto = (washId: string, photoId: string, photo: Blob): Promise<void> =>
  ask<void>(`${path(washId)}/photos/${encodeURIComponent(photoId)}`, { method: 'PUT', file: photo });

export const runPhotoUrl = (washId: string, photoId: string): string =>
  `/api/${path(washId)}/photos/${encodeURIComponent(photoId)}`;

/** Stale with the plan: whatever moves a wash or the weather moves its sheet. */
const runQuery = (washId: string) => ({
  queryKey: ['plan', 'run', washId],
  queryFn: () => ask<RunAnswer>(path(washId)),
  enabled: washId !== '',
});

export const useRun = (washId: string) => useQuery(runQuery(washId));

export const useRuns = (washIds: readonly string[]) => useQueries({ queries: washIds.map(runQuery) });

/** By whom and from which phone the deeds of a run came. */
export const useRunHands = (washId: string, isWanted: boolean) =>
  useQuery({
    queryKey: ['plan', 'run', washId, 'hands'],
    queryFn: () => ask<RunHand[]>(`${path(washId)}/hands`),
    enabled: isWanted,
  });
