import type { ZoneSalt } from '@keen/core';
import type { Layer } from './unfolded-car.js';

export type SaltLayerKind = 'load' | 'clock';

/** Load at which a zone is drawn full, g/m² (about a month unwashed; judgement). */
const FULL_LOAD_GRAMS_PER_M2 = 12;

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

/** The load without its figures, for a small drawing. */
export const saltThumbnail = (zones: readonly ZoneSalt[]): Layer =>
  Object.fromEntries(
    Object.entries(saltLayer(zones, 'load')).map(([zone, value]) => [zone, { ...value, text: '' }]),
  );
