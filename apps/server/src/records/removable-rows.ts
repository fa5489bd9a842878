import { and, asc, eq, isNotNull, isNull, type SQL } from 'drizzle-orm';
import type { AnySQLiteColumn, SQLiteTable } from 'drizzle-orm/sqlite-core';
import type { Database } from '../db/database.js';
import { notFound } from '../errors/api-error.js';

export type RemovableTable = SQLiteTable & {
  readonly id: AnySQLiteColumn;
  readonly removedMs: AnySQLiteColumn;
};

interface Kept {
  /** What a row is called where it is not found. */
  readonly what: string;
  readonly table: RemovableTable;
  readonly order: readonly AnySQLiteColumn[];
}

/** Columns that are the store's own and no part of a record. */
const OWN_COLUMNS: ReadonlySet<string> = new Set(['removedMs', 'revision']);

/** A row as the rest of the program knows it. */
export const recordOf = <R>(row: Readonly<Record<string, unknown>>): R =>
  Object.fromEntries(Object.entries(row).filter(([column]) => !OWN_COLUMNS.has(column))) as R;

/**
 * Rows that can be taken away and brought back: one shape for every table that holds such.
 *
 * @typeParam R what a row is to the rest of the program
 */
export class RemovableRows<R extends { readonly id: string }> {
  constructor(
    protected readonly db: Database,
    private readonly kept: Kept,
  ) {}

  /** All that are there, in the order of the table. */
  list(): Promise<R[]> {
    return this.where();
  }

  async find(id: string): Promise<R | null> {
    const [row] = await this.where(eq(this.kept.table.id, id));
    return row ?? null;
  }

  /** @throws 404 naming what there is not */
  async read(id: string): Promise<R> {
    const record = await this.find(id);
    if (!record) throw notFound(this.kept.what, id);
    return record;
  }

  /** One that was taken away. */
  async findRemoved(id: string): Promise<R | null> {
    const { table } = this.kept;
    const [row] = await this.db
      .select()
      .from(table)
      .where(and(eq(table.id, id), isNotNull(table.removedMs)));
    return row ? recordOf<R>(row) : null;
  }

  async insert(record: R): Promise<void> {
    await this.db.insert(this.kept.table).values(record);
  }

  async update(id: string, change: Partial<R>): Promise<void> {
    if (Object.keys(change).length === 0) return;
    const { table } = this.kept;
    await this.db.update(table).set(change).where(eq(table.id, id));
  }

  /** Takes it away (an instant) or brings it back (null). Answers whether there is such a row. */
  async setRemoved(id: string, removedMs: number | null): Promise<boolean> {
    const { table } = this.kept;
    const { rowsAffected } = await this.db.update(table).set({ removedMs }).where(eq(table.id, id));
    return rowsAffected > 0;
  }

  /** Brings it back. @throws 404 naming what there is not */
  async restore(id: string): Promise<R> {
    await this.setRemoved(id, null);
    return this.read(id);
  }

  /** Those that are there and fit all of these. */
  protected async where(...wanted: readonly (SQL | undefined)[]): Promise<R[]> {
    const { table, order } = this.kept;
    const rows = await this.db
      .select()
      .from(table)
      .where(and(isNull(table.removedMs), ...wanted))
      .orderBy(...order.map((column) => asc(column)));
    return rows.map((row) => recordOf<R>(row));
  }
}
