import { describe, expect, it } from '@jest/globals';
import {
  COLD_LAKE_PORT,
  DEFAULT_HOUSE,
  DEFAULT_LIMITS,
  DEFAULT_PRICES,
  DEFAULT_SEASON,
  type DoneWash,
  MS_PER_HOUR,
  type Place,
  simulateWeather,
} from '@keen/core';
import { DEMO_CLOCK, DEMO_HANDS, DEMO_PLACES, DEMO_VEHICLES, DEMO_ZONE } from '../demo/scenario.js';
import { Engine } from './engine.js';
import { enginePlace, engineVehicle } from './engine-facts.js';
import type { EngineSetting, EngineVehicle, PlanFacts } from './engine-job.js';

const nowMs = Date.parse(DEMO_CLOCK);
const fromMs = Math.floor(nowMs / MS_PER_HOUR) * MS_PER_HOUR;
const PAST_HOURS = 24 * 12;
const AHEAD_HOURS = 60;
const seasonMs = fromMs - PAST_HOURS * MS_PER_HOUR;
const weather = (startMs: number, hourCount: number, seed: number) =>
  simulateWeather({ climate: COLD_LAKE_PORT, seed, fromMs: startMs, hourCount });

type CarQuestion = EngineSetting & { readonly car: EngineVehicle };

/** Of the demo, with a single method each. */
const placeOf = (kind: Place['kind'], methodId: string): Place => {
  const place = DEMO_PLACES.map(enginePlace).find((one) => one.kind === kind);
  if (!place) throw new Error(`the demo has no ${kind}`);
  return { ...place, methods: [{ methodId, priceMinor: 0 }] };
};
const garage = placeOf('garage', 'garage-rinseless');
const bay = placeOf('self-serve-bay', 'bay-touch-free');
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

const CAR: EngineVehicle = {
  ...engineVehicle(
    { ...record, customerId: null, knownSinceMs: seasonMs },
    { washes: [], drives: [], swabs: [], looks: [], customers: [] },
    nowMs,
  ),
  washes: [washAt(120)],
};

