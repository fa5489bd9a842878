import { randomUUID } from 'node:crypto';
import { Inject, Injectable } from '@nestjs/common';
import type { Treatment, TreatmentRecord } from '@keen/core';
import { eq, gte, max } from 'drizzle-orm';
import { type Database, writeAll } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { treatments } from '../db/schema.js';
import { inChunks } from './in-chunks.js';
import { RemovableRows } from './removable-rows.js';

@Injectable()
export class TreatmentsRepository extends RemovableRows<TreatmentRecord> {
  constructor(@Inject(DATABASE) db: Database) {
    super(db, { what: 'treatment', table: treatments, order: [treatments.atMs] });
  }

  /** In order of time. */
  since(fromMs: number): Promise<TreatmentRecord[]> {
    return this.where(gte(treatments.atMs, fromMs));
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
  async insertAll(
    source: string,
    rows: readonly Treatment[],
    skipKnown: boolean,
  ): Promise<TreatmentRecord[]> {
    const records = rows.map(({ atMs, roadClass, agent, gramsPerM2 }) => ({
      id: randomUUID(),
      atMs,
      roadClass,
      agent,
      gramsPerM2,
      source,
    }));
    const inserts = inChunks(records).map((chunk) => {
      const insert = this.db.insert(treatments).values(chunk);
      return skipKnown ? insert.onConflictDoNothing() : insert;
    });
    await writeAll(this.db, inserts);
    return records;
  }
}
