import { Inject, Injectable } from '@nestjs/common';
import type { VehicleRecord } from '@keen/core';
import type { Database } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { vehicles } from '../db/schema.js';
import { RemovableRows } from './removable-rows.js';

@Injectable()
export class VehiclesRepository extends RemovableRows<VehicleRecord> {
  constructor(@Inject(DATABASE) db: Database) {
    super(db, { what: 'vehicle', table: vehicles, order: [vehicles.name] });
  }
}
