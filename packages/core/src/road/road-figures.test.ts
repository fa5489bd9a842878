import { MS_PER_HOUR } from '../quantity/index.js';
import { describe, expect, it } from '@jest/globals';
import type { WeatherHour } from '../weather/index.js';
import { likelyTreatments, roadHours, type RoadHour, type Treatment } from './index.js';

const AT = { latitudeDeg: 46.5, longitudeDeg: -84.3 };
const FROM = Date.UTC(2026, 0, 10);

const hour = (i: number, change: Partial<WeatherHour> = {}): WeatherHour => ({
  atMs: FROM + i * MS_PER_HOUR,
  airTempC: -2,
  dewPointC: -8,
  windMetresPerSecond: 3,
  gustMetresPerSecond: 5,
  windFromDeg: 300,
  cloudFraction: 1,
  precipMm: 0,
  precipKind: 'none',
  snowDepthCm: 0,
  pressureHpa: 1010,
  ...change,
});

const salted = (i: number, gramsPerM2: number, agent: Treatment['agent'] = 'NaCl'): Treatment => ({
  atMs: FROM + i * MS_PER_HOUR,
  roadClass: 'main',
  agent,
  gramsPerM2,
});

/** A winter's night: snow, its end, rain, drying wind, a clear frost. The sun is down throughout. */
const NIGHT: readonly Partial<WeatherHour>[] = [
  ...Array<Partial<WeatherHour>>(2).fill({
    airTempC: -4,
    dewPointC: -5,
    precipMm: 1,
    precipKind: 'snow',
    windMetresPerSecond: 3,
  }),
  ...Array<Partial<WeatherHour>>(2).fill({ airTempC: -1, dewPointC: -3, windMetresPerSecond: 4 }),
  ...Array<Partial<WeatherHour>>(2).fill({
    airTempC: 3,
    dewPointC: 1,
    cloudFraction: 0.5,
    precipMm: 0.6,
    precipKind: 'rain',
    windMetresPerSecond: 5,
  }),
  ...Array<Partial<WeatherHour>>(4).fill({
    airTempC: 2,
    dewPointC: -5,
    cloudFraction: 0.2,
    windMetresPerSecond: 6,
  }),
  ...Array<Partial<WeatherHour>>(2).fill({
    airTempC: -3,
    dewPointC: -4,
    cloudFraction: 0,
    windMetresPerSecond: 1,
  }),
];

/**
 * Worked out by another program, in another language: sky after Berdahl & Martin 1984, drying by the Chilton–Colburn
 * analogy, common salt holding 0.6 K of frost off for each percent, 20 g/m² spread in the second hour and 10 in the eighth.
 */
const FIGURES = [
  { surface: -4.42, water: 0, snow: 0.65, salt: 0, state: 'damp' },
  { surface: -4.42, water: 0, snow: 1.073, salt: 16.54, state: 'snow' },
  { surface: -1.41, water: 0, snow: 0.697, salt: 13.68, state: 'damp' },
  { surface: -1.41, water: 0.41, snow: 0, salt: 12.01, state: 'wet' },
  { surface: 1.55, water: 0.973, snow: 0, salt: 9.24, state: 'wet' },
  { surface: 1.55, water: 1.2, snow: 0, salt: 7.11, state: 'wet' },
  { surface: -0.42, water: 1.12, snow: 0, salt: 6.24, state: 'ice' },
  { surface: -0.42, water: 1.04, snow: 0, salt: 14.26, state: 'wet' },
  { surface: -0.42, water: 0.96, snow: 0, salt: 12.53, state: 'wet' },
  { surface: -0.42, water: 0.881, snow: 0, salt: 11.0, state: 'wet' },
  { surface: -5.87, water: 0.851, snow: 0, salt: 9.66, state: 'ice' },
  { surface: -5.87, water: 0.821, snow: 0, salt: 8.48, state: 'ice' },
];

