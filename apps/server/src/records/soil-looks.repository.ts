import { Inject, Injectable } from '@nestjs/common';
import type { SoilSeen } from '@keen/core';
import type { Database } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { soilLooks } from '../db/schema.js';
import { VehicleRows } from './vehicle-rows.js';

/** What somebody saw on a zone, beside what the estimate said at that moment. */
export interface SoilLookRecord extends SoilSeen {
  readonly id: string;
  readonly vehicleId: string;
  readonly estimatedThen: number;
}

@Injectable()
export class SoilLooksRepository extends VehicleRows<SoilLookRecord> {
  constructor(@Inject(DATABASE) db: Database) {
    super(db, soilLooks, soilLooks.atMs);
  }
}
