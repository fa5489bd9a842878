import { afterAll, beforeAll, beforeEach, describe, expect, it } from '@jest/globals';
import type { ForecastRun, KitTaken, WeatherReading } from '@keen/core';
import { sql } from 'drizzle-orm';
import { type Database, writeAll } from '../db/database.js';
import { gear, products } from '../db/schema.js';
import { ownDatabase } from '../testing/own-database.js';
import { BookingsRepository } from './bookings.repository.js';
import { CalendarRepository } from './calendar.repository.js';
import { GearRepository, KitRepository, ProductsRepository } from './kit.repository.js';
import { WeatherRepository } from './weather.repository.js';

const NOW = Date.UTC(2026, 0, 14, 12);
const HOUR = 3_600_000;
let db: Database;
let close: () => void;
beforeAll(async () => {
  ({ db, close } = await ownDatabase());
});
afterAll(() => close());

describe('the weather as it was reported', () => {
  const reading = (atMs: number, airTempC = -3) => ({ atMs, airTempC }) as WeatherReading;
  const run = (issuedMs: number, source = 'a', members: unknown[] = []) =>
    ({ source, issuedMs, members }) as unknown as ForecastRun;
  let weather: WeatherRepository;
  beforeEach(async () => {
    weather = new WeatherRepository(db);
    await weather.forget('a');
    await weather.forget('b');
  });

  it('is kept hour by hour, each source for itself, what is reported again replaced', async () => {
    expect(await weather.newestObservedMs('a')).toBeNull();
    await weather.addObserved('a', [reading(NOW + HOUR), reading(NOW)]);
    await weather.addObserved('a', [reading(NOW, -9)]);
    await weather.addObserved('b', [reading(NOW + 5 * HOUR)]);
    await weather.addObserved('b', []);
    expect(await weather.newestObservedMs('a')).toBe(NOW + HOUR);
    const told = await weather.observed('a', NOW, NOW + HOUR + 1);
    expect(told.map(({ atMs, airTempC }) => [atMs, airTempC])).toEqual([
      [NOW, -9],
      [NOW + HOUR, -3],
    ]);
    expect(await weather.observed('a', NOW + 1, NOW + HOUR)).toEqual([]);
  });

  it('takes a season at once', async () => {
    await weather.addObserved(
      'a',
      Array.from({ length: 900 }, (_, i) => reading(NOW + i * HOUR)),
    );
    expect(await weather.observed('a', NOW, NOW + 900 * HOUR)).toHaveLength(900);
  });

  it('has the newest forecast that was issued by then, and forgets the old ones', async () => {
    await weather.addRun(run(NOW));
    await weather.addRun(run(NOW + 6 * HOUR));
    await weather.addRun(run(NOW + 6 * HOUR, 'a', [[1]]));
    await weather.addRun(run(NOW + 9 * HOUR, 'b'));
    expect(await weather.newestIssuedMs('a', NOW - 1)).toBeNull();
    expect(await weather.newestIssuedMs('a', NOW)).toBe(NOW);
    expect(await weather.newestIssuedMs('a', NOW + 99 * HOUR)).toBe(NOW + 6 * HOUR);
    expect((await weather.newestRun('a', NOW + 7 * HOUR))?.members).toEqual([[1]]);
    expect(await weather.newestRun('a', NOW - 1)).toBeNull();
    await weather.forgetRunsBefore(NOW + 6 * HOUR);
    expect(await weather.newestRun('a', NOW + 5 * HOUR)).toBeNull();
    expect(await weather.newestRun('a', NOW + 6 * HOUR)).not.toBeNull();
  });

  it('says what is kept of each source', async () => {
    await weather.addObserved('b', [reading(NOW), reading(NOW + HOUR)]);
    await weather.addRun(run(NOW, 'a'));
    await weather.addRun(run(NOW + 9 * HOUR, 'b'));
    expect(await weather.kept(NOW + HOUR)).toEqual([
      { source: 'a', measuredHours: 0, firstMs: null, lastMs: null, issuedMs: NOW },
      { source: 'b', measuredHours: 2, firstMs: NOW, lastMs: NOW + HOUR, issuedMs: null },
    ]);
    await weather.forget('b');
    expect((await weather.kept(NOW + 99 * HOUR)).map(({ source }) => source)).toEqual(['a']);
  });
});

describe('when hands are engaged', () => {
  it('is what a calendar says now, in the place of what it said before, and not what is over', async () => {
    const calendar = new CalendarRepository(db);
    const span = (fromMs: number, toMs: number) => ({ uid: 'u', summary: '', fromMs, toMs }) as never;
    await calendar.replace('work', 'me', [span(NOW + HOUR, NOW + 2 * HOUR), span(NOW, NOW + HOUR)]);
    await calendar.replace('home', null, [span(NOW, NOW + 9 * HOUR)]);
    expect((await calendar.busy(NOW + HOUR)).map((row) => [row.calendar, row.workerId])).toEqual([
      ['home', null],
      ['work', 'me'],
    ]);
    expect((await calendar.busy(NOW)).map(({ fromMs }) => fromMs)).toEqual([NOW, NOW, NOW + HOUR]);
    await calendar.replace('work', 'me', []);
    expect((await calendar.busy(NOW)).map((row) => row.calendar)).toEqual(['home']);
    expect(await calendar.forget('home')).toBe(true);
    expect(await calendar.forget('home')).toBe(false);
  });
});

