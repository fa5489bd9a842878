import { MS_PER_HOUR } from '../quantity/index.js';
import { describe, expect, it } from '@jest/globals';
import type { WeatherHour } from '../weather/index.js';
import { likelyTreatments, roadHours, type RoadHour, type RoadState, type Treatment } from './index.js';

const AT = { latitudeDeg: 46.5, longitudeDeg: -84.3 };

function weather(count: number, change: (i: number) => Partial<WeatherHour>): WeatherHour[] {
  return Array.from({ length: count }, (_, i) => ({
    atMs: Date.UTC(2026, 0, 10) + i * MS_PER_HOUR,
    airTempC: -2,
    dewPointC: -8,
    windMetresPerSecond: 3,
    gustMetresPerSecond: 5,
    windFromDeg: 300,
    cloudFraction: 0.8,
    precipMm: 0,
    precipKind: 'none',
    snowDepthCm: 0,
    pressureHpa: 1010,
    ...change(i),
  }));
}

const run = (hours: WeatherHour[], treatments: Treatment[] = []): RoadHour[] =>
  roadHours(hours, { roadClass: 'main', at: AT, treatments });

describe('a road', () => {
  it('lies under snow while it falls in the cold, and dries when it is over', () => {
    const hours = weather(72, (i) =>
      i < 6 ? { precipKind: 'snow', precipMm: 1.5 } : { airTempC: 4, dewPointC: -4 },
    );
    const roads = run(hours);
    expect(roads[5]?.state).toBe('snow');
    expect(roads.at(-1)?.state).toBe('dry');
  });

  it('is wet under rain and icy when that freezes without salt', () => {
    const hours = weather(20, (i) =>
      i < 4
        ? { airTempC: 4, dewPointC: 3, precipKind: 'rain', precipMm: 1 }
        : { airTempC: -6, dewPointC: -7 },
    );
    const roads = run(hours);
    expect(roads[3]?.state).toBe('wet');
    expect(roads[6]?.state).toBe('ice');
  });

  it('stays wet below freezing with enough salt', () => {
    const hours = weather(12, (i) =>
      i < 2
        ? { airTempC: 2, dewPointC: 1, precipKind: 'rain', precipMm: 0.4 }
        : { airTempC: -1.5, dewPointC: -2, cloudFraction: 1 },
    );
    const salt: Treatment = { atMs: hours[2]?.atMs ?? 0, roadClass: 'main', agent: 'NaCl', gramsPerM2: 60 };
    expect(run(hours, [salt])[4]?.state).toBe('wet');
    expect(run(hours)[4]?.state).toBe('ice');
  });

  it('keeps the salt that was spread on it and no other, and loses it with time', () => {
    const hours = weather(30, () => ({}));
    const at = hours[5]?.atMs ?? 0;
    const roads = run(hours, [
      { atMs: at, roadClass: 'main', agent: 'NaCl', gramsPerM2: 20 },
      { atMs: at, roadClass: 'bridge', agent: 'MgCl2', gramsPerM2: 20 },
    ]);
    expect(roads[4]?.saltGramsPerM2.NaCl).toBe(0);
    expect(roads[5]?.saltGramsPerM2.NaCl).toBeGreaterThan(18);
    expect(roads[5]?.saltGramsPerM2.MgCl2).toBe(0);
    expect(roads[29]?.saltGramsPerM2.NaCl).toBeLessThan(roads[5]?.saltGramsPerM2.NaCl ?? NaN);
  });

  it('loses more of it in rain', () => {
    const salt = (hours: WeatherHour[]): Treatment[] => [
      { atMs: hours[0]?.atMs ?? 0, roadClass: 'main', agent: 'NaCl', gramsPerM2: 20 },
    ];
    const dry = weather(10, () => ({ airTempC: 5 }));
    const rain = weather(10, () => ({ airTempC: 5, dewPointC: 4, precipKind: 'rain', precipMm: 2 }));
    expect(run(rain, salt(rain)).at(-1)?.saltGramsPerM2.NaCl).toBeLessThan(
      0.2 * (run(dry, salt(dry)).at(-1)?.saltGramsPerM2.NaCl ?? NaN),
    );
  });
});

describe('likely treatments', () => {
  it('come with snow and frost, not in dry cold or thaw', () => {
    const snow = weather(24, () => ({ precipKind: 'snow', precipMm: 0.5 }));
    expect(likelyTreatments(snow, 'main').length).toBeGreaterThan(3);
    expect(
      likelyTreatments(
        weather(24, () => ({})),
        'main',
      ),
    ).toHaveLength(0);
    expect(
      likelyTreatments(
        weather(24, () => ({ airTempC: 5, dewPointC: 4.5 })),
        'main',
      ),
    ).toHaveLength(0);
  });

  it.each([
    { airTempC: -15.9, spreads: true, why: 'salt still works' },
    { airTempC: -16.1, spreads: false, why: 'too cold for salt' },
    { airTempC: 1, spreads: true, why: 'at the upper limit' },
    { airTempC: 1.1, spreads: false, why: 'warmer than treats' },
  ])('at $airTempC °C: $why', ({ airTempC, spreads }) => {
    const snow = weather(6, () => ({ airTempC, dewPointC: airTempC - 1, precipKind: 'snow', precipMm: 0.5 }));
    expect(likelyTreatments(snow, 'main').length > 0).toBe(spreads);
  });

  it('put magnesium brine on the bridge', () => {
    const snow = weather(24, () => ({ precipKind: 'snow', precipMm: 0.5 }));
    expect(new Set(likelyTreatments(snow, 'bridge').map(({ agent }) => agent))).toEqual(new Set(['MgCl2']));
  });
});

describe('what was seen, and what nobody knows', () => {
  const dry = weather(24, () => ({}));
  const seen = (state: RoadState) => [
    { atMs: (dry[6]?.atMs ?? 0) + 900_000, roadClass: 'main' as const, state },
  ];

  it.each(['dry', 'damp', 'wet', 'slush', 'snow', 'ice'] as const)(
    'takes a road seen %s as it was seen',
    (state) => {
      const roads = roadHours(dry, { roadClass: 'main', at: AT, treatments: [], seen: seen(state) });
      expect(roads[6]?.state).toBe(state);
      expect(roads[5]).toEqual(roadHours(dry, { roadClass: 'main', at: AT, treatments: [] })[5]);
    },
  );

  it('lets the next hours follow from it', () => {
    const plain = roadHours(dry, { roadClass: 'main', at: AT, treatments: [] });
    const after = roadHours(dry, { roadClass: 'main', at: AT, treatments: [], seen: seen('snow') });
    expect(after[8]?.snowMm).toBeGreaterThan(plain[8]?.snowMm ?? 0);
  });

  it('leaves other classes of road alone', () => {
    const town = { roadClass: 'town' as const, at: AT, treatments: [] };
    expect(roadHours(dry, { ...town, seen: seen('snow') })).toEqual(roadHours(dry, town));
  });

  it('knows nothing of an hour without weather, and takes up behind the gap what lay before it', () => {
    const gap = dry.map((hour, i) => (i >= 8 && i < 12 ? null : hour));
    const roads = roadHours(gap, { roadClass: 'main', at: AT, treatments: [], seen: seen('snow') });
    expect(roads.slice(8, 12)).toEqual([null, null, null, null]);
    expect(roads[12]?.snowMm).toBeGreaterThan(0);
    expect(likelyTreatments(gap, 'main').every(({ atMs }) => gap.some((hour) => hour?.atMs === atMs))).toBe(
      true,
    );
  });
});
