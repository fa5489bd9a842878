import { afterAll, describe, expect, it } from '@jest/globals';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  answerTo,
  type CarFacts,
  carFacts,
  COLD_LAKE_PORT,
  DEFAULT_HOUSE,
  EMPTY_SHELF,
  shelfOf,
  DEFAULT_LIMITS,
  DEFAULT_PRICES,
  DEFAULT_SEASON,
  type DoneWash,
  KEEP_NOTHING,
  type Keeper,
  MS_PER_HOUR,
  type OfCar,
  type Place,
  shopPlaces,
  type PlanNotes,
  simulateWeather,
} from '@keen/core';
import { DEMO_CLOCK, DEMO_WORKERS, DEMO_PLACES, DEMO_VEHICLES, DEMO_ZONE } from '../demo/scenario.js';
import { DEMO_GEAR, DEMO_PRODUCTS } from '../demo/kit.js';
import { KeptInMemory } from './kept.js';
import { KeptFiles } from './kept-files.js';

const nowMs = Date.parse(DEMO_CLOCK);
const fromMs = Math.floor(nowMs / MS_PER_HOUR) * MS_PER_HOUR;
const PAST_HOURS = 24 * 12;
const AHEAD_HOURS = 24;
const seasonMs = fromMs - PAST_HOURS * MS_PER_HOUR;
const weather = (startMs: number, hourCount: number, seed: number) =>
  simulateWeather({ climate: COLD_LAKE_PORT, seed, fromMs: startMs, hourCount });

/** Of the demo, with a single method each. */
const placeOf = (kind: Place['kind'], methodId: string): Place => {
  const place = shopPlaces(DEMO_PLACES).find((one) => one.kind === kind);
  if (!place) throw new Error(`the demo has no ${kind}`);
  const { finish: _finish, ...alone } = place;
  return { ...alone, methods: [{ methodId, priceMinor: 0 }] };
};
const garage = placeOf('garage', 'garage-rinseless');
const bay = placeOf('self-serve-bay', 'bay-rinse-rinseless');
const [record] = DEMO_VEHICLES;
if (!record) throw new Error('the demo has no car');

const washAt = (hoursAgo: number, change: Partial<DoneWash> = {}): DoneWash => ({
  methodId: 'garage-hose',
  startMs: nowMs - hoursAgo * MS_PER_HOUR,
  minutes: 60,
  extras: [],
  found: { spots: 'none' },
  ...change,
});

const CAR: CarFacts = {
  ...carFacts(
    { ...record, customerId: null, washedBefore: null, knownSinceMs: seasonMs },
    { washes: [], drives: [], swabs: [], looks: [], customers: [] },
    nowMs,
  ),
  washes: [washAt(120)],
};

const BASE: OfCar = {
  places: [garage, bay],
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
    stamp: 'base',
    seasonMs,
    fromMs,
    roadSights: [],
    observed: weather(seasonMs, PAST_HOURS, 1),
    control: weather(fromMs, AHEAD_HOURS, 1),
    members: [],
  },
  car: { ...CAR, vehicle: { ...CAR.vehicle, standsAtPlaceId: garage.id, protections: [] } },
};

const FACTS: PlanNotes = { workers: DEMO_WORKERS, fixed: [], movable: [], busy: [], bookings: [], stock: {} };

const withGarage = (change: Partial<Place>): Partial<OfCar> => ({
  places: [{ ...garage, ...change }, bay],
});
const withCar = (change: Partial<CarFacts>): Partial<OfCar> => ({
  car: { ...BASE.car, ...change },
});
const withVehicle = (change: Partial<CarFacts['vehicle']>): Partial<OfCar> =>
  withCar({ vehicle: { ...BASE.car.vehicle, ...change } });

