import { createHash } from 'node:crypto';
import { Inject, Injectable } from '@nestjs/common';
import {
  membersAround,
  mergedHours,
  type MergedHour,
  MS_PER_HOUR,
  readingsOf,
  type RoadSight,
  SIGHT_LASTS_HOURS,
  startOfHourMs,
  type WeatherHour,
  seasonStartMs,
  type ForecastRun,
  type SightRecord,
} from '@keen/core';
import { ClockService } from '../clock/clock.service.js';
import { inPassing } from '../db/in-passing.js';
import { SettingsService } from '../settings/settings.service.js';
import { SightsRepository } from '../records/sights.repository.js';
import { WeatherRepository } from '../records/weather.repository.js';
import { WEATHER_SOURCE, type WeatherSource } from './weather-source.js';
import { asSeen, type Course, corrected } from './as-seen.js';

const KEPT_RUN_MS = 48 * MS_PER_HOUR;

const STATION_RUNS_EVERY_MS = 6 * MS_PER_HOUR;

/** All that is known of the weather at an instant. */
export interface WeatherBundle {
  /** Changes whenever anything in it does. */
  readonly stamp: string;
  /** Who leads the forecast. */
  readonly source: string;
  readonly issuedMs: number;
  /** The first of the measured hours. */
  readonly seasonMs: number;
  /** The present hour. */
  readonly fromMs: number;
  /** Measured, from the start of the season up to the present hour; null where nobody knows. */
  readonly observed: readonly (WeatherHour | null)[];
  /** From the present hour on, as far as any source reaches; null where nobody knows. */
  readonly control: readonly (WeatherHour | null)[];
  readonly members: readonly (readonly (WeatherHour | null)[])[];
  readonly roadSights: readonly RoadSight[];
  /** Who hourSources the hours of the last day and those to come, and what is missing. */
  readonly hourSources: readonly (Omit<MergedHour, 'hour'> & { readonly atMs: number })[];
}

const TOLD_PAST_HOURS = 24;

@Injectable()
export class WeatherService {
  private refreshing: Promise<void> = Promise.resolve();
  private bundleFor: { readonly key: string; readonly bundle: WeatherBundle } | null = null;
  private changes = 0;

  constructor(
    private readonly repository: WeatherRepository,
    private readonly sights: SightsRepository,
    private readonly settings: SettingsService,
    private readonly clock: ClockService,
    @Inject(WEATHER_SOURCE) private readonly station: WeatherSource,
  ) {}

  /** Something was reported, seen or deleted: what was put together before no longer holds. */
  changed(): void {
    this.changes += 1;
  }

  /** Sources in the order of trust; the station alone where nothing was chosen. */
  async order(): Promise<readonly string[]> {
    const { weatherOrder } = await this.settings.read();
    return weatherOrder ?? [this.station.name];
  }

  /** Measured hours and the newest forecasts, put together by the order of trust. */
  async bundle(): Promise<WeatherBundle> {
    const hourMs = startOfHourMs(this.clock.now());
    this.refreshing = this.refreshing.catch(() => undefined).then(() => this.refresh(hourMs));
    await this.refreshing;
    const order = await this.order();
    const issued = await this.repository.newestIssuedMs(this.station.name, hourMs);
    const key = `${hourMs} ${issued} ${this.changes} ${JSON.stringify(order)}`;
    if (this.bundleFor?.key !== key) this.bundleFor = { key, bundle: await this.assemble(hourMs, order) };
    return this.bundleFor.bundle;
  }

  private async refresh(hourMs: number): Promise<void> {
    const { name } = this.station;
    const newest = await this.repository.newestObservedMs(name);
    const fromMs = newest === null ? seasonStartMs(hourMs) : newest + MS_PER_HOUR;
    if (fromMs < hourMs) {
      const observed = await this.station.observed(fromMs, hourMs);
      await inPassing(() => this.repository.addObserved(name, observed));
    }
    const issuedMs = await this.repository.newestIssuedMs(name, hourMs);
    if (issuedMs === null || hourMs - issuedMs >= STATION_RUNS_EVERY_MS) {
      const run = await this.station.newestForecast(hourMs);
      if (await inPassing(() => this.repository.addRun(run)))
        await this.repository.forgetRunsBefore(hourMs - KEPT_RUN_MS);
    }
  }