describe('a road against a plain sum of it', () => {
  const hours = NIGHT.map((change, i) => hour(i, change));
  const roads = roadHours(hours, {
    roadClass: 'main',
    at: AT,
    treatments: [salted(1, 20), salted(7, 10), { ...salted(3, 40), roadClass: 'town' }],
  });

  it.each(FIGURES.map((figures, i) => ({ i, ...figures })))(
    'hour $i: $state, $water mm of water, $snow mm of snow, $salt g/m² of salt',
    ({ i, surface, water, snow, salt, state }) => {
      const road = roads[i];
      expect(road?.state).toBe(state);
      expect(road?.surfaceTempC).toBeCloseTo(surface, 1);
      expect(Math.abs((road?.waterMm ?? NaN) - water)).toBeLessThan(0.02);
      expect(Math.abs((road?.snowMm ?? NaN) - snow)).toBeLessThan(0.02);
      expect(Math.abs((road?.saltGramsPerM2.NaCl ?? NaN) - salt)).toBeLessThan(0.05);
    },
  );

  it('lies a kelvin over the air under a clear noon, by Haurwitz and the almanac', () => {
    // 17:00 to 18:00 UTC, sun 21.4° up: 341 W/m².
    const [noon] = roadHours([hour(17, { cloudFraction: 0 })], { roadClass: 'main', at: AT, treatments: [] });
    expect(Math.abs((noon?.surfaceTempC ?? NaN) + 1.0)).toBeLessThan(0.1);
  });
});

describe('what salt does and what takes it', () => {
  const keptOf = (change: Partial<WeatherHour>, before: Partial<WeatherHour> = {}): number => {
    const roads = roadHours([hour(0, before), hour(1, change)], {
      roadClass: 'main',
      at: AT,
      treatments: [salted(0, 20)],
    });
    return (roads[1]?.saltGramsPerM2.NaCl ?? NaN) / (roads[0]?.saltGramsPerM2.NaCl ?? NaN);
  };

  it.each([
    { why: 'traffic takes 3 % an hour off a dry road', change: {}, kept: Math.exp(-0.03) },
    {
      why: 'snow washes nothing off; the plough takes 16 % more than traffic alone',
      change: { airTempC: -14, dewPointC: -15, precipKind: 'snow' as const, precipMm: 2 },
      kept: Math.exp(-0.03 - 0.16),
    },
    {
      why: 'a millimetre of rain takes 22 % more than the wet road alone',
      change: { airTempC: 4, dewPointC: 4, precipKind: 'rain' as const, precipMm: 1 },
      kept: Math.exp(-0.13 - 0.22),
    },
  ])('$why', ({ change, kept }) => {
    expect(keptOf(change)).toBeCloseTo(kept, 3);
  });

  it('holds off the frost by the salt that is most, and no salt holds it off at 0 °C only', () => {
    const night = { airTempC: -5, dewPointC: -5.5, cloudFraction: 1 };
    const stateWith = (treatments: Treatment[]): RoadHour['state'] | undefined =>
      roadHours([hour(0, { airTempC: 3, dewPointC: 3, precipKind: 'rain', precipMm: 0.3 }), hour(1, night)], {
        roadClass: 'main',
        at: AT,
        treatments,
      })[1]?.state;
    expect(stateWith([])).toBe('ice');
    expect(stateWith([salted(0, 10)])).toBe('ice');
    expect(stateWith([salted(0, 70, 'CaCl2')])).toBe('wet');
    expect(stateWith([salted(1, 1), salted(1, 70, 'MgCl2')])).toBe('wet');
  });

  it.each([
    { airTempC: -1, precipMm: 4, state: 'snow' },
    { airTempC: 1, precipMm: 4, state: 'slush' },
    { airTempC: 1, precipMm: 1, state: 'slush' },
  ])('$precipMm mm of snow at $airTempC °C lies as $state', ({ airTempC, precipMm, state }) => {
    const snow = hour(0, { airTempC, dewPointC: airTempC - 0.5, precipKind: 'snow', precipMm });
    const [road] = roadHours([snow], { roadClass: 'main', at: AT, treatments: [] });
    expect(road?.state).toBe(state);
  });

  it.each([
    { spreadC: 2.1, state: 'damp' },
    { spreadC: 2.3, state: 'dry' },
  ])('a bare road $spreadC K over the dew point is $state', ({ spreadC, state }) => {
    const [road] = roadHours([hour(0, { airTempC: 5, dewPointC: 5 - spreadC })], {
      roadClass: 'main',
      at: AT,
      treatments: [],
    });
    expect(road?.state).toBe(state);
  });

  it('counts two rounds of one hour, and the later of two looks within an hour counts', () => {
    const roads = roadHours([hour(0)], {
      roadClass: 'main',
      at: AT,
      treatments: [salted(0, 10), { ...salted(0, 10), atMs: FROM + 1_800_000 }],
      seen: [
        { atMs: FROM + 60_000, roadClass: 'main', state: 'snow' },
        { atMs: FROM + 120_000, roadClass: 'main', state: 'wet' },
      ],
    });
    expect(roads[0]?.saltGramsPerM2.NaCl).toBeCloseTo(20 * Math.exp(-0.03), 6);
    expect(roads[0]?.state).toBe('wet');
  });
});

