import { Inject, Injectable } from '@nestjs/common';
import { getTableName, sql } from 'drizzle-orm';
import { type Database, writeAll } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import {
  audit,
  bookings,
  busyTimes,
  customers,
  drives,
  feeds,
  forecastRuns,
  gear,
  messages,
  places,
  products,
  runActions,
  runPacks,
  runPhotos,
  settings,
  sights,
  soilLooks,
  spotPhotos,
  spots,
  swabs,
  treatments,
  vehicles,
  washes,
  weatherHours,
} from '../db/schema.js';

/** Everything of the shop, what refers to other rows first; who may come in is not of it. */
const OF_SHOP = [
  runPhotos,
  runActions,
  runPacks,
  spotPhotos,
  spots,
  soilLooks,
  swabs,
  drives,
  messages,
  bookings,
  busyTimes,
  feeds,
  washes,
  vehicles,
  customers,
  places,
  treatments,
  sights,
  weatherHours,
  forecastRuns,
  products,
  gear,
  settings,
] as const;

/** The whole shop at once: gone, or another in its place. */
@Injectable()
export class AllRowsRepository {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  async isEmpty(): Promise<boolean> {
    const [cars, there] = await Promise.all([
      this.db.select({ id: vehicles.id }).from(vehicles).limit(1),
      this.db.select({ id: places.id }).from(places).limit(1),
    ]);
    return cars.length === 0 && there.length === 0;
  }

  /** All of the shop in one batch, what was noted of its changes as well. */
  async wipe(): Promise<void> {
    await writeAll(this.db, [
      ...OF_SHOP.map((table) => this.db.delete(table)),
      // Last, since each of these was noted.
      this.db.delete(audit),
    ]);
  }

  /** Takes over the rows of another database of the same version, all or none. */
  async takeFrom(file: string): Promise<void> {
    const { db } = this;
    await db.run(sql`attach database ${file} as other`);
    try {
      await writeAll(db, [
        ...OF_SHOP.map((table) => db.delete(table)),
        ...OF_SHOP.toReversed().map((table) => {
          const name = sql.identifier(getTableName(table));
          return db.run(sql`insert into main.${name} select * from other.${name}`);
        }),
        db.delete(audit),
      ]);
    } finally {
      await db.run(sql`detach database other`);
    }
  }
}
