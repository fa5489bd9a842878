import { Inject, Injectable } from '@nestjs/common';
import type { WeatherHour } from '@keen/core';
import { and, asc, desc, gte, lt, lte, max } from 'drizzle-orm';
import type { Database } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { forecastRuns, weatherHours } from '../db/schema.js';
import type { ForecastRun } from './weather-source.js';

const ROWS_PER_INSERT = 400;

@Injectable()
export class WeatherRepository {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  async newestObservedMs(): Promise<number | null> {
    const [row] = await this.db.select({ atMs: max(weatherHours.atMs) }).from(weatherHours);
    return row?.atMs ?? null;
  }

  async observed(fromMs: number, toMs: number): Promise<WeatherHour[]> {
    const rows = await this.db
      .select({ hour: weatherHours.hour })
      .from(weatherHours)
      .where(and(gte(weatherHours.atMs, fromMs), lt(weatherHours.atMs, toMs)))
      .orderBy(asc(weatherHours.atMs));
    return rows.map(({ hour }) => hour);
  }

  /** Adds hours, all or none; hours already there stay as they are. */
  async addObserved(source: string, hours: readonly WeatherHour[]): Promise<void> {
    const chunks = Array.from({ length: Math.ceil(hours.length / ROWS_PER_INSERT) }, (_, i) =>
      hours.slice(i * ROWS_PER_INSERT, (i + 1) * ROWS_PER_INSERT),
    );
    const [first, ...rest] = chunks.map((chunk) =>
      this.db
        .insert(weatherHours)
        .values(chunk.map((hour) => ({ atMs: hour.atMs, source, hour })))
        .onConflictDoNothing(),
    );
    if (first) await this.db.batch([first, ...rest]);
  }

  /** When the newest run at or before an instant was issued; the run itself is large. */
  async newestIssuedMs(atMs: number): Promise<number | null> {
    const [row] = await this.db
      .select({ issuedMs: max(forecastRuns.issuedMs) })
      .from(forecastRuns)
      .where(lte(forecastRuns.issuedMs, atMs));
    return row?.issuedMs ?? null;
  }

  /** The newest run issued at or before an instant. */
  async newestRun(atMs: number): Promise<ForecastRun | null> {
    const [row] = await this.db
      .select()
      .from(forecastRuns)
      .where(lte(forecastRuns.issuedMs, atMs))
      .orderBy(desc(forecastRuns.issuedMs))
      .limit(1);
    return row ?? null;
  }

  async addRun(run: ForecastRun): Promise<void> {
    await this.db.insert(forecastRuns).values(run).onConflictDoNothing();
  }

  /** Old runs have done their work. */
  async forgetRunsBefore(issuedMs: number): Promise<void> {
    await this.db.delete(forecastRuns).where(lt(forecastRuns.issuedMs, issuedMs));
  }
}
