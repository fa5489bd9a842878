import { Inject, Injectable } from '@nestjs/common';
import type { SightRecord } from '@keen/core';
import { gte } from 'drizzle-orm';
import type { Database } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import { sights } from '../db/schema.js';
import { RemovableRows } from './removable-rows.js';

@Injectable()
export class SightsRepository extends RemovableRows<SightRecord> {
  constructor(@Inject(DATABASE) db: Database) {
    super(db, { what: 'sight', table: sights, order: [sights.atMs] });
  }

  /** In order of time. */
  since(fromMs: number): Promise<SightRecord[]> {
    return this.where(gte(sights.atMs, fromMs));
  }
}
