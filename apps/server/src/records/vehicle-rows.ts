import { and, asc, eq, inArray, isNull } from 'drizzle-orm';
import type { AnySQLiteColumn } from 'drizzle-orm/sqlite-core';
import { type Database, writeAll } from '../db/database.js';
import { inChunks } from './in-chunks.js';
import { recordOf, type RemovableTable } from './removable-rows.js';

type VehicleTable = RemovableTable & { readonly vehicleId: AnySQLiteColumn };

/**
 * Rows that belong to a vehicle and can be taken away and brought back: one store for each such table.
 *
 * @typeParam R what a row is to the rest of the program, without `removedMs`
 */
export class VehicleRows<R extends { readonly id: string; readonly vehicleId: string }> {
  constructor(
    private readonly db: Database,
    private readonly table: VehicleTable,
    private readonly order: AnySQLiteColumn,
  ) {}

  /** In order of time; of all vehicles where none is named. */
  async list(vehicleId?: string): Promise<R[]> {
    const { table } = this;
    const here = vehicleId === undefined ? undefined : eq(table.vehicleId, vehicleId);
    const rows = await this.db
      .select()
      .from(table)
      .where(and(isNull(table.removedMs), here))
      .orderBy(asc(this.order));
    return rows.map((row) => recordOf<R>(row));
  }

  /** All or none. */
  async insert(rows: readonly R[]): Promise<void> {
    await writeAll(
      this.db,
      inChunks(rows).map((chunk) => this.db.insert(this.table).values(chunk)),
    );
  }

  /** Takes one of a vehicle's rows away (an instant) or brings it back (null). Answers whether there is such a row. */
  async setRemoved(of: { vehicleId: string; id: string }, removedMs: number | null): Promise<boolean> {
    const { table } = this;
    const { rowsAffected } = await this.db
      .update(table)
      .set({ removedMs })
      .where(and(eq(table.id, of.id), eq(table.vehicleId, of.vehicleId)));
    return rowsAffected > 0;
  }

  /** The same for several rows of a vehicle, all or none. Answers which of them there are. */
  async setAllRemoved(
    vehicleId: string,
    ids: readonly string[],
    removedMs: number | null,
  ): Promise<string[]> {
    const { table } = this;
    const named = and(eq(table.vehicleId, vehicleId), inArray(table.id, [...ids]));
    const found = await this.db.select({ id: table.id }).from(table).where(named);
    if (found.length === ids.length) await this.db.update(table).set({ removedMs }).where(named);
    return found.map(({ id }) => String(id));
  }
}
