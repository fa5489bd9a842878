import type { EarthPoint } from '../sun/index.js';

/** The longest drive to a second place that is taken, minutes. */
export const MOST_DRIVE_MINUTES = 120;

const EARTH_KM = 6371;
/** Streets are so much longer than the straight line, and driven so fast in a town in winter (judgement). */
const DETOUR = 1.4;
const TOWN_KMH = 30;
/** Nobody is sooner out of one place and into another. */
const LEAST_MINUTES = 2;

/** A first guess of the minutes from one place to another, by the great circle between them. */
export function guessedDriveMinutes(from: EarthPoint, to: EarthPoint): number {
  const rad = Math.PI / 180;
  const half = (degrees: number): number => Math.sin((degrees * rad) / 2) ** 2;
  const chord =
    half(to.latitudeDeg - from.latitudeDeg) +
    Math.cos(from.latitudeDeg * rad) *
      Math.cos(to.latitudeDeg * rad) *
      half(to.longitudeDeg - from.longitudeDeg);
  const km = 2 * EARTH_KM * Math.asin(Math.min(1, Math.sqrt(chord)));
  return Math.max(LEAST_MINUTES, Math.round((60 * DETOUR * km) / TOWN_KMH));
}