  private async assemble(hourMs: number, order: readonly string[]): Promise<WeatherBundle> {
    const seasonMs = seasonStartMs(hourMs);
    const measured = await Promise.all(
      order.map(async (source) =>
        readingsOf(source, await this.repository.observed(source, seasonMs, hourMs + MS_PER_HOUR)),
      ),
    );
    const runs = (await Promise.all(order.map((source) => this.repository.newestRun(source, hourMs)))).filter(
      (run) => run !== null,
    );
    const sights = await this.sights.since(seasonMs);
    const past = mergedHours(measured, { fromMs: seasonMs, hourCount: (hourMs - seasonMs) / MS_PER_HOUR });
    const observed = asSeen(
      past.map(({ hour }) => hour),
      seasonMs,
      sights,
    );
    const ahead = this.ahead(hourMs, {
      measured,
      runs,
      sights,
      before: observed.findLast((hour) => hour !== null),
    });
    const lead = runs[0];
    const weather = {
      seasonMs,
      fromMs: hourMs,
      observed,
      control: ahead.control,
      members: ahead.members,
      roadSights: sights.flatMap(({ atMs, roadClass, roadState }) =>
        roadClass && roadState ? [{ atMs, roadClass, state: roadState }] : [],
      ),
    };
    return {
      // By what is in it: the same weather carries the same name after a restart, and never another's.
      stamp: createHash('sha256').update(JSON.stringify(weather)).digest('base64url'),
      ...weather,
      source: lead?.source ?? order[0] ?? 'nobody',
      issuedMs: lead?.issuedMs ?? hourMs,
      hourSources: [
        ...past
          .slice(-TOLD_PAST_HOURS)
          .map((hour, i, shown) => sourceOf(hour, hourMs + (i - shown.length) * MS_PER_HOUR)),
        ...ahead.hourSources,
      ],
    };
  }

  /** The hours to come, begun a little before the present, so that what was seen lately can be compared with what was forecast. */
  private ahead(
    hourMs: number,
    known: {
      readonly measured: readonly ReturnType<typeof readingsOf>[];
      readonly runs: readonly ForecastRun[];
      readonly sights: readonly SightRecord[];
      readonly before: WeatherHour | null | undefined;
    },
  ): Pick<WeatherBundle, 'control' | 'members' | 'hourSources'> {
    const { runs, measured } = known;
    const startMs = hourMs - SIGHT_LASTS_HOURS * MS_PER_HOUR;
    const lastMs = Math.max(...runs.map(({ members }) => members[0]?.at(-1)?.atMs ?? -Infinity), hourMs);
    const span = {
      fromMs: startMs,
      hourCount: (lastMs - startMs) / MS_PER_HOUR + 1,
      snowDepthCm: known.before?.snowDepthCm ?? 0,
    };
    const present = measured.map(({ source, at }) => {
      const now = at.get(hourMs);
      return readingsOf(source, now ? [now] : []);
    });
    const lead = mergedHours(
      [...present, ...runs.map(({ source, members }) => readingsOf(source, members[0] ?? []))],
      span,
    );
    const ensemble = runs.find(({ members }) => members.length > 1);
    const ownCourses = (ensemble?.members ?? []).map((readings) =>
      mergedHours([readingsOf('member', readings)], span).map(({ hour }) => hour),
    );
    const [control = [], ...members] = ownCourses;
    const course = lead.map(({ hour }) => hour);
    const sights = known.sights.filter(({ atMs }) => atMs >= startMs && atMs < hourMs + MS_PER_HOUR);
    const fromNow = (hours: Course): Course => corrected(hours, sights).slice(SIGHT_LASTS_HOURS);
    return {
      control: fromNow(course),
      members: membersAround(course, { control, members }).map(fromNow),
      hourSources: lead.slice(SIGHT_LASTS_HOURS).map((hour, i) => sourceOf(hour, hourMs + i * MS_PER_HOUR)),
    };
  }
}

const sourceOf = ({ source, missing }: MergedHour, atMs: number): WeatherBundle['hourSources'][number] => ({
  atMs,
  source,
  missing,
});
