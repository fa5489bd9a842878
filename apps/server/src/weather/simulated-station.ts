import {
  COLD_LAKE_PORT,
  MS_PER_HOUR,
  simulateWeather,
  startOfHourMs,
  type WeatherHour,
  type WholeRun,
} from '@keen/core';
import type { WeatherSource } from './weather-source.js';

const HOURS_BETWEEN_RUNS = 6;
const FORECAST_HOURS = 240;
const MEMBERS = 20;

/** Of the made-up winter that the stand-ins for weather and roads share. */
export const WINTER_SEED = 3;

/** Measured hours by winter, and the newest run of the forecast: the same for everyone who asks, so that each is made once. */
const MEASURED = new Map<string, WeatherHour[]>();
let newest: { readonly of: string; readonly run: WholeRun } | null = null;

/** A stand-in for a weather service: one made-up winter by its seed, the same for everyone who asks. */
export class SimulatedStation implements WeatherSource {
  readonly name = 'simulated station';

  /**
   * @param seed of the winter
   * @param seasonStartMs first hour that the station measured
   */
  constructor(
    private readonly seed: number,
    private readonly seasonStartMs: number,
  ) {}

  private get winter(): string {
    return `${this.seed} ${this.seasonStartMs}`;
  }

  observed(fromMs: number, toMs: number): Promise<WeatherHour[]> {
    const hourCount = Math.max(0, Math.floor((toMs - this.seasonStartMs) / MS_PER_HOUR));
    const season = MEASURED.get(this.winter) ?? [];
    MEASURED.set(this.winter, season);
    if (season.length < hourCount)
      season.push(
        ...simulateWeather({
          climate: COLD_LAKE_PORT,
          seed: this.seed,
          fromMs: this.seasonStartMs + season.length * MS_PER_HOUR,
          hourCount: hourCount - season.length,
          startSnowDepthCm: season.at(-1)?.snowDepthCm ?? 0,
        }),
      );
    return Promise.resolve(season.slice(0, hourCount).filter(({ atMs }) => atMs >= fromMs));
  }

  async newestForecast(atMs: number): Promise<WholeRun> {
    const issuedMs = Math.floor(atMs / (HOURS_BETWEEN_RUNS * MS_PER_HOUR)) * HOURS_BETWEEN_RUNS * MS_PER_HOUR;
    const of = `${this.winter} ${issuedMs}`;
    if (newest?.of === of) return newest.run;
    const before = (await this.observed(issuedMs - MS_PER_HOUR, startOfHourMs(issuedMs))).at(-1);
    const members = Array.from({ length: MEMBERS + 1 }, (_, index) =>
      simulateWeather({
        climate: COLD_LAKE_PORT,
        seed: this.seed,
        fromMs: issuedMs,
        hourCount: FORECAST_HOURS,
        member: { issuedMs, index },
        startSnowDepthCm: before?.snowDepthCm ?? 0,
      }),
    );
    newest = { of, run: { issuedMs, source: this.name, members } };
    return newest.run;
  }
}
