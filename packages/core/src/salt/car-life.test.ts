import { MS_PER_HOUR } from '../quantity/index.js';
import { describe, expect, it } from '@jest/globals';
import { type Drive } from '../drive/index.js';
import { NO_SALT, type RoadHour } from '../road/index.js';
import { EVEN_WEEK } from '../vehicle/index.js';
import type { WeatherHour } from '../weather/index.js';
import {
  carLife,
  type CarHabits,
  compileLife,
  learnPickUp,
  PLAIN_PICK_UP,
  runLedger,
  surroundings,
  wallClock,
} from './index.js';

const ZONE = 'America/Toronto';
/** Monday 5 January 2026, local midnight. */
const MONDAY = Date.parse('2026-01-05T00:00:00-05:00');

const weather = (count: number, change: Partial<WeatherHour> = {}): WeatherHour[] =>
  Array.from({ length: count }, (_, i) => ({
    atMs: MONDAY + i * MS_PER_HOUR,
    airTempC: 1,
    dewPointC: 0,
    windMetresPerSecond: 2,
    gustMetresPerSecond: 4,
    windFromDeg: 300,
    cloudFraction: 1,
    precipMm: 0,
    precipKind: 'none',
    snowDepthCm: 0,
    pressureHpa: 1010,
    ...change,
  }));
const road = (hours: readonly WeatherHour[]): RoadHour[] =>
  hours.map(({ atMs }) => ({
    atMs,
    state: 'wet',
    surfaceTempC: 0,
    waterMm: 0.3,
    snowMm: 0,
    saltGramsPerM2: { ...NO_SALT, NaCl: 20 },
  }));

const HOURS = weather(7 * 24);
const ROAD = road(HOURS);
const AROUND = surroundings(
  { fromMs: HOURS[0]?.atMs ?? 0, hours: HOURS },
  { main: ROAD, town: ROAD, bridge: ROAD },
  ZONE,
);
const HABITS: CarHabits = {
  driving: { mainRoadKm: 40, townKm: 0, bridgeKm: 0 },
  weekShares: EVEN_WEEK,
  standsAt: null,
  drives: [],
};
const kmOn = (habits: CarHabits, day: number): number =>
  carLife(habits, AROUND)
    .slice(day * 24, day * 24 + 24)
    .reduce((sum, { drives }) => sum + drives.reduce((km, drive) => km + drive.km, 0), 0);

describe('the clock on the wall', () => {
  it.each([
    { from: '2026-03-08T00:00:00-05:00', hours: 23, why: 'spring forward' },
    { from: '2025-11-02T00:00:00-04:00', hours: 25, why: 'fall back' },
    { from: '2026-01-14T00:00:00-05:00', hours: 24, why: 'a plain day' },
  ])('counts $hours hours to a day: $why', ({ from, hours }) => {
    const start = Date.parse(from);
    const clock = wallClock(
      Array.from({ length: 48 }, (_, i) => start + i * MS_PER_HOUR),
      ZONE,
    );
    expect(clock.day.filter((day) => day === 0)).toHaveLength(hours);
  });
});

describe('a car’s life', () => {
  it('drives its habit, more or less by the weekday', () => {
    expect(kmOn(HABITS, 0)).toBeCloseTo(40, 9);
    const weekend = { ...HABITS, weekShares: [1, 1, 1, 1, 1, 2, 0] };
    expect(kmOn(weekend, 4)).toBeCloseTo(40, 9);
    expect(kmOn(weekend, 5)).toBeCloseTo(80, 9);
    expect(kmOn(weekend, 6)).toBe(0);
  });

  it('takes a day with drives as recorded, and only that day', () => {
    const drive: Drive = { hourMs: MONDAY + 33 * MS_PER_HOUR, roadClass: 'town', km: 7, meanKmh: 30 };
    const known = { ...HABITS, drives: [drive] };
    expect(kmOn(known, 1)).toBe(7);
    expect(kmOn(known, 0)).toBeCloseTo(40, 9);
    expect(carLife(known, AROUND)[33]?.drives[0]).toMatchObject({ roadClass: 'town', kmh: 30 });
  });

  it('stands indoors at night and outside by day', () => {
    const life = carLife({ ...HABITS, standsAt: { climate: { kind: 'heated', setpointC: 14 } } }, AROUND);
    expect(life[3]?.carTempC).toBe(14);
    expect(life[12]?.carTempC).toBe(1);
  });

  it('takes a humidity that was read indoors before the model’s own', () => {
    const read = { climate: { kind: 'heated', setpointC: 14, relHumidityFraction: 0.42 } } as const;
    expect(carLife({ ...HABITS, standsAt: read }, AROUND)[3]?.relHumidityFraction).toBe(0.42);
  });

  it('is rained on in the street, not in a garage', () => {
    const wet = weather(24, { precipKind: 'rain', precipMm: 2 });
    const around = surroundings(
      { fromMs: wet[0]?.atMs ?? 0, hours: wet },
      { main: ROAD, town: ROAD, bridge: ROAD },
      ZONE,
    );
    expect(carLife(HABITS, around)[2]?.rainMm).toBe(2);
    expect(carLife({ ...HABITS, standsAt: { climate: { kind: 'unheated' } } }, around)[2]?.rainMm).toBe(0);
  });

  it('picks up more towards passing lorries, on either side of the road', () => {
    const load = (drivesOn: 'left' | 'right'): Record<string, number> => {
      const ledger = runLedger(compileLife(carLife(HABITS, AROUND), { factor: 1, drivesOn }), { washes: [] });
      return Object.fromEntries(ledger.zones().map(({ zone, loadGramsPerM2 }) => [zone, loadGramsPerM2]));
    };
    const right = load('right');
    const left = load('left');
    expect(right['lower-left']).toBeCloseTo(1.3 * (right['lower-right'] ?? NaN), 9);
    expect(left['lower-right']).toBeCloseTo(1.3 * (left['lower-left'] ?? NaN), 9);
  });

  it('picks up in proportion to speed', () => {
    const at = (meanKmh: number): number => {
      const drives: Drive[] = [{ hourMs: MONDAY + 9 * MS_PER_HOUR, roadClass: 'main', km: 20, meanKmh }];
      const life = carLife({ ...HABITS, drives }, AROUND).slice(0, 24);
      const zones = runLedger(compileLife(life), { washes: [] }).zones();
      return zones.find(({ zone }) => zone === 'underbody')?.loadGramsPerM2 ?? NaN;
    };
    expect(at(40) / at(80)).toBeCloseTo(0.5, 9);
  });
});

