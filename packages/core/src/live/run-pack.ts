import type { Method } from '../method/index.js';
import type { Place } from '../place/index.js';
import type { Finding, Limits } from '../rules/index.js';
import type { LeftOn, RunSheet, SunLine } from '../run/index.js';
import type { ByGroup, Vehicle } from '../vehicle/index.js';
import { MS_PER_HOUR, MS_PER_MINUTE } from '../quantity/index.js';
import type { HourFrom, PlaceHour, WashHours } from '../wash/index.js';
import type { WeatherHour } from '../weather/index.js';

/** Air and light at the place in one hour, as it travels; null: nobody knows that hour. */
export interface PackHour {
  readonly site: PlaceHour;
  readonly outdoors: WeatherHour;
}

/** All that a phone needs to run one wash with no signal; made once, never changed. */
export interface RunPack {
  readonly id: string;
  readonly washId: string;
  readonly madeMs: number;
  /** As planned. */
  readonly startMs: number;
  readonly vehicle: Vehicle;
  readonly place: Place;
  readonly method: Method;
  readonly limits: Limits;
  readonly isDark: boolean;
  readonly overnightC: number | null;
  readonly sheet: RunSheet;
  /** Hour by hour from `fromMs`. */
  readonly fromMs: number;
  readonly hours: readonly (PackHour | null)[];
  /** Light and air from minute to minute if it begins as planned, the drive and the second place among them; absent in older packs. */
  readonly washHours?: WashHours;
  /** The side in the sun while the first place has the car; null: no beam falls on it; absent in older packs. */
  readonly sunLine?: SunLine | null;
  /** null: light does not count there. */
  readonly sunsetMs: number | null;
  readonly soilBefore: ByGroup;
  /** What is on the car then and stays on it; absent in packs made before it was kept. */
  readonly leftOn?: readonly LeftOn[];
  /** All that it goes on condition of; absent in packs made before it was kept. */
  readonly conditions?: readonly Finding[];
  /** What is nearest to its limit, or beyond it; absent in packs made before it was kept. */
  readonly limiting?: Finding;
  /** Air in which insects fly on the drive home, °C; null: none do; absent in packs made before it was looked at. */
  readonly bugsHomeC?: number | null;
  readonly source: string;
  readonly issuedMs: number;
}

export interface KeyedStep {
  readonly key: string;
  readonly step: RunSheet['steps'][number];
}

/** The steps of a sheet by keys that stay whatever order they are done in. */
export const keyedSteps = (sheet: Pick<RunSheet, 'steps'>): KeyedStep[] =>
  sheet.steps.map((step, i) => ({ key: `${step.id}-${i}`, step }));

/** Light and air from minute to minute of a wash that begins as planned; null where the pack has no hour for it. */
export function packHours(
  pack: Pick<RunPack, 'hours' | 'fromMs' | 'startMs' | 'method' | 'washHours'>,
): WashHours | null {
  if (pack.washHours) return pack.washHours;
  const endMs = pack.startMs + pack.method.minutes * MS_PER_MINUTE;
  const hours = pack.hours.flatMap((hour, i): HourFrom[] => {
    const atMs = pack.fromMs + i * MS_PER_HOUR;
    if (!hour || atMs >= endMs || atMs + MS_PER_HOUR <= pack.startMs) return [];
    return [{ fromMinute: Math.max(0, (atMs - pack.startMs) / MS_PER_MINUTE), site: hour.site }];
  });
  const [first, ...others] = hours;
  return first ? [first, ...others] : null;
}
