import { Inject, Injectable } from '@nestjs/common';
import type { CarsMade, Customer, VehicleRecord } from '@keen/core';
import { inArray } from 'drizzle-orm';
import { type Database, writeAll } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { customers, vehicles } from '../db/schema.js';
import { RemovableRows } from './removable-rows.js';

@Injectable()
export class VehiclesRepository extends RemovableRows<VehicleRecord> {
  constructor(@Inject(DATABASE) db: Database) {
    super(db, { what: 'vehicle', table: vehicles, order: [vehicles.name] });
  }

  /** A list of cars with the customers that came with it, all or none. */
  async addList(people: readonly Customer[], cars: readonly VehicleRecord[]): Promise<void> {
    await writeAll(this.db, [
      ...people.map((one) => this.db.insert(customers).values(one)),
      ...cars.map((one) => this.db.insert(vehicles).values(one)),
    ]);
  }

  /** Takes out what came with a list, all or none. */
  async removeList({ vehicleIds, customerIds }: CarsMade, atMs: number): Promise<void> {
    await writeAll(this.db, [
      this.db
        .update(vehicles)
        .set({ removedMs: atMs })
        .where(inArray(vehicles.id, [...vehicleIds])),
      this.db
        .update(customers)
        .set({ removedMs: atMs })
        .where(inArray(customers.id, [...customerIds])),
    ]);
  }
}
