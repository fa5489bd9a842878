import { Inject, Injectable } from '@nestjs/common';
import type { PlaceRecord } from '@keen/core';
import type { Database } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { places } from '../db/schema.js';
import { RemovableRows } from './removable-rows.js';

@Injectable()
export class PlacesRepository extends RemovableRows<PlaceRecord> {
  constructor(@Inject(DATABASE) db: Database) {
    super(db, { what: 'place', table: places, order: [places.travelMinutes, places.name] });
  }
}
