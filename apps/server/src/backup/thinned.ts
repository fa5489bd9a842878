import { MS_PER_DAY } from '@keen/core';

/** So many of the newest days, weeks and months keep one copy each. */
const DAYS = 7;
const WEEKS = 4;
const MONTHS = 12;
const MS_PER_WEEK = 7 * MS_PER_DAY;

const monthOf = (atMs: number): string => new Date(atMs).toISOString().slice(0, 7);

/** The newest copy of each of the newest periods. */
function newestOf<K>(timesMs: readonly number[], periodOf: (atMs: number) => K, most: number): number[] {
  const newest = new Map<K, number>();
  for (const atMs of timesMs.toSorted((a, b) => b - a)) {
    const period = periodOf(atMs);
    if (!newest.has(period) && newest.size < most) newest.set(period, atMs);
  }
  return [...newest.values()];
}

/**
 * Which copies are kept?
 *
 * @param timesMs when each was made
 * @returns one for each of the last seven days, four weeks and twelve months that have any, the newest of each
 */
export function thinned(timesMs: readonly number[]): ReadonlySet<number> {
  return new Set([
    ...newestOf(timesMs, (atMs) => Math.floor(atMs / MS_PER_DAY), DAYS),
    ...newestOf(timesMs, (atMs) => Math.floor(atMs / MS_PER_WEEK), WEEKS),
    ...newestOf(timesMs, monthOf, MONTHS),
  ]);
}
