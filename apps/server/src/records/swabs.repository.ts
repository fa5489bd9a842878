import { Inject, Injectable } from '@nestjs/common';
import type { SwabRecord } from '@keen/core';
import type { Database } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { swabs } from '../db/schema.js';
import { VehicleRows } from './vehicle-rows.js';

@Injectable()
export class SwabsRepository extends VehicleRows<SwabRecord> {
  constructor(@Inject(DATABASE) db: Database) {
    super(db, swabs, swabs.atMs);
  }
}
