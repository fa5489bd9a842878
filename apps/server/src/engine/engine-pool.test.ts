import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from '@jest/globals';
import {
  carFacts,
  COLD_LAKE_PORT,
  DEFAULT_HOUSE,
  EMPTY_SHELF,
  DEFAULT_LIMITS,
  DEFAULT_PRICES,
  DEFAULT_SEASON,
  MS_PER_HOUR,
  shopPlaces,
  type WeekQuestion,
  simulateWeather,
} from '@keen/core';
import { DEMO_CLOCK, DEMO_WORKERS, DEMO_PLACES, DEMO_VEHICLES, DEMO_ZONE } from '../demo/scenario.js';
import { Cancelled } from './cancelled.js';
import { EnginePool } from './engine-pool.js';

const nowMs = Date.parse(DEMO_CLOCK);
const hourMs = Math.floor(nowMs / MS_PER_HOUR) * MS_PER_HOUR;
const weather = (fromMs: number, hourCount: number, seed = 1) =>
  simulateWeather({ climate: COLD_LAKE_PORT, seed, fromMs, hourCount });

/** A week for one car at every place; a grid of its own for each seed. */
function job(seed: number): WeekQuestion {
  const [record] = DEMO_VEHICLES;
  if (!record) throw new Error('no demo vehicle');
  const observedHours = 24 * 10;
  return {
    kind: 'week',
    places: shopPlaces(DEMO_PLACES.slice(0, 1)),
    limits: DEFAULT_LIMITS,
    prices: DEFAULT_PRICES,
    house: DEFAULT_HOUSE,
    shelf: EMPTY_SHELF,
    drivesOn: 'right',
    season: DEFAULT_SEASON,
    timeZone: DEMO_ZONE,
    treatments: [],
    nowMs,
    weather: {
      stamp: `test ${seed}`,
      seasonMs: hourMs - observedHours * MS_PER_HOUR,
      fromMs: hourMs,
      roadSights: [],
      observed: weather(hourMs - observedHours * MS_PER_HOUR, observedHours, seed),
      control: weather(hourMs, 24 * 11, seed),
      members: [2, 3].map((other) => weather(hourMs, 24 * 11, seed * 10 + other)),
    },
    car: carFacts(
      { ...record, customerId: null, washedBefore: null, knownSinceMs: hourMs - observedHours * MS_PER_HOUR },
      { washes: [], drives: [], swabs: [], looks: [], customers: [] },
      nowMs,
    ),
  };
}

const pools: EnginePool[] = [];
const newPool = (dataFolder?: string): EnginePool => {
  const pool = new EnginePool(dataFolder === undefined ? null : { dataFolder });
  pools.push(pool);
  return pool;
};
afterAll(async () => {
  await Promise.all(pools.map((pool) => pool.onModuleDestroy()));
});

describe('the engine in its threads', () => {
  it('tells how far it is and answers the same from what it has kept', async () => {
    const pool = newPool();
    const shares: number[] = [];
    const listening = pool.progress.subscribe(({ share }) => shares.push(share));
    const first = await pool.run<'week'>(job(1));
    listening.unsubscribe();
    expect(first.bands.some(({ cells }) => cells.length === 168)).toBe(true);
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
    expect(shares.at(-1)).toBeCloseTo(1);
    expect(await pool.run<'week'>(job(1))).toEqual(first);
  });

  it('stops when told to in the middle, as something called off, and works on afterwards', async () => {
    const pool = newPool();
    const stop = new AbortController();
    const listening = pool.progress.subscribe(() => stop.abort());
    await expect(pool.run<'week'>(job(2), stop.signal)).rejects.toBeInstanceOf(Cancelled);
    listening.unsubscribe();
    const { bands } = await pool.run<'week'>(job(2));
    expect(bands.length).toBeGreaterThan(0);
  });

  it('calls off what is at work when the program stops', async () => {
    const pool = newPool();
    const atWork = pool.run<'week'>(job(4));
    const outcome = expect(atWork).rejects.toBeInstanceOf(Cancelled);
    await pool.onModuleDestroy();
    await outcome;
  });

  it('names the field of a question that cannot be', async () => {
    const pool = newPool();
    const { places, ...rest } = job(5);
    const wrong = places.map((place) => ({ ...place, latitudeDeg: 999 }));
    await expect(pool.run<'week'>({ ...rest, places: wrong })).rejects.toMatchObject({
      field: 'latitudeDeg',
      code: 'out-of-range',
    });
  });

  it('begins the parts of an answer again with each question that has them, and with no other', async () => {
    const pool = newPool();
    const told = { name: 'an early part' } as unknown as EnginePool['parts'][number];
    pool.parts = [told];
    const { car: _car, kind: _kind, ...shop } = job(6);
    const salt = { ...shop, car: job(6).car, kind: 'salt' } as const;
    await pool.run<'salt'>(salt);
    expect(pool.parts).toEqual([told]);
    const facts = { workers: DEMO_WORKERS, fixed: [], movable: [], busy: [], bookings: [], stock: {} };
    await pool.run<'plan'>({ ...shop, kind: 'plan', cars: [], facts });
    expect(pool.parts).toEqual([]);
  });

  it('shares the cars of a plan with other threads, and answers as one alone does', async () => {
    const { car, kind: _kind, ...shop } = job(7);
    const cars = ['one', 'two', 'three'].map((id) => ({ ...car, vehicle: { ...car.vehicle, id } }));
    const facts = { workers: DEMO_WORKERS, fixed: [], movable: [], busy: [], bookings: [], stock: {} };
    const asked = { ...shop, kind: 'plan', cars, facts } as const;
    const folder = mkdtempSync(join(tmpdir(), 'keen-pool-'));
    const team = newPool(folder);
    const shares: number[] = [];
    const listening = team.progress.subscribe(({ share }) => shares.push(share));
    const together = await team.run<'plan'>(asked);
    listening.unsubscribe();
    const apart = await newPool().run<'plan'>(asked);
    expect(together.mornings).toEqual(apart.mornings);
    expect(together.problem).toEqual(apart.problem);
    expect(new Set(team.parts.map(({ vehicleId }) => vehicleId))).toEqual(new Set(['one', 'two', 'three']));
    expect(team.parts).toHaveLength(3);
    expect(shares).toEqual(shares.toSorted((a, b) => a - b));
    expect(shares.at(-1)).toBe(1);
    rmSync(folder, { recursive: true });
  });
});
