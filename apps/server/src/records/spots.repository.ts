import { Inject, Injectable } from '@nestjs/common';
import type { SpotRecord } from '@keen/core';
import { and, eq, isNull } from 'drizzle-orm';
import type { Database } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { spots } from '../db/schema.js';
import { VehicleRows } from './vehicle-rows.js';

@Injectable()
export class SpotsRepository extends VehicleRows<SpotRecord> {
  constructor(@Inject(DATABASE) private readonly database: Database) {
    super(database, spots, spots.atMs);
  }

  /** Answers whether there is such a row that is not deleted. */
  async update(
    of: { vehicleId: string; id: string },
    change: Partial<Omit<SpotRecord, 'id' | 'vehicleId'>>,
  ): Promise<boolean> {
    const { rowsAffected } = await this.database
      .update(spots)
      .set(change)
      .where(and(eq(spots.id, of.id), eq(spots.vehicleId, of.vehicleId), isNull(spots.removedMs)));
    return rowsAffected > 0;
  }
}
