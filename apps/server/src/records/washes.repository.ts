import { Inject, Injectable } from '@nestjs/common';
import type { WashRecord, WashStatus } from '@keen/core';
import { and, asc, eq, gte, isNull, sql } from 'drizzle-orm';
import { type Database, type Write, writeAll } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { InTurn } from '../db/in-turn.js';
import { washes } from '../db/schema.js';
import { recordOf, RemovableRows } from './removable-rows.js';

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

@Injectable()
export class WashesRepository extends RemovableRows<WashRecord> {
  private readonly turn = new InTurn();

  constructor(@Inject(DATABASE) db: Database) {
    super(db, { what: 'wash', table: washes, order: [washes.startMs] });
  }

  /** Changes of washes that rest on what was read: one after the other. */
  inTurn<T>(work: () => Promise<T>): Promise<T> {
    return this.turn.run(work);
  }

  /** Newest first. */
  override async list({ vehicleId, status }: WashFilter = {}): Promise<WashRecord[]> {
    const found = await this.where(
      vehicleId === undefined ? undefined : eq(washes.vehicleId, vehicleId),
      status === undefined ? undefined : eq(washes.status, status),
    );
    return found.reverse();
  }

  /** Planned from an instant on, with how often each was moved. */
  async forCalendar(fromMs: number): Promise<(WashRecord & { readonly revision: number })[]> {
    const rows = await this.db
      .select()
      .from(washes)
      .where(and(isNull(washes.removedMs), eq(washes.status, 'planned'), gte(washes.startMs, fromMs)))
      .orderBy(asc(washes.startMs));
    return rows.map((row) => ({ ...recordOf<WashRecord>(row), revision: row.revision }));
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
}
