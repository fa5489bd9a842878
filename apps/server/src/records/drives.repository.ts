import { Inject, Injectable } from '@nestjs/common';
import type { DriveRecord } from '@keen/core';
import type { Database } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { drives } from '../db/schema.js';
import { VehicleRows } from './vehicle-rows.js';

@Injectable()
export class DrivesRepository extends VehicleRows<DriveRecord> {
  constructor(@Inject(DATABASE) db: Database) {
    super(db, drives, drives.hourMs);
  }
}
