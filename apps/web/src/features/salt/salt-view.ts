import type { CarZone, ZoneSalt, SaltAnswer, TreatmentRecord } from '@keen/core';
import type { Layer } from '../../parts/unfolded-car.js';

export type SaltLayerKind = 'load' | 'clock';

/** Load at which a zone is drawn full, g/m² (about a month unwashed; judgement). */
const FULL_LOAD_GRAMS_PER_M2 = 12;

/** A zone's load, g/m². */
export const totalLoad = (zones: readonly ZoneSalt[], zone: CarZone): number =>
  zones.find((entry) => entry.zone === zone)?.loadGramsPerM2 ?? 0;

/** What the unfolded car shows: load against a full scale, or the clock against the fastest zone. */
export function saltLayer(zones: readonly ZoneSalt[], kind: SaltLayerKind, fastestHours?: number): Layer {
  const most = fastestHours ?? Math.max(1, ...zones.map(({ activeHours }) => activeHours));
  return Object.fromEntries(
    zones.map(({ zone, loadGramsPerM2, activeHours }) => [
      zone,
      kind === 'load'
        ? {
            text: loadGramsPerM2.toFixed(1),
            strength: loadGramsPerM2 / FULL_LOAD_GRAMS_PER_M2,
            spoken: `${loadGramsPerM2.toFixed(1)} grams a square metre`,
          }
        : {
            text: activeHours.toFixed(0),
            strength: activeHours / most,
            spoken: `${activeHours.toFixed(0)} hours of salt at work`,
          },
    ]),
  );
}

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
