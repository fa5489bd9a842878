import { Inject, Injectable } from '@nestjs/common';
import type { VehicleRecord } from '@keen/core';
import { and, asc, eq, isNull } from 'drizzle-orm';
import type { Database } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { vehicles } from '../db/schema.js';

type Row = typeof vehicles.$inferSelect;

const toRecord = ({ removedMs: _, ...record }: Row): VehicleRecord => record;

@Injectable()
export class VehiclesRepository {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  async list(): Promise<VehicleRecord[]> {
    const rows = await this.db
      .select()
      .from(vehicles)
      .where(isNull(vehicles.removedMs))
      .orderBy(asc(vehicles.name));
    return rows.map(toRecord);
  }

  async find(id: string): Promise<VehicleRecord | null> {
    const [row] = await this.db
      .select()
      .from(vehicles)
      .where(and(eq(vehicles.id, id), isNull(vehicles.removedMs)));
    return row ? toRecord(row) : null;
  }

  async insert(record: VehicleRecord): Promise<void> {
    await this.db.insert(vehicles).values(record);
  }

  async update(id: string, change: Partial<VehicleRecord>): Promise<void> {
    if (Object.keys(change).length > 0) await this.db.update(vehicles).set(change).where(eq(vehicles.id, id));
  }

  /** Takes it away (an instant) or brings it back (null). Answers whether there is such a row. */
  async setRemoved(id: string, removedMs: number | null): Promise<boolean> {
    const { rowsAffected } = await this.db.update(vehicles).set({ removedMs }).where(eq(vehicles.id, id));
    return rowsAffected > 0;
  }
}
