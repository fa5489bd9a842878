import { useQuery } from '@tanstack/react-query';
import { ask } from './client.js';
import { type CellQuery, type WashRecord, type SeasonJobId, type WashFound } from '@keen/core';
import { useChange } from './change.js';

/** A wash as it is logged, with what was found. */
export interface LoggedWash {
  readonly startMs: number;
  readonly minutes: number;
  readonly methodId: string;
  /** Seasonal jobs that were done. */
  readonly extras?: readonly SeasonJobId[];
  readonly costMinor: number | null;
  readonly found: WashFound;
}

export const useWashes = () => useQuery({ queryKey: ['washes'], queryFn: () => ask<WashRecord[]>('washes') });

export const usePlanWash = () =>
  useChange(
    (slot: CellQuery & { workerId?: string }) => ask<WashRecord>('washes', { method: 'POST', body: slot }),
    'washes',
  );

/** A change of a planned wash; a bottle that is null is again as the house has it. */
type WashMove = Partial<Omit<CellQuery, 'products' | 'variant'>> & {
  readonly id: string;
  readonly products?: Readonly<Record<string, string | null>>;
  readonly variant?: CellQuery['variant'] | null;
};

export const useMoveWash = () =>
  useChange(
    ({ id, ...change }: WashMove) => ask<WashRecord>(`washes/${id}`, { method: 'PATCH', body: change }),
    'washes',
  );

export const useFinishWash = () =>
  useChange(
    ({ id, done }: { id: string; done: LoggedWash }) =>
      ask<WashRecord>(`washes/${id}/done`, { method: 'POST', body: done }),
    'washes',
  );

export const useLogWash = () =>
  useChange(
    (log: LoggedWash & { vehicleId: string; placeId: string }) =>
      ask<WashRecord>('washes/done', { method: 'POST', body: log }),
    'washes',
  );

export const useReopenWash = () =>
  useChange((id: string) => ask<WashRecord>(`washes/${id}/reopen`, { method: 'POST' }), 'washes');