describe('who follows the plan', () => {
  it('stands there by name, with the newest address, until it is taken back', async () => {
    const calendar = new CalendarRepository(db);
    const row = (id: string, name: string) => ({
      id,
      name,
      secret: `secret of ${id}`,
      workerId: null,
      madeMs: NOW,
      lastReadMs: null,
    });
    await calendar.addFeed(row('z', 'Ann'));
    await calendar.addFeed(row('a', 'Zoe'));
    expect((await calendar.feeds()).map(({ name }) => name)).toEqual(['Ann', 'Zoe']);
    expect(await calendar.setFeed('z', { secret: 'another', lastReadMs: NOW })).toBe(true);
    expect(await calendar.feeds()).toMatchObject([
      { id: 'z', secret: 'another', lastReadMs: NOW },
      { id: 'a', secret: 'secret of a', lastReadMs: null },
    ]);
    await expect(calendar.addFeed({ ...row('b', 'Bea'), secret: 'another' })).rejects.toThrow();
    expect(await calendar.deleteFeed('z')).toBe(true);
    expect(await calendar.deleteFeed('z')).toBe(false);
    expect(await calendar.setFeed('z', { lastReadMs: 1 })).toBe(false);
    expect(await calendar.feeds()).toMatchObject([{ id: 'a' }]);
  });
});

describe('promises', () => {
  it('are open until their hour, the nearest first', async () => {
    const bookings = new BookingsRepository(db);
    const promise = (id: string, readyByMs: number) =>
      ({
        id,
        vehicleId: 'c',
        fromMs: 0,
        readyByMs,
        methodId: null,
        extras: [],
        agreedMinor: null,
        note: '',
      }) as never;
    for (const [id, atMs] of [
      ['late', NOW + 9 * HOUR],
      ['soon', NOW + 1],
      ['past', NOW],
    ] as const)
      await bookings.insert(promise(id, atMs));
    expect((await bookings.open(NOW)).map(({ id }) => id)).toEqual(['soon', 'late']);
  });
});

describe('what a wash takes out of the kit', () => {
  const bottle = {
    id: 'soap',
    name: 'Soap',
    role: 'shampoo',
    inUsePh: 7,
    usualParts: 400,
    fewestParts: 100,
    mostParts: 600,
    keptIn: 'van',
    bottleMl: 1000,
    leftMl: 100,
    lowMl: 0,
    priceMinor: 1,
    notes: '',
  } as const;
  const towels = {
    id: 'towels',
    name: 'Towels',
    kind: 'folded-towel',
    count: 10,
    cleanCount: 4,
    litresUsed: 0,
    notes: '',
  } as const;
  const filter = {
    id: 'filter',
    name: 'Filter',
    kind: 'resin',
    count: 1,
    cleanCount: 0,
    litresUsed: 30,
    notes: '',
  } as const;
  let kit: KitRepository;
  const apply = async (taken: KitTaken, sign: 1 | -1) => {
    await writeAll(db, kit.changes(taken, sign));
    const { products: bottles, gear: things } = await kit.all();
    const by = (id: string) => things.find((one) => one.id === id);
    return [bottles[0]?.leftMl, by('towels')?.cleanCount, by('filter')?.litresUsed];
  };
  beforeEach(async () => {
    kit = new KitRepository(db, new ProductsRepository(db), new GearRepository(db));
    await db.run(sql`delete from product`);
    await db.run(sql`delete from gear`);
    await db.insert(products).values(bottle);
    await db.insert(gear).values([towels, filter]);
  });
  const taken = (ml: number, count: number, litres: number): KitTaken => ({
    products: [{ productId: 'soap', ml }],
    cloths: [{ gearId: 'towels', count }],
    filters: [{ gearId: 'filter', litres }],
  });

  it('is taken and given back', async () => {
    expect(await apply(taken(40, 3, 20), 1)).toEqual([60, 1, 50]);
    expect(await apply(taken(40, 3, 20), -1)).toEqual([100, 4, 30]);
  });

  it('is never more than there is, and never gives back more than there are', async () => {
    expect(await apply(taken(400, 9, 20), 1)).toEqual([0, 0, 50]);
    expect(await apply(taken(0, 99, 99), -1)).toEqual([0, 10, 0]);
  });

  it('is nothing where nothing was taken', async () => {
    expect(await apply({ products: [], cloths: [], filters: [] }, 1)).toEqual([100, 4, 30]);
  });
});
