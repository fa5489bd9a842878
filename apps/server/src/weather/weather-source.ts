import type { WeatherHour, WholeRun } from '@keen/core';

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
