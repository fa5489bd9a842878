import type { SaltZone, ZoneSalt } from '@keen/core';
import type { ZoneLayer } from '../../parts/unfolded-car.js';

export type SaltLayerKind = 'load' | 'clock';

/** Load at which a zone is drawn full, g/m² (about a month unwashed; judgement). */
const FULL_LOAD_GRAMS_PER_M2 = 12;

/** A zone's load, g/m². */
export const totalLoad = (zones: readonly ZoneSalt[], zone: SaltZone): number =>
  zones.find((entry) => entry.zone === zone)?.loadGramsPerM2 ?? 0;

/** What the unfolded car shows: load against a full scale, or the clock against the fastest zone. */
export function saltLayer(zones: readonly ZoneSalt[], kind: SaltLayerKind): Record<SaltZone, ZoneLayer> {
  const most = Math.max(1, ...zones.map(({ activeHours }) => activeHours));
  const entries = zones.map(({ zone, loadGramsPerM2, activeHours }): [SaltZone, ZoneLayer] => [
    zone,
    kind === 'load'
      ? { text: loadGramsPerM2.toFixed(1), strength: loadGramsPerM2 / FULL_LOAD_GRAMS_PER_M2 }
      : { text: activeHours.toFixed(0), strength: activeHours / most },
  ]);
  return Object.fromEntries(entries) as Record<SaltZone, ZoneLayer>;
}
