import type { CarZone, ZoneSalt, SaltAnswer, TreatmentRecord } from '@keen/core';

/** A zone's load, g/m². */
export const totalLoad = (zones: readonly ZoneSalt[], zone: CarZone): number =>
  zones.find((entry) => entry.zone === zone)?.loadGramsPerM2 ?? 0;

/** The day of the season that is looked at; the present where the index is at its end. */
export function dayAt(
  salt: Pick<SaltAnswer, 'days' | 'now'>,
  index: number,
): { readonly atMs: number | null; readonly activeHours: number; readonly zones: readonly ZoneSalt[] } {
  const day = salt.days[index];
  return day ?? { ...salt.now, atMs: null };
}

/** Newest first, with the most that is worth showing. */
export const newest = (treatments: readonly TreatmentRecord[], count: number): TreatmentRecord[] =>
  [...treatments].sort((a, b) => b.atMs - a.atMs).slice(0, count);

/** Washes of a day, for the mark under the slider. */
export const washDays = (days: readonly { readonly atMs: number }[], washesMs: readonly number[]): number[] =>
  washesMs.map((washMs) => days.findIndex(({ atMs }) => atMs >= washMs)).filter((index) => index >= 0);
