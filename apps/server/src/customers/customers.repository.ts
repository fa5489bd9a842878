import { Inject, Injectable } from '@nestjs/common';
import type { Customer } from '@keen/core';
import { and, asc, eq, isNull } from 'drizzle-orm';
import type { Database } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { customers, vehicles } from '../db/schema.js';

type Row = typeof customers.$inferSelect;

const toRecord = ({ removedMs: _, ...record }: Row): Customer => record;

@Injectable()
export class CustomersRepository {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  async list(): Promise<Customer[]> {
    const rows = await this.db
      .select()
      .from(customers)
      .where(isNull(customers.removedMs))
      .orderBy(asc(customers.name));
    return rows.map(toRecord);
  }

  async find(id: string): Promise<Customer | null> {
    const [row] = await this.db
      .select()
      .from(customers)
      .where(and(eq(customers.id, id), isNull(customers.removedMs)));
    return row ? toRecord(row) : null;
  }

  async insert(record: Customer): Promise<void> {
    await this.db.insert(customers).values(record);
  }

  async update(id: string, change: Partial<Customer>): Promise<void> {
    if (Object.keys(change).length > 0)
      await this.db.update(customers).set(change).where(eq(customers.id, id));
  }

  /** The customer's cars, and only they; others keep theirs. */
  async setCars(customerId: string, vehicleIds: readonly string[]): Promise<void> {
    await this.db.batch([
      this.db.update(vehicles).set({ customerId: null }).where(eq(vehicles.customerId, customerId)),
      ...vehicleIds.map((id) => this.db.update(vehicles).set({ customerId }).where(eq(vehicles.id, id))),
    ]);
  }

  async setRemoved(id: string, removedMs: number | null): Promise<boolean> {
    const { rowsAffected } = await this.db.update(customers).set({ removedMs }).where(eq(customers.id, id));
    return rowsAffected > 0;
  }
}