/** One change of each input. */
const CHANGES: Readonly<Record<string, Partial<OfCar>>> = {
  'climate where it stands': withGarage({ climate: { kind: 'heated', setpointC: 18 } }),
  'position of the first place': withGarage({ latitudeDeg: 60, longitudeDeg: 10 }),
  'water of a place': withGarage({
    washWater: { ...garage.washWater, tdsMgPerLitre: 5, hardnessMgPerLitre: 5 },
  }),
  'hours of a place': withGarage({ openHours: garage.openHours.map(() => null) }),
  'methods of a place': withGarage({ methods: [] }),
  'where a wash is ended': {
    places: [
      garage,
      {
        ...bay,
        finish: {
          place: { ...garage, id: 'second', climate: { kind: 'heated', setpointC: 18 } },
          driveMinutes: 1,
          priceMinor: 0,
        },
      },
    ],
  },
  'where it stands': withVehicle({ standsAtPlaceId: null }),
  'how far it drives': withVehicle({ driving: { mainRoadKm: 200, townKm: 0, bridgeKm: 0 } }),
  'which days it drives': withVehicle({ weekShares: [0, 0, 0, 0, 0, 0, 3] }),
  'colour of the car': withVehicle({ paintTone: 'white' }),
  'protection of the car': withVehicle({ protection: 'film' }),
  'a zone of its protection': withVehicle({
    protections: [
      { zone: 'roof', kind: 'wax', appliedMs: seasonMs, claimedLifeDays: 20, observed: null, notedMs: null },
    ],
  }),
  cadence: withVehicle({ cadenceDays: 3 }),
  target: withVehicle({ target: { kind: 'active-hours', most: 5 } }),
  'season jobs': withVehicle({ seasonJobs: ['underbody'] }),
  'a wash': withCar({ washes: [washAt(120), washAt(30)] }),
  'a wash that was run half': withCar({
    washes: [washAt(120, { found: { spots: 'none', run: { steps: [] } } })],
  }),
  'a drive': withCar({
    drives: [{ hourMs: fromMs - 5 * MS_PER_HOUR, roadClass: 'main', km: 300, meanKmh: 100 }],
  }),
  'a swab': withCar({ readings: [{ atMs: nowMs - MS_PER_HOUR, zone: 'underbody', gramsPerM2: 9 }] }),
  'a look': withCar({
    looks: [{ atMs: nowMs - MS_PER_HOUR, zone: 'roof', kind: 'grit', grade: 5, estimatedThen: 0 }],
  }),
  'the wash before its log': withCar({
    washes: [],
    washedBefore: { atMs: seasonMs + 24 * MS_PER_HOUR, isKnown: false },
  }),
  'whether that is known': withCar({
    washes: [],
    washedBefore: { atMs: seasonMs + 24 * MS_PER_HOUR, isKnown: true },
  }),
  'since when it is known': withCar({ washes: [], knownSinceMs: seasonMs + 24 * MS_PER_HOUR }),
  limits: { limits: { ...DEFAULT_LIMITS, inHandFraction: 3, spotsShowScale: 0.1 } },
  prices: { prices: { ...DEFAULT_PRICES, hourMinor: 9000 } },
  house: { house: { ...DEFAULT_HOUSE, choices: { ...DEFAULT_HOUSE.choices, strip: 'strip', sun: 'never' } } },
  'a bottle': {
    shelf: shelfOf({ products: DEMO_PRODUCTS.filter(({ role }) => role === 'rinseless'), gear: [] }),
  },
  'which bottle a step takes': {
    shelf: shelfOf({ products: DEMO_PRODUCTS, gear: DEMO_GEAR }),
    house: { ...DEFAULT_HOUSE, products: { wheels: 'iron' } },
  },
  'traffic side': { drivesOn: 'left' },
  'numbers of the season': { season: { ...DEFAULT_SEASON, 'underbody.minutes': 90 } },
  'time zone': { timeZone: 'Asia/Tokyo' },
  'what was spread': {
    treatments: [{ atMs: fromMs - 30 * MS_PER_HOUR, roadClass: 'main', agent: 'CaCl2', gramsPerM2: 80 }],
  },
  weather: { weather: { ...BASE.weather, stamp: 'other', control: weather(fromMs, AHEAD_HOURS, 9) } },
  'the hour': { nowMs: nowMs + 3 * MS_PER_HOUR },
};

const cell = { placeId: garage.id, methodId: 'garage-rinseless', startMs: fromMs + 6 * MS_PER_HOUR };

/** Answers to every question about one car. */
function answers(keep: Keeper, job: OfCar) {
  const tools = { keep, report: () => undefined, clockMs: () => 0 };
  return {
    week: answerTo<'week'>({ ...job, kind: 'week' }, tools),
    salt: answerTo<'salt'>({ ...job, kind: 'salt' }, tools),
    condition: answerTo<'condition'>({ ...job, kind: 'condition' }, tools),
    cell: answerTo<'cell'>({ ...job, kind: 'cell', start: cell }, tools),
    balance: answerTo<'balance'>({ ...job, kind: 'balance', atMs: cell.startMs }, tools),
    moves: answerTo<'moves'>({ ...job, kind: 'moves', facts: FACTS }, tools),
  };
}

const folder = mkdtempSync(join(tmpdir(), 'keen-kept-'));
afterAll(() => rmSync(folder, { recursive: true }));

describe('what is kept between questions', () => {
  const warm = new KeptInMemory(new KeptFiles(folder, '1'));
  const before = answers(warm, BASE);

  it('changes nothing of the answers', () => {
    expect(before).toEqual(answers(KEEP_NOTHING, BASE));
  });

  it.each(Object.entries(CHANGES))('is worked out again when this changes: %s', (_name, change) => {
    const job = { ...BASE, ...change };
    const kept = answers(warm, job);
    expect(kept).toEqual(answers(new KeptInMemory(), job));
    expect(kept).not.toEqual(before);
  });

  it('is what it was once the change is taken back', () => {
    expect(answers(warm, BASE)).toEqual(before);
  });

  it.each([
    {
      why: 'hours of its people',
      facts: { workers: DEMO_WORKERS.map((one) => ({ ...one, hours: one.hours.map(() => null) })) },
    },
    { why: 'other engagements', facts: { busy: [{ workerId: null, fromMs: 0, toMs: Infinity }] } },
    {
      why: 'a wash that stands fixed',
      facts: {
        fixed: [
          {
            vehicleId: 'other',
            placeId: garage.id,
            methodId: 'garage-rinseless',
            workerId: DEMO_WORKERS[0]?.id ?? '',
            startMs: fromMs,
            endMs: fromMs + AHEAD_HOURS * MS_PER_HOUR,
            extras: [],
          },
        ],
      },
    },
  ])('and its moves go by $why', ({ facts }) => {
    const job = { ...BASE, kind: 'moves' as const, facts: { ...FACTS, ...facts } };
    const tools = { report: () => undefined, clockMs: () => 0 };
    const moves = answerTo<'moves'>(job, { ...tools, keep: warm });
    expect(moves).toEqual(answerTo<'moves'>(job, { ...tools, keep: new KeptInMemory() }));
    expect(moves.length).toBeLessThan(before.moves.length);
  });
});
