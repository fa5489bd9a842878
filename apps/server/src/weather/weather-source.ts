import type { WeatherHour, WeatherReading } from '@keen/core';

/** A forecast as a source told it: hours may be missing, and fields of hours. */
export interface ForecastRun {
  readonly issuedMs: number;
  readonly source: string;
  /** The most likely course first, then the members that spread around it, each in order of time. */
  readonly members: readonly (readonly WeatherReading[])[];
}

/** A forecast in which no field is missing. */
export interface WholeRun extends ForecastRun {
  readonly members: readonly (readonly WeatherHour[])[];
}

/** Where weather comes from by itself. A real service would fill this port with its own adapter. */
export interface WeatherSource {
  /** What people call it; shown beside every figure that comes from it. */
  readonly name: string;
  /** Whole hours measured from fromMs up to, and not with, toMs. */
  observed(fromMs: number, toMs: number): Promise<WeatherHour[]>;
  /** The newest forecast that was out at an instant. */
  newestForecast(atMs: number): Promise<WholeRun>;
}

export const WEATHER_SOURCE = Symbol('weather source');