describe('rounds that nobody told of', () => {
  const rounds = (change: (i: number) => Partial<WeatherHour>, count = 12): [number, number][] =>
    likelyTreatments(
      Array.from({ length: count }, (_, i) => hour(i, change(i))),
      'main',
    ).map(({ atMs, gramsPerM2 }) => [(atMs - FROM) / MS_PER_HOUR, gramsPerM2]);

  it('come every fifth hour on a main road, with more in snow than in frost', () => {
    expect(rounds(() => ({ precipKind: 'snow', precipMm: 0.5 }))).toEqual([
      [0, 28],
      [5, 28],
      [10, 28],
    ]);
    expect(rounds(() => ({ dewPointC: -3 }))).toEqual([
      [0, 14],
      [5, 14],
      [10, 14],
    ]);
  });

  it.each([
    { why: 'a trace of snow is frost at most', precipMm: 0.12, kind: 'snow' as const, found: [[0, 14]] },
    { why: 'more than a trace is snow', precipMm: 0.13, kind: 'snow' as const, found: [[0, 28]] },
    { why: 'rain is no snow', precipMm: 0.5, kind: 'rain' as const, found: [[0, 14]] },
    { why: 'a tenth wets nothing', precipMm: 0.1, kind: 'rain' as const, found: [] },
  ])('$why', ({ precipMm, kind, found }) => {
    expect(rounds(() => ({ precipMm, precipKind: kind }), 1)).toEqual(found);
  });

  it('come on a road that was wetted within six hours, in dry air too', () => {
    const wetAt = (at: number) => (i: number) =>
      i === at ? { airTempC: 4, precipMm: 1, precipKind: 'rain' as const } : i < 6 ? { airTempC: 4 } : {};
    expect(rounds(wetAt(0), 7)).toEqual([[6, 14]]);
    expect(rounds(wetAt(0), 8)).toEqual([[6, 14]]);
    const late = (i: number) =>
      i === 0 ? { airTempC: 4, precipMm: 1, precipKind: 'rain' as const } : i < 7 ? { airTempC: 4 } : {};
    expect(rounds(late, 8)).toEqual([]);
    expect(rounds((i) => (i === 7 ? { airTempC: 4, precipMm: 1, precipKind: 'rain' } : {}), 8)).toEqual([]);
  });

  it.each([
    { spreadC: 1.59, count: 1 },
    { spreadC: 1.61, count: 0 },
  ])('air $spreadC K over its dew point: $count round', ({ spreadC, count }) => {
    expect(rounds(() => ({ dewPointC: -2 - spreadC }), 1)).toHaveLength(count);
  });
});
