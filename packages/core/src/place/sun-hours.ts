import { MS_PER_HOUR } from '../quantity/index.js';
import { daylight, sunPosition, sunReaches } from '../sun/index.js';
import type { Place } from './place.js';

/** Where the sun stands in one hour, and whether it reaches the car. */
export interface SunHour {
  readonly atMs: number;
  /** Clockwise from north. */
  readonly azimuthDeg: number;
  readonly isLit: boolean;
}

const HOURS_PER_DAY = 24;

/**
 * The sun round a place through the day of an instant, hour by hour while it is up, under a clear sky.
 *
 * @returns none where it does not rise
 */
export function sunHours(
  place: Pick<Place, 'latitudeDeg' | 'longitudeDeg' | 'shelter'>,
  atMs: number,
): SunHour[] {
  const day = daylight(place, atMs);
  if (day.kind === 'always-down') return [];
  const fromMs = day.kind === 'day' ? day.sunriseMs : atMs;
  const toMs = day.kind === 'day' ? day.sunsetMs : atMs + (HOURS_PER_DAY - 1) * MS_PER_HOUR;
  const firstMs = Math.ceil(fromMs / MS_PER_HOUR) * MS_PER_HOUR;
  const count = Math.max(0, Math.floor((toMs - firstMs) / MS_PER_HOUR) + 1);
  return Array.from({ length: count }, (_, i): SunHour => {
    const hourMs = firstMs + i * MS_PER_HOUR;
    const sun = sunPosition(place, hourMs);
    return { atMs: hourMs, azimuthDeg: sun.azimuthDeg, isLit: sunReaches(place.shelter, sun) };
  });
}
