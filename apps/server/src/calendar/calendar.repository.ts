import { randomUUID } from 'node:crypto';
import { Inject, Injectable } from '@nestjs/common';
import { asc, eq, gt } from 'drizzle-orm';
import type { Database } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { busyTimes, settings } from '../db/schema.js';
import type { BusySpan } from './read-calendar.js';

const ROWS_PER_INSERT = 300;
const SECRET_KEY = 'calendarSecret';

export type BusyRow = typeof busyTimes.$inferSelect;

@Injectable()
export class CalendarRepository {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  /** Busy times that are not over at an instant. */
  busy(afterMs: number): Promise<BusyRow[]> {
    return this.db.select().from(busyTimes).where(gt(busyTimes.toMs, afterMs)).orderBy(asc(busyTimes.fromMs));
  }

  /** Puts these in the place of all that came from a calendar before, all or none. */
  async replace(calendar: string, handsId: string | null, spans: readonly BusySpan[]): Promise<void> {
    const rows = spans.map((span) => ({ ...span, id: randomUUID(), calendar, handsId }));
    const inserts = Array.from({ length: Math.ceil(rows.length / ROWS_PER_INSERT) }, (_, i) =>
      this.db.insert(busyTimes).values(rows.slice(i * ROWS_PER_INSERT, (i + 1) * ROWS_PER_INSERT)),
    );
    await this.db.batch([this.db.delete(busyTimes).where(eq(busyTimes.calendar, calendar)), ...inserts]);
  }

  async forget(calendar: string): Promise<boolean> {
    const { rowsAffected } = await this.db.delete(busyTimes).where(eq(busyTimes.calendar, calendar));
    return rowsAffected > 0;
  }

  async secret(): Promise<string | null> {
    const [row] = await this.db.select().from(settings).where(eq(settings.key, SECRET_KEY));
    return typeof row?.value === 'string' ? row.value : null;
  }

  async setSecret(value: string): Promise<void> {
    await this.db
      .insert(settings)
      .values({ key: SECRET_KEY, value })
      .onConflictDoUpdate({ target: settings.key, set: { value } });
  }
}