describe('swab readings', () => {
  const plain = compileLife(carLife(HABITS, AROUND), PLAIN_PICK_UP);
  const atMs = MONDAY + 100 * MS_PER_HOUR;
  const expected = (): number => {
    const { checks } = learnPickUp(plain, {
      washes: [],
      readings: [{ atMs, zone: 'lower-left', gramsPerM2: 1 }],
    });
    return checks[0]?.expectedGramsPerM2 ?? NaN;
  };

  it('set their zone to what was found, from then on, and leave the others alone', () => {
    const readings = [{ atMs, zone: 'lower-left' as const, gramsPerM2: 9 }];
    const loads = (hours: number, given: typeof readings) =>
      new Map(
        runLedger(plain.slice(0, hours), { washes: [], readings: given })
          .zones()
          .map(({ zone, loadGramsPerM2 }) => [zone, loadGramsPerM2]),
      );
    expect(loads(100, readings)).toEqual(loads(100, []));
    expect(loads(102, readings).get('lower-left')).toBeCloseTo(9, 6);
    expect(loads(102, readings).get('rear')).toBeCloseTo(loads(102, []).get('rear') ?? NaN, 9);
  });

  it('count at once when they were taken since the last hour began', () => {
    const past = plain.slice(0, 100);
    const justNow = { atMs: MONDAY + 99.7 * MS_PER_HOUR, zone: 'rear' as const, gramsPerM2: 7 };
    const rear = (untilMs?: number): number =>
      runLedger(past, { washes: [], readings: [justNow], untilMs })
        .zones()
        .find(({ zone }) => zone === 'rear')?.loadGramsPerM2 ?? NaN;
    expect(rear(MONDAY + 99.8 * MS_PER_HOUR)).toBeCloseTo(7, 9);
    expect(rear(MONDAY + 99.6 * MS_PER_HOUR)).toBeCloseTo(rear(), 9);
    const late = { ...justNow, atMs: MONDAY + 100.5 * MS_PER_HOUR };
    const learn = (untilMs?: number) => learnPickUp(past, { washes: [], readings: [late], untilMs }).checks;
    expect(learn()).toHaveLength(0);
    expect(learn(MONDAY + 100.6 * MS_PER_HOUR)).toHaveLength(1);
  });

  it('find salt where the ledger held none', () => {
    const clean = compileLife(
      carLife({ ...HABITS, driving: { mainRoadKm: 0, townKm: 0, bridgeKm: 0 } }, AROUND),
    );
    const ledger = runLedger(clean, { washes: [], readings: [{ atMs, zone: 'rear', gramsPerM2: 2 }] });
    expect(ledger.zones().find(({ zone }) => zone === 'rear')?.loadGramsPerM2).toBeCloseTo(2, 9);
  });

  it.each([
    { times: 1, count: 1, factor: 1, why: 'as expected' },
    { times: 2, count: 1, factor: Math.SQRT2, why: 'one reading of twice moves half the way' },
    { times: 2, count: 3, factor: 2 ** 0.75, why: 'three move three quarters' },
    { times: 1000, count: 3, factor: 5, why: 'never beyond reason' },
  ])('$count at $times times: $why', ({ times, count, factor }) => {
    const readings = Array.from({ length: count }, () => ({
      atMs,
      zone: 'lower-left' as const,
      gramsPerM2: expected() * times,
    }));
    expect(learnPickUp(plain, { washes: [], readings }).factor).toBeCloseTo(factor, 6);
  });

  it('teach nothing from dust', () => {
    const readings = [{ atMs, zone: 'lower-left' as const, gramsPerM2: 0.001 }];
    expect(learnPickUp(plain, { washes: [], readings })).toMatchObject({ factor: 1, count: 0 });
  });
});

describe('hours of which nobody knows the weather', () => {
  const gap = HOURS.map((hour, i) => (i >= 24 && i < 48 ? null : hour));
  const roads = gap.map((hour, i) => hour && (ROAD[i] ?? null));
  const around = surroundings(
    { fromMs: HOURS[0]?.atMs ?? 0, hours: gap },
    { main: roads, town: roads, bridge: roads },
    ZONE,
  );
  const life = carLife(HABITS, around);

  it('keep their place in time', () => {
    expect(life.map(({ atMs }) => atMs)).toEqual(HOURS.map(({ atMs }) => atMs));
  });

  it('add nothing and count nothing, so that the ledger tells the least that it can be', () => {
    const still = compileLife(life.slice(24, 48));
    expect(still.every(({ pace, added }) => [...pace, ...added].every((value) => value === 0))).toBe(true);
    const clock = (hours: typeof life): number => runLedger(compileLife(hours), { washes: [] }).activeHours;
    expect(clock(life)).toBeLessThan(clock(carLife(HABITS, AROUND)));
    expect(clock(life)).toBeGreaterThan(clock(life.slice(0, 24)));
  });
});
