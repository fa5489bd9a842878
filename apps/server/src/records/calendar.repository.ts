import { randomUUID } from 'node:crypto';
import { Inject, Injectable } from '@nestjs/common';
import { asc, eq, gt } from 'drizzle-orm';
import type { Database } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { busyTimes, feeds } from '../db/schema.js';
import { inChunks } from './in-chunks.js';

export type FeedRow = typeof feeds.$inferSelect;
export type BusyRow = typeof busyTimes.$inferSelect;
type NewBusyTime = Omit<BusyRow, 'id' | 'calendar' | 'workerId'>;

@Injectable()
export class CalendarRepository {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  /** Busy times that are not over at an instant. */
  busy(afterMs: number): Promise<BusyRow[]> {
    return this.db.select().from(busyTimes).where(gt(busyTimes.toMs, afterMs)).orderBy(asc(busyTimes.fromMs));
  }

  /** Puts these in the place of all that came from a calendar before, all or none. */
  async replace(calendar: string, workerId: string | null, spans: readonly NewBusyTime[]): Promise<void> {
    const rows = spans.map((span) => ({ ...span, id: randomUUID(), calendar, workerId }));
    const inserts = inChunks(rows).map((chunk) => this.db.insert(busyTimes).values(chunk));
    await this.db.batch([this.db.delete(busyTimes).where(eq(busyTimes.calendar, calendar)), ...inserts]);
  }

  async forget(calendar: string): Promise<boolean> {
    const { rowsAffected } = await this.db.delete(busyTimes).where(eq(busyTimes.calendar, calendar));
    return rowsAffected > 0;
  }

  /** All feeds, by name. */
  feeds(): Promise<FeedRow[]> {
    return this.db.select().from(feeds).orderBy(asc(feeds.name));
  }

  async addFeed(row: FeedRow): Promise<void> {
    await this.db.insert(feeds).values(row);
  }

  /** @returns whether there is such a feed */
  async setFeed(
    id: string,
    change: Partial<Pick<FeedRow, 'secret' | 'madeMs' | 'lastReadMs'>>,
  ): Promise<boolean> {
    const { rowsAffected } = await this.db.update(feeds).set(change).where(eq(feeds.id, id));
    return rowsAffected > 0;
  }

  /** @returns whether there was such a feed */
  async deleteFeed(id: string): Promise<boolean> {
    const { rowsAffected } = await this.db.delete(feeds).where(eq(feeds.id, id));
    return rowsAffected > 0;
  }
}
