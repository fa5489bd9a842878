import { Inject, Injectable } from '@nestjs/common';
import type { BookedSpan } from '@keen/core';
import { and, asc, eq, gt, isNotNull, isNull } from 'drizzle-orm';
import type { Database } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { bookings } from '../db/schema.js';

export interface BookingRecord extends BookedSpan {
  /** What was agreed on, minor units; null: not yet. */
  readonly agreedMinor: number | null;
  readonly note: string;
}

@Injectable()
export class BookingsRepository {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  /** Promises whose hour has not passed, the nearest first. */
  async open(nowMs: number): Promise<BookingRecord[]> {
    const rows = await this.db
      .select()
      .from(bookings)
      .where(and(isNull(bookings.removedMs), gt(bookings.readyByMs, nowMs)))
      .orderBy(asc(bookings.readyByMs));
    return rows.map(({ removedMs: _, ...record }) => record);
  }

  async find(id: string): Promise<BookingRecord | null> {
    const [row] = await this.db
      .select()
      .from(bookings)
      .where(and(eq(bookings.id, id), isNull(bookings.removedMs)));
    if (!row) return null;
    const { removedMs: _, ...record } = row;
    return record;
  }

  /** One that was removed. */
  async findRemoved(id: string): Promise<BookingRecord | null> {
    const [row] = await this.db
      .select()
      .from(bookings)
      .where(and(eq(bookings.id, id), isNotNull(bookings.removedMs)));
    if (!row) return null;
    const { removedMs: _, ...record } = row;
    return record;
  }

  async insert(record: BookingRecord): Promise<void> {
    await this.db.insert(bookings).values(record);
  }

  async update(id: string, change: Partial<BookingRecord>): Promise<void> {
    if (Object.keys(change).length > 0) await this.db.update(bookings).set(change).where(eq(bookings.id, id));
  }

  async setRemoved(id: string, removedMs: number | null): Promise<boolean> {
    const { rowsAffected } = await this.db.update(bookings).set({ removedMs }).where(eq(bookings.id, id));
    return rowsAffected > 0;
  }
}
