import { Inject, Injectable } from '@nestjs/common';
import type { SoilLookRecord } from '@keen/core';
import type { Database } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { soilLooks } from '../db/schema.js';
import { VehicleRows } from './vehicle-rows.js';

@Injectable()
export class SoilLooksRepository extends VehicleRows<SoilLookRecord> {
  constructor(@Inject(DATABASE) db: Database) {
    super(db, soilLooks, soilLooks.atMs);
  }
}
