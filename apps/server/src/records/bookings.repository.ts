import { Inject, Injectable } from '@nestjs/common';
import type { BookingRecord } from '@keen/core';
import { gt } from 'drizzle-orm';
import type { Database } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { bookings } from '../db/schema.js';
import { RemovableRows } from './removable-rows.js';

@Injectable()
export class BookingsRepository extends RemovableRows<BookingRecord> {
  constructor(@Inject(DATABASE) db: Database) {
    super(db, { what: 'booking', table: bookings, order: [bookings.readyByMs] });
  }

  /** Promises whose hour has not passed, the nearest first. */
  open(nowMs: number): Promise<BookingRecord[]> {
    return this.where(gt(bookings.readyByMs, nowMs));
  }
}
