import { Inject, Injectable } from '@nestjs/common';
import { MS_PER_HOUR, startOfHourMs, type WeatherHour } from '@keen/core';
import { ClockService } from '../clock/clock.service.js';
import { seasonStartMs } from './season.js';
import { WeatherRepository } from './weather.repository.js';
import { WEATHER_SOURCE, type WeatherSource } from './weather-source.js';

const KEPT_RUN_MS = 48 * MS_PER_HOUR;

/** All that is known of the weather at an instant. */
export interface WeatherBundle {
  /** Changes whenever anything in it does. */
  readonly stamp: string;
  readonly source: string;
  readonly issuedMs: number;
  /** Measured, from the start of the season up to the present hour. */
  readonly observed: readonly WeatherHour[];
  /** From the present hour on. */
  readonly control: readonly WeatherHour[];
  readonly members: readonly (readonly WeatherHour[])[];
}

@Injectable()
export class WeatherService {
  private refreshing: Promise<void> = Promise.resolve();
  private bundleFor: { readonly key: string; readonly bundle: WeatherBundle } | null = null;

  constructor(
    private readonly repository: WeatherRepository,
    private readonly clock: ClockService,
    @Inject(WEATHER_SOURCE) private readonly source: WeatherSource,
  ) {}

  /** Measured hours and the newest forecast, fetched from the source as far as they are missing. */
  async bundle(): Promise<WeatherBundle> {
    const hourMs = startOfHourMs(this.clock.now());
    this.refreshing = this.refreshing.catch(() => undefined).then(() => this.refresh(hourMs));
    await this.refreshing;
    const key = `${hourMs} ${await this.repository.newestIssuedMs(hourMs)}`;
    if (this.bundleFor?.key !== key) this.bundleFor = { key, bundle: await this.assemble(hourMs) };
    return this.bundleFor.bundle;
  }

  private async refresh(hourMs: number): Promise<void> {
    const startMs = seasonStartMs(hourMs);
    const newest = await this.repository.newestObservedMs();
    const fromMs = newest === null ? startMs : newest + MS_PER_HOUR;
    if (fromMs < hourMs)
      await this.repository.addObserved(this.source.name, await this.source.observed(fromMs, hourMs));
    const issuedMs = await this.repository.newestIssuedMs(hourMs);
    if (issuedMs === null || hourMs - issuedMs >= 6 * MS_PER_HOUR) {
      await this.repository.addRun(await this.source.newestForecast(hourMs));
      await this.repository.forgetRunsBefore(hourMs - KEPT_RUN_MS);
    }
  }

  private async assemble(hourMs: number): Promise<WeatherBundle> {
    const run = await this.repository.newestRun(hourMs);
    if (!run) throw new Error('no forecast after a refresh');
    const ahead = (hours: readonly WeatherHour[]): WeatherHour[] =>
      hours.filter(({ atMs }) => atMs >= hourMs);
    const [control = [], ...members] = run.members;
    return {
      stamp: `${run.source} ${run.issuedMs} ${hourMs}`,
      source: run.source,
      issuedMs: run.issuedMs,
      observed: await this.repository.observed(seasonStartMs(hourMs), hourMs),
      control: ahead(control),
      members: members.map(ahead),
    };
  }
}
