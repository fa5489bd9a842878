import { beforeEach, describe, expect, it } from '@jest/globals';
import {
  DEFAULT_HOUSE,
  DEFAULT_LIMITS,
  DEFAULT_PRICES,
  DEFAULT_SEASON,
  type WashPlace,
  type WashRecord,
} from '@keen/core';
import { MethodsReader } from './methods.reader.js';
import { ShopReader } from './shop-reader.js';
import { PLACE, VEHICLE } from '../testing/test-app.js';
import { plannedWash } from '../testing/planned-wash.js';

const AT = (minute: number, second = 0): number => Date.UTC(2026, 0, 14, 12, minute, second);
let nowMs: number;
let washes: WashRecord[];
beforeEach(() => {
  nowMs = AT(23, 45);
  washes = [];
});

const car = (id: string) => ({ ...VEHICLE, id, customerId: null, knownSinceMs: 0, protections: [] });
const settings = {
  limits: DEFAULT_LIMITS,
  prices: DEFAULT_PRICES,
  house: DEFAULT_HOUSE,
  drivesOn: 'left',
  timeZone: 'America/Toronto',
  season: DEFAULT_SEASON,
  workers: [{ id: 'owner', name: 'Owner', hours: [] }],
  stock: { 'garage-rinseless': 3 },
};

function reader(): ShopReader {
  const list = (rows: unknown[]) => () => Promise.resolve(rows);
  const asked: unknown[] = [];
  const records = {
    vehicles: { read: (id: string) => Promise.resolve(car(id)), list: list([car('black'), car('white')]) },
    places: {
      list: list([
        {
          ...PLACE,
          id: 'bay',
          notes: 'secret',
          finishAt: { placeId: 'unit', driveMinutes: 4, priceMinor: 0 },
        },
        { ...PLACE, id: 'unit', notes: '', finishAt: null },
      ]),
    },
    washes: {
      list: (filter: { vehicleId?: string }) =>
        Promise.resolve(
          washes.filter(({ vehicleId }) => !filter.vehicleId || vehicleId === filter.vehicleId),
        ),
    },
    drives: { list: list([]) },
    swabs: { list: list([]) },
    looks: { list: list([]) },
    customers: { list: list([]) },
    kit: { all: () => Promise.resolve({ products: [], gear: [] }) },
    bookings: {
      open: (atMs: number) => {
        asked.push(atMs);
        return Promise.resolve([
          { id: 'b', vehicleId: 'black', agreedMinor: 500, note: 'blue house', extras: [] },
        ]);
      },
    },
    calendar: { busy: list([{ workerId: 'owner', fromMs: 1, toMs: 2, title: 'private' }]) },
  };
  const parts = [
    records,
    {
      bundle: () =>
        Promise.resolve({
          source: 'made up',
          issuedMs: 5,
          hourSources: [],
          fromMs: AT(0),
          control: [],
          members: [],
        }),
    },
    {
      bulletins: () =>
        Promise.resolve({ treatments: [{ id: 't', source: 'authority', atMs: 1, gramsPerM2: 9 }] }),
    },
    { read: () => Promise.resolve(settings) },
    { now: () => nowMs },
  ];
  return new ShopReader(...(parts as unknown as ConstructorParameters<typeof ShopReader>));
}
const wash = plannedWash;

describe('the facts of one car', () => {
  it('hold for ten minutes, so that the same question is asked again', async () => {
    const first = (await reader().car('black')).facts.nowMs;
    expect(first).toBe(AT(20));
    nowMs = AT(29, 59);
    expect((await reader().car('black')).facts.nowMs).toBe(AT(20));
    nowMs = AT(30);
    expect((await reader().car('black')).facts.nowMs).toBe(AT(30));
  });

  it('are plain data without names, notes, sources or ids of bulletins, and know the second places', async () => {
    const { facts, origin } = await reader().car('black');
    expect(JSON.stringify(facts)).not.toMatch(/secret|authority|"id":"t"/);
    expect(facts.places[0]).toMatchObject({ id: 'bay', finish: { driveMinutes: 4, place: { id: 'unit' } } });
    expect(facts.treatments).toEqual([{ atMs: 1, gramsPerM2: 9 }]);
    expect(origin).toEqual({ source: 'made up', issuedMs: 5 });
    expect(facts).toMatchObject({ drivesOn: 'left', timeZone: 'America/Toronto' });
    expect(facts.weather).not.toHaveProperty('hourSources');
  });

  it('have the washes of that car alone', async () => {
    washes = [
      wash('own', AT(0) - 86_400_000, { status: 'done' }),
      wash('other', AT(0) - 86_400_000, { status: 'done', vehicleId: 'white' }),
    ];
    expect((await reader().car('black')).facts.car.washes).toHaveLength(1);
  });
});

describe('the facts of the plan', () => {
  it('begin at the next ten minutes: no start is planned for minutes that are over', async () => {
    expect((await reader().plan()).facts.nowMs).toBe(AT(30));
    nowMs = AT(30);
    expect((await reader().plan()).facts.nowMs).toBe(AT(30));
  });

  it('have every car, what is ahead, who is engaged, and promises without what is private', async () => {
    washes = [
      wash('ahead', AT(0) + 3_600_000),
      wash('over', AT(0) - 7_200_000),
      wash('done', AT(0), { status: 'done' }),
    ];
    const found = await reader().plan();
    expect(found.cars.map(({ vehicle }) => vehicle.id)).toEqual(['black', 'white']);
    expect(found.planned.map(({ id }) => id)).toEqual(['ahead']);
    expect(found.notes.busy).toEqual([{ workerId: 'owner', fromMs: 1, toMs: 2 }]);
    expect(JSON.stringify(found.notes)).not.toMatch(/blue house|agreedMinor|private/);
    expect(found.notes.stock).toMatchObject({ 'garage-rinseless': 3 });
    expect(found.booked).toMatchObject([{ note: 'blue house' }]);
  });
});

describe('how the shop washes', () => {
  const bay = { forbids: [], washWater: { tempC: 34 } } as unknown as WashPlace;
  it('is by its house, its kit and its limits, on this car, with the work that is wanted', async () => {
    const methods = new MethodsReader(
      { all: () => Promise.resolve({ products: [], gear: [] }) } as never,
      { read: () => Promise.resolve(settings) } as never,
    );
    const methodFor = await methods.read();
    const plain = methodFor('bay-contact', { vehicle: car('black') as never, place: bay });
    expect(plain).toMatchObject({ id: 'bay-contact', wayId: 'whole' });
    expect(plain.steps.find(({ id }) => id === 'contact')?.product?.from).toBe('typical');
    expect(methodFor('garage-rinseless', { vehicle: car('black') as never, place: bay }).wayId).toBe(
      'touch-two-panels',
    );
  });
});
