import { localTime, type Place, placeAir } from '../place/index.js';
import type { RoadClass, RoadHour } from '../road/index.js';
import type { DailyDriving } from '../vehicle/index.js';
import { relHumidityFraction, type WeatherHour } from '../weather/index.js';
import type { LedgerHour } from './ledger.js';

/** When a day's kilometres are driven: out in the morning, home in the evening (judgement). */
const DRIVING_HOURS: readonly { readonly hour: number; readonly share: number }[] = [
  { hour: 7, share: 0.4 },
  { hour: 12, share: 0.15 },
  { hour: 17, share: 0.45 },
];
/** Away from its place by day (judgement). */
const AWAY_FROM_HOUR = 7;
const AWAY_TO_HOUR = 18;

export interface CarHabits {
  readonly driving: DailyDriving;
  /** Where it stands at night; null: in the street. */
  readonly standsAt: Pick<Place, 'climate'> | null;
}

/** What all cars of a shop share: the weather, the roads and the clock on the wall. */
export interface Surroundings {
  readonly hours: readonly WeatherHour[];
  readonly roads: Readonly<Record<RoadClass, readonly RoadHour[]>>;
  /** 0–23, local, hour by hour. */
  readonly hourOfDay: readonly number[];
}

/** Local hour of the day for each weather hour. */
export const hoursOfDay = (hours: readonly WeatherHour[], timeZone: string): number[] =>
  hours.map((hour) => Math.floor(localTime(hour.atMs, timeZone).minuteOfDay / 60));

/**
 * The hours of a car's life from its habits: where it stands, what falls on it, what it drives.
 *
 * @param around weather, roads and clock over the same hours
 * @returns one entry an hour
 */
export function carLife(habits: CarHabits, around: Surroundings): LedgerHour[] {
  const indoors = habits.standsAt ? placeAir(habits.standsAt, around.hours) : null;
  const { mainRoadKm, townKm, bridgeKm } = habits.driving;
  return around.hours.flatMap((hour, i): LedgerHour[] => {
    const main = around.roads.main[i];
    const town = around.roads.town[i];
    const bridge = around.roads.bridge[i];
    if (!main || !town || !bridge) return [];
    const hourOfDay = around.hourOfDay[i] ?? 0;
    const share = DRIVING_HOURS.find((row) => row.hour === hourOfDay)?.share ?? 0;
    const away = hourOfDay >= AWAY_FROM_HOUR && hourOfDay < AWAY_TO_HOUR;
    const inside = away ? null : (indoors?.[i] ?? null);
    const sheltered = inside !== null && habits.standsAt?.climate.kind !== 'outdoors';
    return [
      {
        atMs: hour.atMs,
        carTempC: inside?.airTempC ?? hour.airTempC,
        relHumidityFraction: inside?.relHumidityFraction ?? relHumidityFraction(hour),
        rainMm: !sheltered && hour.precipKind === 'rain' ? hour.precipMm : 0,
        roads: { main, town, bridge },
        km: { main: mainRoadKm * share, town: townKm * share, bridge: bridgeKm * share },
      },
    ];
  });
}
