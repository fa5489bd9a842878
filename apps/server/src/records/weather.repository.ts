import { Inject, Injectable } from '@nestjs/common';
import { type WeatherReading, type ForecastRun, type KeptOfSource } from '@keen/core';
import { and, asc, count, desc, eq, gte, lt, lte, max, min, sql } from 'drizzle-orm';
import type { Database } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { forecastRuns, weatherHours } from '../db/schema.js';

const ROWS_PER_INSERT = 400;

@Injectable()
export class WeatherRepository {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  async newestObservedMs(source: string): Promise<number | null> {
    const [row] = await this.db
      .select({ atMs: max(weatherHours.atMs) })
      .from(weatherHours)
      .where(eq(weatherHours.source, source));
    return row?.atMs ?? null;
  }

  /** Hours that a source measured, in order. */
  async observed(source: string, fromMs: number, toMs: number): Promise<WeatherReading[]> {
    const rows = await this.db
      .select({ hour: weatherHours.hour })
      .from(weatherHours)
      .where(
        and(eq(weatherHours.source, source), gte(weatherHours.atMs, fromMs), lt(weatherHours.atMs, toMs)),
      )
      .orderBy(asc(weatherHours.atMs));
    return rows.map(({ hour }) => hour);
  }

  /** Adds measured hours, all or none; an hour that the source has told already is replaced. */
  async addObserved(source: string, hours: readonly WeatherReading[]): Promise<void> {
    const chunks = Array.from({ length: Math.ceil(hours.length / ROWS_PER_INSERT) }, (_, i) =>
      hours.slice(i * ROWS_PER_INSERT, (i + 1) * ROWS_PER_INSERT),
    );
    const [first, ...rest] = chunks.map((chunk) =>
      this.db
        .insert(weatherHours)
        .values(chunk.map((hour) => ({ atMs: hour.atMs, source, hour })))
        .onConflictDoUpdate({
          target: [weatherHours.source, weatherHours.atMs],
          set: { hour: sql`excluded.hour` },
        }),
    );
    if (first) await this.db.batch([first, ...rest]);
  }

  /** When the newest run of a source at or before an instant was issued; the run itself is large. */
  async newestIssuedMs(source: string, atMs: number): Promise<number | null> {
    const [row] = await this.db
      .select({ issuedMs: max(forecastRuns.issuedMs) })
      .from(forecastRuns)
      .where(and(eq(forecastRuns.source, source), lte(forecastRuns.issuedMs, atMs)));
    return row?.issuedMs ?? null;
  }

  /** The newest run of a source issued at or before an instant. */
  async newestRun(source: string, atMs: number): Promise<ForecastRun | null> {
    const [row] = await this.db
      .select()
      .from(forecastRuns)
      .where(and(eq(forecastRuns.source, source), lte(forecastRuns.issuedMs, atMs)))
      .orderBy(desc(forecastRuns.issuedMs))
      .limit(1);
    return row ?? null;
  }

  /** Keeps a run; another of the same source and instant is replaced. */
  async addRun(run: ForecastRun): Promise<void> {
    await this.db
      .insert(forecastRuns)
      .values(run)
      .onConflictDoUpdate({
        target: [forecastRuns.source, forecastRuns.issuedMs],
        set: { members: run.members },
      });
  }

  /** Old runs have done their work. */
  async forgetRunsBefore(issuedMs: number): Promise<void> {
    await this.db.delete(forecastRuns).where(lt(forecastRuns.issuedMs, issuedMs));
  }

  /** What is kept of every source; of its forecasts the newest issued by an instant. */
  async kept(atMs: number): Promise<KeptOfSource[]> {
    const [measured, issued] = await Promise.all([
      this.db
        .select({
          source: weatherHours.source,
          measuredHours: count(),
          firstMs: min(weatherHours.atMs),
          lastMs: max(weatherHours.atMs),
        })
        .from(weatherHours)
        .groupBy(weatherHours.source),
      this.db
        .select({ source: forecastRuns.source, issuedMs: max(forecastRuns.issuedMs) })
        .from(forecastRuns)
        .where(lte(forecastRuns.issuedMs, atMs))
        .groupBy(forecastRuns.source),
    ]);
    const names = [...new Set([...measured, ...issued].map(({ source }) => source))].sort();
    return names.map((source) => {
      const told = measured.find((row) => row.source === source);
      return {
        source,
        measuredHours: told?.measuredHours ?? 0,
        firstMs: told?.firstMs ?? null,
        lastMs: told?.lastMs ?? null,
        issuedMs: issued.find((row) => row.source === source)?.issuedMs ?? null,
      };
    });
  }

  /** Takes away all that a source told. */
  async forget(source: string): Promise<void> {
    await this.db.batch([
      this.db.delete(weatherHours).where(eq(weatherHours.source, source)),
      this.db.delete(forecastRuns).where(eq(forecastRuns.source, source)),
    ]);
  }
}
