import { afterAll, beforeAll, beforeEach, describe, expect, it } from '@jest/globals';
import type { RunAction, RunPack, WashRecord } from '@keen/core';
import { sql } from 'drizzle-orm';
import type { Database } from '../db/database.js';
import { ownDatabase } from '../testing/own-database.js';
import { soilLooks, washes } from '../db/schema.js';
import { inChunks } from './in-chunks.js';
import { PlacesRepository } from './places.repository.js';
import { RunsRepository } from './runs.repository.js';
import { TreatmentsRepository } from './treatments.repository.js';
import { VehicleRows } from './vehicle-rows.js';
import { WashesRepository } from './washes.repository.js';
import { PLACE } from '../testing/test-app.js';
import { plannedWash } from '../testing/planned-wash.js';

const NOW = Date.UTC(2026, 0, 14, 12);
const HOUR = 3_600_000;
let db: Database;
let close: () => void;

beforeAll(async () => {
  ({ db, close } = await ownDatabase());
});

afterAll(() => close());

describe('rows in portions', () => {
  it.each([
    [0, []],
    [1, [1]],
    [300, [300]],
    [301, [300, 1]],
    [700, [300, 300, 100]],
  ])('%p go in by %j', (count, sizes) => {
    const rows = Array.from({ length: count }, (_, i) => i);
    expect(inChunks(rows).map(({ length }) => length)).toEqual(sizes);
    expect(inChunks(rows).flat()).toEqual(rows);
  });
});

describe('rows that can be taken away', () => {
  const place = (id: string, travelMinutes: number) =>
    ({
      ...PLACE,
      id,
      travelMinutes,
      notes: '',
      finalRinse: null,
      tariff: null,
      queue: null,
      forbids: [],
      carsAtOnce: 1,
      finishAt: null,
      mostMinutes: null,
      dryingSpot: '',
      siteSoap: 'ordinary',
      bucketWater: 'brought',
    }) as never;
  let places: PlacesRepository;
  beforeEach(async () => {
    places = new PlacesRepository(db);
    await db.run(sql`delete from place`);
    await places.insert(place('far', 20));
    await places.insert(place('near', 5));
  });

  it('stand in the order of the table, and carry nothing of the store’s own', async () => {
    const list = await places.list();
    expect(list.map(({ id }) => id)).toEqual(['near', 'far']);
    expect(list[0]).toEqual(place('near', 5));
  });

  it('are gone for all but those who ask for what is gone, until they are brought back', async () => {
    expect(await places.findRemoved('near')).toBeNull();
    expect(await places.setRemoved('near', NOW)).toBe(true);
    expect((await places.list()).map(({ id }) => id)).toEqual(['far']);
    expect(await places.find('near')).toBeNull();
    await expect(places.read('near')).rejects.toMatchObject({ response: { error: { field: 'place' } } });
    expect(await places.findRemoved('near')).toEqual(place('near', 5));
    expect(await places.restore('near')).toEqual(place('near', 5));
    expect(await places.findRemoved('near')).toBeNull();
  });

  it('say so where there is no such row', async () => {
    expect(await places.setRemoved('none', NOW)).toBe(false);
    await expect(places.restore('none')).rejects.toMatchObject({ response: { error: { field: 'place' } } });
  });

  it('change in what is sent, and not at all where nothing is', async () => {
    await places.update('near', { travelMinutes: 30 });
    await places.update('near', {});
    expect((await places.list()).map(({ id }) => id)).toEqual(['far', 'near']);
  });
});

describe('rows of a vehicle', () => {
  interface Row {
    readonly id: string;
    readonly vehicleId: string;
    readonly atMs: number;
  }
  const row = (id: string, vehicleId: string, atMs: number) =>
    ({ id, vehicleId, atMs, zone: 'roof', kind: 'grit', grade: 2, estimatedThen: 1 }) as Row;
  let rows: VehicleRows<Row>;
  beforeEach(async () => {
    rows = new VehicleRows<Row>(db, soilLooks, soilLooks.atMs);
    await db.run(sql`delete from soil_look`);
    await rows.insert([row('b', 'black', 2), row('a', 'black', 1), row('w', 'white', 3)]);
  });

  it('stand in order of time, of one vehicle or of all', async () => {
    expect((await rows.list('black')).map(({ id }) => id)).toEqual(['a', 'b']);
    expect((await rows.list()).map(({ id }) => id)).toEqual(['a', 'b', 'w']);
    expect((await rows.list('white'))[0]).not.toHaveProperty('removedMs');
  });

  it('are taken away by their own vehicle alone', async () => {
    expect(await rows.setRemoved({ vehicleId: 'white', id: 'a' }, NOW)).toBe(false);
    expect(await rows.setRemoved({ vehicleId: 'black', id: 'a' }, NOW)).toBe(true);
    expect((await rows.list('black')).map(({ id }) => id)).toEqual(['b']);
    expect(await rows.setRemoved({ vehicleId: 'black', id: 'a' }, null)).toBe(true);
    expect(await rows.list('black')).toHaveLength(2);
  });

  it('go in all or none', async () => {
    await expect(rows.insert([row('new', 'white', 4), row('a', 'white', 5)])).rejects.toThrow();
    expect(await rows.list('white')).toHaveLength(1);
    await rows.insert([]);
  });
});

