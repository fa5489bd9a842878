import { MS_PER_HOUR } from '../quantity/index.js';
import { type Drive, USUAL_KMH } from '../drive/index.js';
import { type Place, placeAir } from '../place/index.js';
import { ROAD_CLASSES, type RoadClass, type RoadHour } from '../road/index.js';
import type { DailyDriving, WeekShares } from '../vehicle/index.js';
import { relHumidityFraction, type WeatherHour } from '../weather/index.js';
import type { LedgerDrive, LedgerHour } from './compile-life.js';
import { type WallClock, wallClock } from './wall-clock.js';

/** When a day's kilometres are driven: out in the morning, home in the evening (judgement). */
const DRIVING_FRACTION: Readonly<Record<number, number>> = { 7: 0.4, 12: 0.15, 17: 0.45 };
/** Away from its place by day (judgement). */
const AWAY_FROM_HOUR = 7;
const AWAY_TO_HOUR = 18;

export interface CarHabits {
  readonly driving: DailyDriving;
  readonly weekShares: WeekShares;
  /** Where it stands at night; null: in the street. */
  readonly standsAt: Pick<Place, 'climate'> | null;
  /** What is known of its drives; a day with any is taken as recorded, other days follow the habit. */
  readonly drives: readonly Drive[];
}

/** What all cars of a shop share: the weather, the roads and the clock on the wall. */
export interface Surroundings {
  /** The first of the hours. */
  readonly fromMs: number;
  /** Consecutive; null where not known. */
  readonly hours: readonly (WeatherHour | null)[];
  /** Hour by hour. */
  readonly roads: readonly RoadsOfHour[];
  readonly clock: WallClock;
  /** Over liquid water, hour by hour; null where not known. */
  readonly relHumidityFraction: readonly (number | null)[];
}

type RoadsOfHour = Readonly<Record<RoadClass, RoadHour | undefined>>;

/**
 * Puts together what all cars share.
 *
 * @param weather consecutive hours from an instant; null where not known
 * @param roads each class over the same hours
 */
export function surroundings(
  { fromMs, hours }: Pick<Surroundings, 'fromMs' | 'hours'>,
  roads: Readonly<Record<RoadClass, readonly (RoadHour | null)[]>>,
  timeZone: string,
): Surroundings {
  const road = (roadClass: RoadClass, i: number): RoadHour | undefined => roads[roadClass][i] ?? undefined;
  return {
    fromMs,
    hours,
    roads: hours.map((_, i) => ({ main: road('main', i), town: road('town', i), bridge: road('bridge', i) })),
    clock: wallClock(
      hours.map((_, i) => fromMs + i * MS_PER_HOUR),
      timeZone,
    ),
    relHumidityFraction: hours.map((hour) => hour && relHumidityFraction(hour)),
  };
}

const NO_DRIVES: readonly LedgerDrive[] = [];
const NO_ROADS: RoadsOfHour = { main: undefined, town: undefined, bridge: undefined };

/** The usual drives of an hour of the day, by how full the weekday is. */
function habitDrives({
  driving,
  weekShares,
}: CarHabits): (weekday: number, hourOfDay: number) => readonly LedgerDrive[] {
  const kmOf: Readonly<Record<RoadClass, number>> = {
    main: driving.mainRoadKm,
    town: driving.townKm,
    bridge: driving.bridgeKm,
  };
  const made = new Map<number, readonly LedgerDrive[]>();
  return (weekday, hourOfDay) => {
    const share = (DRIVING_FRACTION[hourOfDay] ?? 0) * (weekShares[weekday] ?? 1);
    if (share === 0) return NO_DRIVES;
    const key = weekday * 24 + hourOfDay;
    const known = made.get(key);
    if (known) return known;
    const drives = ROAD_CLASSES.filter((roadClass) => kmOf[roadClass] > 0).map((roadClass) => ({
      roadClass,
      km: kmOf[roadClass] * share,
      kmh: USUAL_KMH[roadClass],
    }));
    made.set(key, drives);
    return drives;
  };
}

/** Recorded drives by hour, and the days (of the clock) that have any. */
function recorded(
  drives: readonly Drive[],
  around: Surroundings,
): { byHour: Map<number, LedgerDrive[]>; days: Set<number> } {
  const byHour = new Map<number, LedgerDrive[]>();
  const days = new Set<number>();
  for (const { hourMs, roadClass, km, meanKmh } of drives) {
    const day = around.clock.day[Math.floor((hourMs - around.fromMs) / MS_PER_HOUR)];
    if (day !== undefined) days.add(day);
    byHour.set(hourMs, [
      ...(byHour.get(hourMs) ?? []),
      { roadClass, km, kmh: meanKmh ?? USUAL_KMH[roadClass] },
    ]);
  }
  return { byHour, days };
}

/**
 * An hour of which nobody knows the weather: the load stays, and the clock is not moved, so that what is shown is the least that it can
 * be. Air without damp is too dry for any salt.
 */
const stillHour = (atMs: number): LedgerHour => ({
  atMs,
  carTempC: 0,
  relHumidityFraction: 0,
  rainMm: 0,
  roads: NO_ROADS,
  drives: NO_DRIVES,
});

/**
 * The hours of a car's life: where it stands, what falls on it, what it drives.
 *
 * @param around weather, roads and clock over the same hours
 * @returns one entry an hour; where the weather is not known nothing is added and nothing counts
 */
export function carLife(habits: CarHabits, around: Surroundings): LedgerHour[] {
  const indoors = habits.standsAt ? placeAir(habits.standsAt, around.hours) : null;
  const sheltered = habits.standsAt !== null && habits.standsAt.climate.kind !== 'outdoors';
  const usual = habitDrives(habits);
  const { byHour, days } = recorded(habits.drives, around);
  const { hourOfDay, weekday, day } = around.clock;
  return around.hours.map((hour, i): LedgerHour => {
    if (!hour) return stillHour(around.fromMs + i * MS_PER_HOUR);
    const clockHour = hourOfDay[i] ?? 0;
    const away = clockHour >= AWAY_FROM_HOUR && clockHour < AWAY_TO_HOUR;
    const inside = away ? null : (indoors?.[i] ?? null);
    return {
      atMs: hour.atMs,
      carTempC: inside?.airTempC ?? hour.airTempC,
      relHumidityFraction: inside?.relHumidityFraction ?? around.relHumidityFraction[i] ?? NaN,
      rainMm: (!inside || !sheltered) && hour.precipKind === 'rain' ? hour.precipMm : 0,
      roads: around.roads[i] ?? NO_ROADS,
      drives: days.has(day[i] ?? -1)
        ? (byHour.get(hour.atMs) ?? NO_DRIVES)
        : usual(weekday[i] ?? 0, clockHour),
    };
  });
}
