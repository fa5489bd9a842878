import { MS_PER_HOUR } from '../quantity/index.js';
import type { RunPack } from './run-pack.js';

/** Beam on a surface that faces the sun from which a side counts as sunny, W/m² (judgement). */
const SUNNY_WM2 = 120;

/**
 * Which side of the car does the sun stand on?
 *
 * @returns null where no sun reaches the car in that hour, or the hour is not known
 */
export function sunSide(
  { hours, fromMs, place }: Pick<RunPack, 'hours' | 'fromMs' | 'place'>,
  nowMs: number,
): 'front' | 'right' | 'rear' | 'left' | null {
  const site = hours[Math.max(0, Math.floor((nowMs - fromMs) / MS_PER_HOUR))]?.site;
  if (!site || site.sun.elevationDeg <= 0 || site.light.beamNormalWm2 < SUNNY_WM2) return null;
  const fromNoseDeg = (((site.sun.azimuthDeg - place.carHeadingDeg + 45) % 360) + 360) % 360;
  return (['front', 'right', 'rear', 'left'] as const)[Math.floor(fromNoseDeg / 90)] ?? null;
}
