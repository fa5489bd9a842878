import type { WeatherHour } from '@keen/core';

export interface ForecastRun {
  readonly issuedMs: number;
  readonly source: string;
  /** The most likely course first, then the members that spread around it; consecutive hours from issuedMs. */
  readonly members: readonly (readonly WeatherHour[])[];
}

/** Where weather comes from. A real service would fill this port with its own adapter. */
export interface WeatherSource {
  /** What people call it; shown beside every figure that comes from it. */
  readonly name: string;
  /** Whole hours measured from fromMs up to, and not with, toMs. */
  observed(fromMs: number, toMs: number): Promise<WeatherHour[]>;
  /** The newest forecast that was out at an instant. */
  newestForecast(atMs: number): Promise<ForecastRun>;
}

export const WEATHER_SOURCE = Symbol('weather source');
