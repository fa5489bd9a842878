import { MS_PER_DAY, type VehicleRecord } from '@keen/core';

/** When a car was last washed, as people remember it. */
export const LAST_WASHES = [
  { id: 'unknown', name: 'Not known', daysAgo: null },
  { id: 'today', name: 'Today', daysAgo: 0 },
  { id: 'days', name: 'A few days ago', daysAgo: 3 },
  { id: 'week', name: 'A week ago', daysAgo: 7 },
  { id: 'two-weeks', name: 'Two weeks ago', daysAgo: 14 },
  { id: 'month', name: 'A month ago', daysAgo: 30 },
  { id: 'months', name: 'Two months ago or more', daysAgo: 60 },
] as const;
export type LastWash = (typeof LAST_WASHES)[number]['id'];

/** The wash before the log that this means; null: nobody knows. */
export function washedBefore(last: LastWash, nowMs: number): VehicleRecord['washedBefore'] {
  const daysAgo = LAST_WASHES.find(({ id }) => id === last)?.daysAgo ?? null;
  return daysAgo === null ? null : { atMs: nowMs - daysAgo * MS_PER_DAY, isKnown: true };
}
