import { getPosition, getTimes } from 'suncalc';
import { requireInRange } from '../quantity/index.js';

export interface EarthPoint {
  readonly latitudeDeg: number;
  readonly longitudeDeg: number;
}

export interface SunPosition {
  /** Apparent height above the horizon, with refraction. */
  readonly elevationDeg: number;
  /** Clockwise from north. */
  readonly azimuthDeg: number;
}

function requirePoint(owner: string, { latitudeDeg, longitudeDeg }: EarthPoint): void {
  requireInRange(owner, { latitudeDeg }, { min: -90, max: 90, unit: 'deg' });
  requireInRange(owner, { longitudeDeg }, { min: -180, max: 180, unit: 'deg' });
}

/**
 * Where is the sun?
 *
 * @param point degrees, north and east positive
 * @param atMs UTC instant, milliseconds
 * Source: suncalc 2 (Meeus, Astronomical Algorithms ch. 25, refraction after Saemundsson).
 * @throws FieldError naming the field out of range
 * @example sunPosition({ latitudeDeg: 46.5, longitudeDeg: -84.3 }, Date.UTC(2026, 0, 14, 17, 30)).elevationDeg // 22
 */
export function sunPosition(point: EarthPoint, atMs: number): SunPosition {
  requirePoint('sunPosition', point);
  requireInRange('sunPosition', { atMs }, { min: -8.64e15, max: 8.64e15, unit: 'ms' });
  const { altitude, azimuth } = getPosition(new Date(atMs), point.latitudeDeg, point.longitudeDeg);
  return { elevationDeg: altitude, azimuthDeg: azimuth };
}

export type Daylight =
  | { readonly kind: 'day'; readonly sunriseMs: number; readonly sunsetMs: number }
  | { readonly kind: 'always-up' }
  | { readonly kind: 'always-down' };

/**
 * When does the sun rise and set on the solar day of an instant?
 *
 * @returns instants in ms, or which of the two polar cases it is
 */
export function daylight(point: EarthPoint, atMs: number): Daylight {
  requirePoint('daylight', point);
  const times = getTimes(new Date(atMs), point.latitudeDeg, point.longitudeDeg);
  if (times.sunrise && times.sunset) {
    return { kind: 'day', sunriseMs: times.sunrise.getTime(), sunsetMs: times.sunset.getTime() };
  }
  return { kind: times.alwaysUp ? 'always-up' : 'always-down' };
}