const BASE: CarQuestion = {
  places: [garage, bay],
  limits: DEFAULT_LIMITS,
  prices: DEFAULT_PRICES,
  house: DEFAULT_HOUSE,
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

const FACTS: PlanFacts = { hands: DEMO_HANDS, fixed: [], movable: [], busy: [], bookings: [], stock: {} };

const withGarage = (change: Partial<Place>): Partial<CarQuestion> => ({
  places: [{ ...garage, ...change }, bay],
});
const withCar = (change: Partial<EngineVehicle>): Partial<CarQuestion> => ({
  car: { ...BASE.car, ...change },
});
const withVehicle = (change: Partial<EngineVehicle['vehicle']>): Partial<CarQuestion> =>
  withCar({ vehicle: { ...BASE.car.vehicle, ...change } });

/** One change of each input. */
const CHANGES: Readonly<Record<string, Partial<CarQuestion>>> = {
  'climate where it stands': withGarage({ climate: { kind: 'heated', setpointC: 18 } }),
  'position of the first place': withGarage({ latitudeDeg: 60, longitudeDeg: 10 }),
  'water of a place': withGarage({
    washWater: { ...garage.washWater, tdsMgPerLitre: 5, hardnessMgPerLitre: 5 },
  }),
  'hours of a place': withGarage({ openHours: garage.openHours.map(() => null) }),
  'methods of a place': withGarage({ methods: [] }),
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
  'since when it is known': withCar({ washes: [], knownSinceMs: seasonMs + 24 * MS_PER_HOUR }),
  limits: { limits: { ...DEFAULT_LIMITS, inHandShare: 3, spotsShowScale: 0.1 } },
  prices: { prices: { ...DEFAULT_PRICES, hourMinor: 9000 } },
  house: { house: { ...DEFAULT_HOUSE, choices: { ...DEFAULT_HOUSE.choices, strip: 'strip', sun: 'never' } } },
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
function answers(engine: Engine, job: CarQuestion) {
  return {
    grid: engine.grid(job),
    salt: engine.salt({ ...job, kind: 'salt' }),
    condition: engine.condition(job),
    cell: engine.cell({ ...job, kind: 'cell', start: cell }),
    balance: engine.balance({ ...job, kind: 'balance', atMs: cell.startMs }, () => undefined),
    moves: engine.moves({ ...job, kind: 'moves', facts: FACTS }, () => undefined),
  };
}

describe('what the engine keeps', () => {
  const warm = new Engine();
  const before = answers(warm, BASE);

  it.each(Object.entries(CHANGES))('is made anew when this changes: %s', (_name, change) => {
    const job = { ...BASE, ...change };
    const kept = answers(warm, job);
    expect(kept).toEqual(answers(new Engine(), job));
    expect(kept).not.toEqual(before);
  });

  it('is what it was once the change is taken back', () => {
    expect(answers(warm, BASE)).toEqual(before);
  });

  it.each([
    {
      why: 'hours of its people',
      facts: { hands: DEMO_HANDS.map((one) => ({ ...one, hours: one.hours.map(() => null) })) },
    },
    { why: 'other engagements', facts: { busy: [{ handsId: null, fromMs: 0, toMs: Infinity }] } },
    {
      why: 'a wash that stands fixed',
      facts: {
        fixed: [
          {
            vehicleId: 'other',
            placeId: garage.id,
            methodId: 'garage-rinseless',
            handsId: DEMO_HANDS[0]?.id ?? '',
            startMs: fromMs,
            endMs: fromMs + AHEAD_HOURS * MS_PER_HOUR,
            extras: [],
          },
        ],
      },
    },
  ])('and its moves go by $why', ({ facts }) => {
    const job = { ...BASE, kind: 'moves' as const, facts: { ...FACTS, ...facts } };
    const moves = warm.moves(job, () => undefined);
    expect(moves).toEqual(new Engine().moves(job, () => undefined));
    expect(moves.length).toBeLessThan(before.moves.length);
  });
});

describe('a wash that was done', () => {
  const engine = new Engine();
  const underbody = (washes: readonly DoneWash[]): number =>
    engine
      .salt({ ...BASE, ...withCar({ washes }), kind: 'salt' })
      .now.zones.find(({ zone }) => zone === 'lower-left')?.loadGramsPerM2 ?? NaN;
  const step = (id: string, skipped: string | null) => ({ id, minutes: 1, plannedMinutes: 1, skipped });
  const run = (steps: readonly ReturnType<typeof step>[]): Partial<DoneWash> => ({
    found: { spots: 'none', run: { steps } },
  });

  it('takes off what its steps took off, and nothing where none was done', () => {
    const never = underbody([]);
    const whole = underbody([washAt(2)]);
    expect(whole).toBeLessThan(0.2 * never);
    expect(underbody([washAt(2, run([step('rinse', 'no-time'), step('contact', 'too-cold')]))])).toBeCloseTo(
      never,
      9,
    );
    // The rinse takes 65 % off the lower body.
    expect(underbody([washAt(2, run([step('rinse', null), step('contact', 'too-cold')]))])).toBeCloseTo(
      0.35 * never,
      9,
    );
  });

  it('resets season jobs only where something was done', () => {
    const standing = (change: Partial<DoneWash>) =>
      engine
        .condition({
          ...BASE,
          ...withCar({
            vehicle: { ...BASE.car.vehicle, seasonJobs: ['underbody'] },
            washes: [washAt(2, { extras: ['underbody'], ...change })],
          }),
        })
        .season.find(({ jobId }) => jobId === 'underbody')?.state;
    expect(standing({})).toBe('done');
    expect(standing(run([step('rinse', 'no-time')]))).toBe('due');
  });

  it('counts for the cadence only where it washed the body', () => {
    const lastMs = (change: Partial<DoneWash>) =>
      engine.salt({ ...BASE, ...withCar({ washes: [washAt(2, change)] }), kind: 'salt' }).savedByLast?.atMs ??
      null;
    expect(lastMs({})).toBe(nowMs - MS_PER_HOUR);
    expect(lastMs(run([step('wheels', null), step('rinse', 'no-time')]))).toBeNull();
  });

  it('puts its coat on the map, and a strip takes the old one off', () => {
    const roof = (washes: readonly DoneWash[]) =>
      engine
        .condition({
          ...BASE,
          ...withCar({ washes, vehicle: { ...BASE.car.vehicle, protection: 'wax', protections: [] } }),
        })
        .protections.find(({ zone }) => zone === 'roof');
    expect(roof([])).toMatchObject({ kind: 'wax', standing: 'unknown-age' });
    expect(roof([washAt(30, { methodId: 'strip-reseal' })])).toMatchObject({
      kind: 'sealant',
      standing: 'sound',
      ageDays: expect.closeTo(29.67 / 24, 1),
    });
    expect(roof([washAt(30, { methodId: 'pre-coating' })])).toMatchObject({ kind: 'bare', standing: 'none' });
    expect(roof([washAt(30, { methodId: 'pre-coating', extras: ['re-coat'] })])).toMatchObject({
      kind: 'coating',
    });
  });
});
