import { randomUUID } from 'node:crypto';
import { Inject, Injectable } from '@nestjs/common';
import type { RoadClass, RoadState, Sight } from '@keen/core';
import { and, asc, eq, gte, isNull } from 'drizzle-orm';
import type { Database } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { sights } from '../db/schema.js';

export interface SightRecord extends Sight {
  readonly id: string;
  readonly roadClass: RoadClass | null;
  readonly roadState: RoadState | null;
}

@Injectable()
export class SightsRepository {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  /** In order of time. */
  async list(fromMs: number): Promise<SightRecord[]> {
    const rows = await this.db
      .select()
      .from(sights)
      .where(and(isNull(sights.removedMs), gte(sights.atMs, fromMs)))
      .orderBy(asc(sights.atMs));
    return rows.map(({ removedMs: _, ...row }) => row);
  }

  async insert(sight: Omit<SightRecord, 'id'>): Promise<SightRecord> {
    const record = { id: randomUUID(), ...sight };
    await this.db.insert(sights).values(record);
    return record;
  }

  async setRemoved(id: string, removedMs: number | null): Promise<boolean> {
    const { rowsAffected } = await this.db.update(sights).set({ removedMs }).where(eq(sights.id, id));
    return rowsAffected > 0;
  }
}
