import { endOf, type RunPack, type WashRecord } from '@keen/core';
import type { Format } from '../../format/format.js';

/** Planned washes ahead by day, soonest first. */
export function roundChoices(
  washes: readonly WashRecord[],
  nowMs: number,
  format: Pick<Format, 'day' | 'dayKey'>,
): { readonly day: string; readonly washes: readonly WashRecord[] }[] {
  const ahead = washes
    .filter((wash) => wash.status === 'planned' && endOf(wash) > nowMs)
    .toSorted((a, b) => a.startMs - b.startMs);
  const keys = [...new Set(ahead.map(({ startMs }) => format.dayKey(startMs)))];
  return keys.map((key) => {
    const ofDay = ahead.filter(({ startMs }) => format.dayKey(startMs) === key);
    return { day: format.day(ofDay[0]?.startMs ?? nowMs), washes: ofDay };
  });
}

/** Two washes at a place that takes two cars at once, and nothing else; null: no such pair. */
export function pairAtOnePlace(packs: readonly RunPack[]): readonly [RunPack, RunPack] | null {
  const [first, second, third] = packs;
  if (!first || !second || third || first.place.id !== second.place.id || first.place.carsAtOnce < 2)
    return null;
  return [first, second];
}

/** Are these two planned as one visit? */
export const isOneVisit = (
  [first, second]: readonly [RunPack, RunPack],
  washes: readonly WashRecord[],
): boolean => washes.some(({ id, visit }) => id === first.washId && visit?.withId === second.washId);
