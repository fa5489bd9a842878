import { MS_PER_HOUR } from '../quantity/index.js';
import { humidityFromDewPoint } from '../air/index.js';

export type PrecipKind = 'none' | 'rain' | 'sleet' | 'snow';
export type Origin = 'measured' | 'forecast' | 'estimated' | 'default';

/** Weather over one hour that begins at an instant. */
export interface WeatherHour {
  /** UTC, start of the hour. */
  readonly atMs: number;
  readonly airTempC: number;
  /** Over liquid water. */
  readonly dewPointC: number;
  /** At 10 m. */
  readonly windMetresPerSecond: number;
  readonly gustMetresPerSecond: number;
  /** Where it comes from, clockwise from north. */
  readonly windFromDeg: number;
  readonly cloudFraction: number;
  /** Water equivalent in the hour. */
  readonly precipMm: number;
  readonly precipKind: PrecipKind;
  readonly snowDepthCm: number;
  readonly pressureHpa: number;
}

/** Relative humidity over liquid water, 0–1. */
export const relHumidityFraction = (hour: Pick<WeatherHour, 'airTempC' | 'dewPointC'>): number =>
  humidityFromDewPoint(hour.airTempC, hour.dewPointC);

/** Share of light that the ground throws back: bare 0.2, old snow 0.6, fresh snow 0.8 (judgement). */
export function groundAlbedoFraction(hour: Pick<WeatherHour, 'snowDepthCm' | 'precipKind'>): number {
  if (hour.snowDepthCm < 2) return 0.2;
  return hour.precipKind === 'snow' ? 0.8 : 0.6;
}

/** The start of the hour in which an instant lies. */
export const startOfHourMs = (atMs: number): number => Math.floor(atMs / MS_PER_HOUR) * MS_PER_HOUR;
