import { FieldError, requireInRange } from '../quantity/index.js';
import { ROAD_CLASSES, type RoadClass } from '../road/index.js';

export const DRIVE_ORIGINS = ['entered', 'track'] as const;

/** Kilometres on one class of road within one hour. */
export interface Drive {
  /** UTC, start of the hour. */
  readonly hourMs: number;
  readonly roadClass: RoadClass;
  readonly km: number;
  /** Mean speed while moving; null where only the kilometres are known. */
  readonly meanKmh: number | null;
}

/** Nothing that carries salt spray goes faster. */
export const FASTEST_KMH = 250;

/** Usual speed by class of road, km/h (judgement): taken where a drive does not say. */
export const USUAL_KMH: Readonly<Record<RoadClass, number>> = { main: 80, town: 40, bridge: 70 };

/**
 * Can a car have driven this?
 *
 * @throws FieldError naming km, meanKmh or roadClass
 * @example requireDrive({ hourMs: 0, roadClass: 'main', km: 5000, meanKmh: null }) // throws: km
 */
export function requireDrive(drive: Drive): void {
  if (!ROAD_CLASSES.includes(drive.roadClass)) {
    throw new FieldError(
      'unknown-name',
      'roadClass',
      `drive: roadClass is ${String(drive.roadClass)}; allowed is ${ROAD_CLASSES.join(', ')}`,
    );
  }
  requireInRange('drive', { km: drive.km }, { min: 0, max: FASTEST_KMH, unit: 'km within an hour' });
  if (drive.meanKmh !== null)
    requireInRange('drive', { meanKmh: drive.meanKmh }, { min: 1, max: FASTEST_KMH, unit: 'km/h' });
}

/** Spray thrown up against that at 80 km/h: in proportion to speed, within bounds (judgement). */
export const speedFactor = (kmh: number): number => Math.min(1.5, Math.max(0.25, kmh / 80));
