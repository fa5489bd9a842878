import { randomUUID } from 'node:crypto';
import { Inject, Injectable } from '@nestjs/common';
import type { Treatment } from '@keen/core';
import { and, asc, eq, gte, isNull, max } from 'drizzle-orm';
import type { Database } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { treatments } from '../db/schema.js';

export interface TreatmentRecord extends Treatment {
  readonly id: string;
  /** Who told it. */
  readonly source: string;
}

const ROWS_PER_INSERT = 400;

@Injectable()
export class TreatmentsRepository {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  async list(fromMs: number): Promise<TreatmentRecord[]> {
    const rows = await this.db
      .select()
      .from(treatments)
      .where(and(isNull(treatments.removedMs), gte(treatments.atMs, fromMs)))
      .orderBy(asc(treatments.atMs));
    return rows.map(({ removedMs: _, ...row }) => row);
  }

  /** Of one source, taken-away ones included: what was fetched once is not fetched again. */
  async newestMs(source: string): Promise<number | null> {
    const [row] = await this.db
      .select({ atMs: max(treatments.atMs) })
      .from(treatments)
      .where(eq(treatments.source, source));
    return row?.atMs ?? null;
  }

  /** All or none; with `skipKnown` a treatment that is kept already stays as it is. */
  async insert(source: string, rows: readonly Treatment[], skipKnown: boolean): Promise<TreatmentRecord[]> {
    const records = rows.map(({ atMs, roadClass, agent, gramsPerM2 }) => ({
      id: randomUUID(),
      atMs,
      roadClass,
      agent,
      gramsPerM2,
      source,
    }));
    const chunks = Array.from({ length: Math.ceil(records.length / ROWS_PER_INSERT) }, (_, i) =>
      records.slice(i * ROWS_PER_INSERT, (i + 1) * ROWS_PER_INSERT),
    );
    const [first, ...rest] = chunks.map((chunk) => {
      const insert = this.db.insert(treatments).values(chunk);
      return skipKnown ? insert.onConflictDoNothing() : insert;
    });
    if (first) await this.db.batch([first, ...rest]);
    return records;
  }

  async setRemoved(id: string, removedMs: number | null): Promise<boolean> {
    const { rowsAffected } = await this.db.update(treatments).set({ removedMs }).where(eq(treatments.id, id));
    return rowsAffected > 0;
  }
}
