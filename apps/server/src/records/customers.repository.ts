import { Inject, Injectable } from '@nestjs/common';
import type { Customer } from '@keen/core';
import { eq } from 'drizzle-orm';
import type { Database } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { customers, vehicles } from '../db/schema.js';
import { RemovableRows } from './removable-rows.js';

@Injectable()
export class CustomersRepository extends RemovableRows<Customer> {
  constructor(@Inject(DATABASE) db: Database) {
    super(db, { what: 'customer', table: customers, order: [customers.name] });
  }

  /** The customer's cars, and only they; others keep theirs. */
  async setCars(customerId: string, vehicleIds: readonly string[]): Promise<void> {
    await this.db.batch([
      this.db.update(vehicles).set({ customerId: null }).where(eq(vehicles.customerId, customerId)),
      ...vehicleIds.map((id) => this.db.update(vehicles).set({ customerId }).where(eq(vehicles.id, id))),
    ]);
  }
}
