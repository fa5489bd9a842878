import { Inject, Injectable } from '@nestjs/common';
import type { PlaceRecord } from '@keen/core';
import { and, asc, eq, isNull } from 'drizzle-orm';
import type { Database } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { places } from '../db/schema.js';

type Row = typeof places.$inferSelect;

const toRecord = ({ removedMs: _, ...record }: Row): PlaceRecord => record;

@Injectable()
export class PlacesRepository {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  async list(): Promise<PlaceRecord[]> {
    const rows = await this.db
      .select()
      .from(places)
      .where(isNull(places.removedMs))
      .orderBy(asc(places.travelMinutes), asc(places.name));
    return rows.map(toRecord);
  }

  async find(id: string): Promise<PlaceRecord | null> {
    const [row] = await this.db
      .select()
      .from(places)
      .where(and(eq(places.id, id), isNull(places.removedMs)));
    return row ? toRecord(row) : null;
  }

  async insert(record: PlaceRecord): Promise<void> {
    await this.db.insert(places).values(record);
  }

  async update(id: string, change: Partial<PlaceRecord>): Promise<void> {
    if (Object.keys(change).length > 0) await this.db.update(places).set(change).where(eq(places.id, id));
  }

  /** Takes it away (an instant) or brings it back (null). Answers whether there is such a row. */
  async setRemoved(id: string, removedMs: number | null): Promise<boolean> {
    const { rowsAffected } = await this.db.update(places).set({ removedMs }).where(eq(places.id, id));
    return rowsAffected > 0;
  }
}