describe('washes', () => {
  const wash = (id: string, change: Partial<WashRecord> = {}): WashRecord => plannedWash(id, NOW, change);
  let repository: WashesRepository;
  beforeEach(async () => {
    repository = new WashesRepository(db);
    await db.run(sql`delete from wash`);
    await repository.change({
      insert: [
        wash('old', { startMs: NOW - HOUR, status: 'done' }),
        wash('new', { startMs: NOW + HOUR }),
        wash('other', { vehicleId: 'white' }),
      ],
    });
  });

  it('are listed newest first, of a car and in a state', async () => {
    const ids = async (filter: object): Promise<string[]> =>
      (await repository.list(filter)).map(({ id }) => id);
    expect(await ids({})).toEqual(['new', 'other', 'old']);
    expect(await ids({ vehicleId: 'black' })).toEqual(['new', 'old']);
    expect(await ids({ status: 'planned' })).toEqual(['new', 'other']);
    expect(await ids({ vehicleId: 'white', status: 'done' })).toEqual([]);
  });

  it('count how often they were moved, for calendars, from an instant on', async () => {
    await repository.change({ update: [wash('new', { startMs: NOW + 2 * HOUR })] });
    await repository.change({ update: [wash('new', { startMs: NOW + 3 * HOUR })] });
    const told = await repository.forCalendar(NOW);
    expect(told.map(({ id, revision }) => [id, revision])).toEqual([
      ['other', 0],
      ['new', 2],
    ]);
    expect((await repository.forCalendar(NOW + 1)).map(({ id }) => id)).toEqual(['new']);
    expect(await repository.find('new')).not.toHaveProperty('revision');
  });

  it('change all together with what goes with them, or not at all', async () => {
    const also = db
      .update(washes)
      .set({ note: 1 } as never)
      .where(sql`no_such_column = 1`);
    await expect(
      repository.change({ insert: [wash('more')], setRemoved: [{ id: 'old', removedMs: NOW }] }, [also]),
    ).rejects.toThrow();
    expect(await repository.find('more')).toBeNull();
    expect(await repository.find('old')).not.toBeNull();
    await repository.change({ insert: [wash('more')], setRemoved: [{ id: 'old', removedMs: NOW }] });
    expect(await repository.find('old')).toBeNull();
    expect(await repository.findRemoved('old')).toMatchObject({ id: 'old', status: 'done' });
  });
});

describe('what was spread', () => {
  const round = (atMs: number) => ({
    atMs,
    roadClass: 'main' as const,
    agent: 'NaCl' as const,
    gramsPerM2: 9,
  });
  it('is known by its newest, what was taken away included, and is kept once', async () => {
    const treatments = new TreatmentsRepository(db);
    expect(await treatments.newestMs('authority')).toBeNull();
    const [first] = await treatments.insertAll('authority', [round(NOW), round(NOW - HOUR)], true);
    await treatments.insertAll('entered', [{ ...round(NOW + HOUR), roadClass: 'town' }], false);
    expect(await treatments.newestMs('authority')).toBe(NOW);
    await treatments.setRemoved(first?.id ?? '', NOW);
    expect(await treatments.newestMs('authority')).toBe(NOW);
    expect((await treatments.since(NOW - HOUR)).map(({ atMs }) => atMs)).toEqual([NOW - HOUR, NOW + HOUR]);
    expect((await treatments.since(NOW)).map(({ source }) => source)).toEqual(['entered']);
  });
});

describe('what a phone did', () => {
  const action = (id: string): RunAction => ({ id, deed: { kind: 'pause' } }) as RunAction;
  it('is kept once, in the order of its arrival, by its wash', async () => {
    const runs = new RunsRepository(db);
    await runs.keepActions('w', [action('a'), action('b')]);
    await runs.keepActions('w', [action('b'), action('c')]);
    await runs.keepActions('w', []);
    const arrived = await runs.actions('w');
    expect(arrived.map((one) => one.action.id)).toEqual(['a', 'b', 'c']);
    expect(await runs.actions('w', arrived[0]?.seq)).toEqual(arrived.slice(1));
    expect(await runs.actions('other')).toEqual([]);
    expect(await runs.washesOf(['a', 'none'])).toEqual(new Map([['a', 'w']]));
  });

  it('has a pack that never changes, and photographs of its own wash', async () => {
    const runs = new RunsRepository(db);
    await runs.keepPack({ id: 'p', washId: 'w', startMs: 1 } as RunPack);
    await runs.keepPack({ id: 'p', washId: 'w', startMs: 2 } as RunPack);
    expect(await runs.findPack('p')).toMatchObject({ startMs: 1 });
    expect(await runs.findPack('none')).toBeNull();
    await runs.keepPhoto({ id: 'x', washId: 'w', mediaType: 'image/jpeg', bytes: Buffer.from('pic') });
    expect((await runs.findPhoto('w', 'x'))?.mediaType).toBe('image/jpeg');
    expect(await runs.findPhoto('other', 'x')).toBeNull();
  });
});
