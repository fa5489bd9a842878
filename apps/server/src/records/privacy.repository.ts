import { Inject, Injectable } from '@nestjs/common';
import { and, eq, inArray, or, type SQL, sql } from 'drizzle-orm';
import type { SQLiteTable } from 'drizzle-orm/sqlite-core';
import { type Database, writeAll } from '../db/database.js';
import { DATABASE } from '../db/database.module.js';
import {
  audit,
  bookings,
  customers,
  drives,
  messages,
  runActions,
  runPacks,
  runPhotos,
  soilLooks,
  spotPhotos,
  spots,
  swabs,
  vehicles,
  washes,
} from '../db/schema.js';

type Row = Readonly<Record<string, unknown>>;

/** Pictures go out as text. */
const withText = (row: Row): Row =>
  Object.fromEntries(
    Object.entries(row).map(([name, value]) => [
      name,
      value instanceof Uint8Array ? Buffer.from(value).toString('base64') : value,
    ]),
  );

/** What a car is called once nobody may know whose it was. */
const NAMELESS = 'A former customer’s car';

/** All that hangs on one customer, taken out or erased. */
@Injectable()
export class PrivacyRepository {
  constructor(@Inject(DATABASE) private readonly db: Database) {}

  private async carsOf(customerId: string): Promise<string[]> {
    const rows = await this.db
      .select({ id: vehicles.id })
      .from(vehicles)
      .where(eq(vehicles.customerId, customerId));
    return rows.map(({ id }) => id);
  }

  private async washesOf(cars: readonly string[]): Promise<string[]> {
    const rows = await this.db
      .select({ id: washes.id })
      .from(washes)
      .where(inArray(washes.vehicleId, [...cars]));
    return rows.map(({ id }) => id);
  }

  /** Every row about the customer and their cars, by its table; deleted ones that could be brought back among them. */
  async everything(customerId: string): Promise<Readonly<Record<string, readonly Row[]>>> {
    const cars = await this.carsOf(customerId);
    const ofWashes = await this.washesOf(cars);
    const rows = async (table: SQLiteTable, where: SQL): Promise<Row[]> =>
      (await this.db.select().from(table).where(where)).map((row) => withText(row));
    const ofCar = [bookings, drives, swabs, spots, spotPhotos, soilLooks, washes] as const;
    const ofRun = [runActions, runPhotos] as const;
    const names = ['bookings', 'drives', 'swabs', 'spots', 'spotPhotos', 'looks', 'washes'] as const;
    const parts = await Promise.all([
      rows(customers, eq(customers.id, customerId)),
      rows(vehicles, inArray(vehicles.id, cars)),
      rows(messages, eq(messages.customerId, customerId)),
      ...ofRun.map((table) => rows(table, inArray(table.washId, ofWashes))),
      ...ofCar.map((table) => rows(table, inArray(table.vehicleId, cars))),
    ]);
    const keys = ['customer', 'vehicles', 'messages', 'runDeeds', 'runPhotos', ...names];
    return Object.fromEntries(keys.map((key, i) => [key, parts[i] ?? []]));
  }

  /** Bookings and spots of these cars, and messages to their owner, by id. */
  private async notesAbout(customerId: string, cars: readonly string[]): Promise<string[]> {
    const { db } = this;
    const found = await Promise.all([
      db
        .select({ id: bookings.id })
        .from(bookings)
        .where(inArray(bookings.vehicleId, [...cars])),
      db.select({ id: messages.id }).from(messages).where(eq(messages.customerId, customerId)),
      db
        .select({ id: spots.id })
        .from(spots)
        .where(inArray(spots.vehicleId, [...cars])),
    ]);
    return found.flat().map(({ id }) => id);
  }

  /**
   * Erases the customer, their bookings and messages, all photographs and notes, and what was noted of changes to them, in one batch. Their
   * cars lose their names and leave the shop; what salt and washes did to them stays for the shop's own figures.
   */
  async erase(customerId: string, atMs: number): Promise<void> {
    const { db } = this;
    const cars = await this.carsOf(customerId);
    const ofWashes = await this.washesOf(cars);
    const ids = [customerId, ...cars, ...ofWashes];
    const all = [...ids, ...(await this.notesAbout(customerId, cars))];
    const found = washes.found;
    await writeAll(db, [
      db.delete(runPhotos).where(inArray(runPhotos.washId, ofWashes)),
      db.delete(runActions).where(inArray(runActions.washId, ofWashes)),
      db.delete(runPacks).where(inArray(runPacks.washId, ofWashes)),
      db.delete(spotPhotos).where(inArray(spotPhotos.vehicleId, cars)),
      db.update(spots).set({ note: '' }).where(inArray(spots.vehicleId, cars)),
      db.delete(messages).where(or(eq(messages.customerId, customerId), inArray(messages.vehicleId, cars))),
      db.delete(bookings).where(inArray(bookings.vehicleId, cars)),
      db
        .update(washes)
        .set({
          found: sql`json_replace(${found}, '$.note', '', '$.leftovers', '', '$.run.notes', json('[]'))`,
        })
        .where(and(inArray(washes.id, ofWashes), sql`${found} is not null`)),
      db
        .update(washes)
        .set({ removedMs: atMs })
        .where(and(inArray(washes.vehicleId, cars), eq(washes.status, 'planned'))),
      db
        .update(vehicles)
        .set({ name: NAMELESS, colourName: '', keeper: '', notes: '', customerId: null, removedMs: atMs })
        .where(inArray(vehicles.id, cars)),
      db.delete(customers).where(eq(customers.id, customerId)),
      // Last, since each of these writes was noted with what it took away.
      db.delete(audit).where(inArray(audit.recordId, all)),
    ]);
  }
}
