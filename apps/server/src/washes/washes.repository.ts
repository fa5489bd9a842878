import { Inject, Injectable } from '@nestjs/common';
import type { WashRecord, WashStatus } from '@keen/core';
import { and, asc, desc, eq, gte, isNull, type SQL, sql } from 'drizzle-orm';
import { type Database, type Write, writeAll } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { washes } from '../db/schema.js';

export interface WashFilter {
  readonly vehicleId?: string;
  readonly status?: WashStatus;
}

/** Rows to be written together. */
export interface WashRows {
  readonly insert?: readonly WashRecord[];
  readonly update?: readonly WashRecord[];
  readonly setRemoved?: readonly { readonly id: string; readonly removedMs: number | null }[];
}

type Row = typeof washes.$inferSelect;

const toRecord = ({ removedMs: _, revision: _revision, ...record }: Row): WashRecord => record;

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

  /** Planned from an instant on, with how often each was moved. */
  async forCalendar(fromMs: number): Promise<(WashRecord & { readonly revision: number })[]> {
    const rows = await this.db
      .select()
      .from(washes)
      .where(and(isNull(washes.removedMs), eq(washes.status, 'planned'), gte(washes.startMs, fromMs)))
      .orderBy(asc(washes.startMs));
    return rows.map(({ revision, ...row }) => ({ ...toRecord({ revision, ...row }), revision }));
  }

  async find(id: string): Promise<WashRecord | null> {
    const [row] = await this.db
      .select()
      .from(washes)
      .where(and(eq(washes.id, id), isNull(washes.removedMs)));
    return row ? toRecord(row) : null;
  }

  /** One that was taken away. */
  async findRemoved(id: string): Promise<WashRecord | null> {
    const [row] = await this.db.select().from(washes).where(eq(washes.id, id));
    return row && row.removedMs !== null ? toRecord(row) : null;
  }

  /** Several changes in one transaction, and what goes with them in other tables. */
  async change(
    { insert = [], update = [], setRemoved = [] }: WashRows,
    also: readonly Write[] = [],
  ): Promise<void> {
    const writes: Write[] = [
      ...insert.map((record) => this.db.insert(washes).values(record)),
      ...update.map(({ id, ...record }) =>
        this.db
          .update(washes)
          .set({ ...record, revision: sql`${washes.revision} + 1` })
          .where(eq(washes.id, id)),
      ),
      ...setRemoved.map(({ id, removedMs }) =>
        this.db.update(washes).set({ removedMs }).where(eq(washes.id, id)),
      ),
      ...also,
    ];
    await writeAll(this.db, writes);
  }

  async update(id: string, change: Partial<WashRecord>): Promise<void> {
    if (Object.keys(change).length > 0) await this.db.update(washes).set(change).where(eq(washes.id, id));
  }
}
