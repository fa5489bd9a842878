import { MS_PER_HOUR, MS_PER_MINUTE } from '../quantity/index.js';
import { startOfHourMs } from '../weather/index.js';
import type { RoadClass } from '../road/index.js';
import { type Drive, FASTEST_KMH } from './drive.js';

/** A point of a recorded way; `line` is where it stands in its file. */
export interface TrackPoint {
  readonly line: number;
  readonly latitudeDeg: number;
  readonly longitudeDeg: number;
  readonly atMs: number | null;
}

export interface TrackFault {
  readonly line: number;
  readonly code: 'no-time' | 'out-of-order' | 'too-fast' | 'bad-place';
  readonly message: string;
}

export interface TrackDrives {
  readonly drives: readonly Drive[];
  readonly faults: readonly TrackFault[];
}

const EARTH_RADIUS_KM = 6371;
/** Slower than this it stands, and picks nothing up. */
const STANDING_KMH = 3;
/** A longer pause between points is a stop, not a straight line driven slowly. */
const LONGEST_GAP_MS = 10 * MS_PER_MINUTE;
/** A faster stretch is a main road (judgement). */
const MAIN_ROAD_KMH = 62;

const radians = (deg: number): number => (deg * Math.PI) / 180;

/** Great-circle distance, km (haversine). */
export function distanceKm(
  a: Pick<TrackPoint, 'latitudeDeg' | 'longitudeDeg'>,
  b: Pick<TrackPoint, 'latitudeDeg' | 'longitudeDeg'>,
): number {
  const dLat = radians(b.latitudeDeg - a.latitudeDeg);
  const dLon = radians(b.longitudeDeg - a.longitudeDeg);
  const h =
    Math.sin(dLat / 2) ** 2 +
    Math.cos(radians(a.latitudeDeg)) * Math.cos(radians(b.latitudeDeg)) * Math.sin(dLon / 2) ** 2;
  return 2 * EARTH_RADIUS_KM * Math.asin(Math.min(1, Math.sqrt(h)));
}

function pointFault(point: TrackPoint, before: TrackPoint | undefined): TrackFault | null {
  const { line, latitudeDeg, longitudeDeg, atMs } = point;
  if (!(Math.abs(latitudeDeg) <= 90 && Math.abs(longitudeDeg) <= 180))
    return {
      line,
      code: 'bad-place',
      message: `lat ${latitudeDeg}, lon ${longitudeDeg} is not on the earth`,
    };
  if (atMs === null || !Number.isFinite(atMs))
    return { line, code: 'no-time', message: 'the point has no time' };
  if (!before || before.atMs === null) return null;
  if (atMs <= before.atMs)
    return { line, code: 'out-of-order', message: 'its time is not after the point before it' };
  const kmh = distanceKm(before, point) / ((atMs - before.atMs) / MS_PER_HOUR);
  return kmh > FASTEST_KMH
    ? {
        line,
        code: 'too-fast',
        message: `${Math.round(kmh)} km/h from the point before it; at most ${FASTEST_KMH}`,
      }
    : null;
}

interface Stretch {
  km: number;
  ms: number;
}

/**
 * What did this recorded way drive, hour by hour?
 *
 * @param points in the order of their file
 * @param roadClass one class for all of it; null: main road or town by the speed of each stretch
 * @returns drives by hour and class, and a fault for each point that was passed over; never throws
 * Model: great circles between points; pauses of over ten minutes and stretches under 3 km/h are standing.
 */
export function trackDrives(points: readonly TrackPoint[], roadClass: RoadClass | null): TrackDrives {
  const faults: TrackFault[] = [];
  const stretches = new Map<string, Stretch & { hourMs: number; roadClass: RoadClass }>();
  let before: TrackPoint | undefined;
  for (const point of points) {
    const fault = pointFault(point, before);
    if (fault) {
      faults.push(fault);
      continue;
    }
    if (before?.atMs != null && point.atMs !== null && point.atMs - before.atMs <= LONGEST_GAP_MS) {
      const km = distanceKm(before, point);
      const ms = point.atMs - before.atMs;
      const kmh = km / (ms / MS_PER_HOUR);
      if (kmh >= STANDING_KMH) {
        const road = roadClass ?? (kmh >= MAIN_ROAD_KMH ? 'main' : 'town');
        const hourMs = startOfHourMs(before.atMs);
        const key = `${hourMs} ${road}`;
        const sum = stretches.get(key) ?? { km: 0, ms: 0, hourMs, roadClass: road };
        stretches.set(key, { ...sum, km: sum.km + km, ms: sum.ms + ms });
      }
    }
    before = point;
  }
  const drives = [...stretches.values()].map(({ km, ms, hourMs, roadClass: road }) => ({
    hourMs,
    roadClass: road,
    km,
    meanKmh: km / (ms / MS_PER_HOUR),
  }));
  return { drives, faults };
}
