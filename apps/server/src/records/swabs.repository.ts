import { Inject, Injectable } from '@nestjs/common';
import type { SaltReading, SwabInput } from '@keen/core';
import type { Database } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { swabs } from '../db/schema.js';
import { VehicleRows } from './vehicle-rows.js';

/** A swab as it was taken, and the load that follows from it. */
export interface SwabRecord extends SaltReading, SwabInput {
  readonly id: string;
  readonly vehicleId: string;
}

@Injectable()
export class SwabsRepository extends VehicleRows<SwabRecord> {
  constructor(@Inject(DATABASE) db: Database) {
    super(db, swabs, swabs.atMs);
  }
}
