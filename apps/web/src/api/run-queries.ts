import type { RunSheet, WashRecord } from '@keen/core';
import { useQuery } from '@tanstack/react-query';
import { ask } from './client.js';

export interface RunAnswer {
  readonly wash: WashRecord;
  readonly sheet: RunSheet;
  readonly forMs: number;
  readonly source: string;
  readonly issuedMs: number;
}

/** Stale with the plan: whatever moves a wash or the weather moves its sheet. */
export const useRunSheet = (washId: string) =>
  useQuery({
    queryKey: ['plan', 'run', washId],
    queryFn: () => ask<RunAnswer>(`runs/${encodeURIComponent(washId)}`),
    enabled: washId !== '',
  });
