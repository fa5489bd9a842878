import { Inject, Injectable } from '@nestjs/common';
import type { WashRecord, WashStatus } from '@keen/core';
import { and, desc, eq, isNull, type SQL } from 'drizzle-orm';
import type { Database } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { washes } from '../db/schema.js';

export interface WashFilter {
  readonly vehicleId?: string;
  readonly status?: WashStatus;
}

type Row = typeof washes.$inferSelect;

const toRecord = ({ removedMs: _, ...record }: Row): WashRecord => record;

@Injectable()
export class WashesRepository {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  /** Newest first. */
  async list({ vehicleId, status }: WashFilter): Promise<WashRecord[]> {
    const wanted: SQL[] = [isNull(washes.removedMs)];
    if (vehicleId !== undefined) wanted.push(eq(washes.vehicleId, vehicleId));
    if (status !== undefined) wanted.push(eq(washes.status, status));
    const rows = await this.db
      .select()
      .from(washes)
      .where(and(...wanted))
      .orderBy(desc(washes.startMs));
    return rows.map(toRecord);
  }

  async find(id: string): Promise<WashRecord | null> {
    const [row] = await this.db
      .select()
      .from(washes)
      .where(and(eq(washes.id, id), isNull(washes.removedMs)));
    return row ? toRecord(row) : null;
  }

  async insert(record: WashRecord): Promise<void> {
    await this.db.insert(washes).values(record);
  }

  async update(id: string, change: Partial<WashRecord>): Promise<void> {
    if (Object.keys(change).length > 0) await this.db.update(washes).set(change).where(eq(washes.id, id));
  }

  /** Takes it away (an instant) or brings it back (null). Answers whether there is such a row. */
  async setRemoved(id: string, removedMs: number | null): Promise<boolean> {
    const { rowsAffected } = await this.db.update(washes).set({ removedMs }).where(eq(washes.id, id));
    return rowsAffected > 0;
  }
}
