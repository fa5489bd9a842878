import { MS_PER_HOUR } from '../quantity/index.js';
import type { PrecipKind, WeatherHour } from './weather-hour.js';

type Fields = Omit<WeatherHour, 'atMs'>;

/** What one source has of one hour; a field that it does not have is absent. */
export type WeatherReading = { readonly atMs: number } & { readonly [K in keyof Fields]?: Fields[K] };

/** Fields without which an hour is not known: each of them decides whether a film freezes or dries. */
export const NEEDED_FIELDS = [
  'airTempC',
  'dewPointC',
  'windMetresPerSecond',
  'cloudFraction',
  'precipMm',
] as const satisfies readonly (keyof Fields)[];
export type NeededField = (typeof NEEDED_FIELDS)[number];

const OTHER_FIELDS = [
  'gustMetresPerSecond',
  'windFromDeg',
  'precipKind',
  'snowDepthCm',
  'pressureHpa',
] as const satisfies readonly (keyof Fields)[];
const FIELDS = [...NEEDED_FIELDS, ...OTHER_FIELDS];

/** Standard pressure; taken where none is reported (nothing that decides reads it). */
const STANDARD_HPA = 1013.25;
/** What falls below the first is snow, below the second sleet, above it rain, °C of the air (judgement). */
const SNOW_BELOW_C = 0.5;
const SLEET_BELOW_C = 2;

/** Of what kind is it that falls at this temperature, where nobody says so? Judgement. */
export function likelyPrecipKind(precipMm: number, airTempC: number): PrecipKind {
  if (precipMm <= 0) return 'none';
  if (airTempC < SNOW_BELOW_C) return 'snow';
  return airTempC < SLEET_BELOW_C ? 'sleet' : 'rain';
}

/** One hour put together from several sources. */
export interface MergedHour {
  /** null: no source has a needed field. */
  readonly hour: WeatherHour | null;
  /** Which source gave the air, or the first that gave anything; null: nobody did. */
  readonly source: string | null;
  readonly missing: readonly NeededField[];
}

/** Readings of one source by their hour. */
export interface SourceReadings {
  readonly source: string;
  readonly at: ReadonlyMap<number, WeatherReading>;
}

export const readingsOf = (source: string, readings: readonly WeatherReading[]): SourceReadings => ({
  source,
  at: new Map(readings.map((reading) => [reading.atMs, reading])),
});

/** Dew cannot lie above the air, nor what falls be of a kind while nothing falls. */
function wholeHour(
  reading: WeatherReading & Required<Pick<WeatherReading, NeededField>>,
  snowDepthCm: number,
): WeatherHour {
  const { atMs, airTempC, windMetresPerSecond, precipMm } = reading;
  const kind = reading.precipKind;
  return {
    atMs,
    airTempC,
    dewPointC: Math.min(reading.dewPointC, airTempC),
    windMetresPerSecond,
    gustMetresPerSecond: Math.max(reading.gustMetresPerSecond ?? 0, windMetresPerSecond),
    windFromDeg: reading.windFromDeg ?? 0,
    cloudFraction: reading.cloudFraction,
    precipMm,
    precipKind:
      precipMm <= 0 ? 'none' : kind && kind !== 'none' ? kind : likelyPrecipKind(precipMm, airTempC),
    snowDepthCm: reading.snowDepthCm ?? snowDepthCm,
    pressureHpa: reading.pressureHpa ?? STANDARD_HPA,
  };
}

const isWhole = (
  reading: WeatherReading,
): reading is WeatherReading & Required<Pick<WeatherReading, NeededField>> =>
  NEEDED_FIELDS.every((field) => reading[field] !== undefined);

/**
 * What is known of each hour, from several sources?
 *
 * @param sources in the order of trust; each field of an hour is taken from the first that has it
 * @param span full hours: the first, and how many
 * @returns one entry an hour; `hour` is null where no source has a needed field, and `missing` names those fields.
 * Snow on the ground stays as it was last reported (0 before); gust, direction and pressure that no source has do not decide anything.
 * @example mergedHours([readingsOf('mast', [])], { fromMs: 0, hourCount: 1 })[0].missing.length // 5
 */
export function mergedHours(
  sources: readonly SourceReadings[],
  { fromMs, hourCount, snowDepthCm = 0 }: { fromMs: number; hourCount: number; snowDepthCm?: number },
): MergedHour[] {
  let lyingCm = snowDepthCm;
  return Array.from({ length: hourCount }, (_, i): MergedHour => {
    const atMs = fromMs + i * MS_PER_HOUR;
    const merged: Partial<Record<keyof WeatherReading, unknown>> & { atMs: number } = { atMs };
    let source: string | null = null;
    for (const one of sources) {
      const reading = one.at.get(atMs);
      if (!reading) continue;
      if (source === null || (merged.airTempC === undefined && reading.airTempC !== undefined))
        source = one.source;
      for (const field of FIELDS)
        if (merged[field] === undefined && reading[field] !== undefined) merged[field] = reading[field];
    }
    const reading = merged as WeatherReading;
    lyingCm = reading.snowDepthCm ?? lyingCm;
    if (!isWhole(reading))
      return { hour: null, source, missing: NEEDED_FIELDS.filter((field) => merged[field] === undefined) };
    const hour = wholeHour(reading, lyingCm);
    return { hour, source, missing: [] };
  });
}

const clamp01 = (value: number): number => Math.min(1, Math.max(0, value));

/**
 * The members of one source, laid round the course that leads: each keeps its distance from its own control.
 *
 * @param lead hour by hour; null where not known
 * @param ensemble control and members of the source that has any, over the same hours
 * @returns members over the same hours; null where the lead or the ensemble is not known
 */
export function membersAround(
  lead: readonly (WeatherHour | null)[],
  ensemble: {
    readonly control: readonly (WeatherHour | null)[];
    readonly members: readonly (readonly (WeatherHour | null)[])[];
  },
): (WeatherHour | null)[][] {
  return ensemble.members.map((member) =>
    lead.map((hour, i): WeatherHour | null => {
      const own = member[i];
      const middle = ensemble.control[i];
      if (!hour || !own || !middle) return null;
      if (sameAir(hour, middle)) return own;
      const airTempC = hour.airTempC + own.airTempC - middle.airTempC;
      const windMetresPerSecond = Math.max(
        0,
        hour.windMetresPerSecond + own.windMetresPerSecond - middle.windMetresPerSecond,
      );
      const precipMm = Math.max(0, hour.precipMm + own.precipMm - middle.precipMm);
      return {
        ...own,
        airTempC,
        dewPointC: Math.min(airTempC, hour.dewPointC + own.dewPointC - middle.dewPointC),
        windMetresPerSecond,
        gustMetresPerSecond: Math.max(own.gustMetresPerSecond, windMetresPerSecond),
        cloudFraction: clamp01(hour.cloudFraction + own.cloudFraction - middle.cloudFraction),
        precipMm,
        precipKind:
          precipMm <= 0
            ? 'none'
            : own.precipKind === 'none'
              ? likelyPrecipKind(precipMm, airTempC)
              : own.precipKind,
        snowDepthCm: hour.snowDepthCm,
      };
    }),
  );
}

const sameAir = (a: WeatherHour, b: WeatherHour): boolean =>
  NEEDED_FIELDS.every((field) => a[field] === b[field]);
