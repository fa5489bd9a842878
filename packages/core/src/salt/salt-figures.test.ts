import { MS_PER_HOUR } from '../quantity/index.js';
import { describe, expect, it } from '@jest/globals';
import { NO_SALT, type RoadHour, type RoadState } from '../road/index.js';
import { compileLife, type LedgerHour, runLedger, swab, wallClock, wetFraction } from './index.js';

const road = (state: RoadState, NaCl = 0): RoadHour => ({
  atMs: 0,
  state,
  surfaceTempC: 0,
  waterMm: 0,
  snowMm: 0,
  saltGramsPerM2: { ...NO_SALT, NaCl },
});

const hour = (i: number, main: RoadHour, change: Partial<LedgerHour> = {}): LedgerHour => ({
  atMs: i * MS_PER_HOUR,
  carTempC: 10,
  relHumidityFraction: 0.5,
  rainMm: 0,
  roads: { main, town: road('dry'), bridge: road('dry') },
  drives: [],
  ...change,
});

const DRIVE = { roadClass: 'main', km: 100, kmh: 80 } as const;
const on = (life: LedgerHour[], zone: string) =>
  runLedger(compileLife(life), { washes: [] })
    .zones()
    .find((entry) => entry.zone === zone);

describe('a salty drive, on paper', () => {
  // 100 km at 80 km/h over 40 g/m²: 100 × 0.0009 × 40 = 3.6 g/m² on the underbody of a wet road.
  it.each([
    { state: 'wet', grams: 3.6 },
    { state: 'slush', grams: 4.68 },
    { state: 'damp', grams: 1.44 },
    { state: 'snow', grams: 1.8 },
    { state: 'ice', grams: 1.8 },
    { state: 'dry', grams: 0.18 },
  ] as const)('a $state road puts $grams g/m² on the underbody', ({ state, grams }) => {
    expect(on([hour(0, road(state, 40), { drives: [DRIVE] })], 'underbody')?.loadGramsPerM2).toBeCloseTo(
      grams,
      9,
    );
  });

  it('puts two fifths of that on the rear, a twelfth on the upper side, a twentieth on the roof', () => {
    const life = [hour(0, road('wet', 40), { drives: [DRIVE] })];
    expect(on(life, 'rear')?.loadGramsPerM2).toBeCloseTo(0.4 * 3.6, 9);
    expect(on(life, 'upper-right')?.loadGramsPerM2).toBeCloseTo(0.08 * 3.6, 9);
    expect(on(life, 'roof')?.loadGramsPerM2).toBeCloseTo(0.05 * 3.6, 9);
  });

  it('keeps the car wet in the hour of the drive and the next, at 10 °C the full pace of its load', () => {
    const life = [
      hour(0, road('wet', 40), { drives: [DRIVE] }),
      ...[1, 2, 3].map((i) => hour(i, road('wet', 40))),
    ];
    const active = (hours: number) => on(life.slice(0, hours), 'underbody')?.activeHours ?? NaN;
    const pace = 3.6 / 5.6;
    expect(active(2) - active(1)).toBeCloseTo(pace, 9);
    expect(active(3)).toBeCloseTo(active(2), 9);
    expect(active(4)).toBeCloseTo(active(2), 9);
  });

  it('does not wet it from a dry road', () => {
    const life = [hour(0, road('dry', 40), { drives: [DRIVE] }), hour(1, road('dry', 40))];
    expect(on(life, 'underbody')?.activeHours).toBe(0);
  });
});

describe('a clean wet road', () => {
  const after = (salt: number, state: RoadState) => {
    const life = [
      hour(0, road('wet', 40), { drives: [DRIVE] }),
      hour(1, road(state, salt), { drives: [DRIVE] }),
    ];
    return on(life, 'underbody')?.loadGramsPerM2 ?? NaN;
  };

  it('rinses 0.4 % a kilometre off the underbody', () => {
    expect(after(0, 'wet')).toBeCloseTo(3.6 * Math.exp(-0.4), 9);
    expect(after(0, 'slush')).toBeCloseTo(3.6 * Math.exp(-0.4 * 1.3), 9);
  });

  it.each(['damp', 'dry', 'snow', 'ice'] as const)('a %s one rinses nothing', (state) => {
    expect(after(0, state)).toBeCloseTo(3.6, 9);
  });

  it('rinses half as much with half a gram on it, and with a gram nothing', () => {
    expect(after(0.5, 'wet')).toBeCloseTo((3.6 + 0.045) * Math.exp(-0.2), 9);
    expect(after(1, 'wet')).toBeCloseTo(3.6 + 0.09, 9);
  });
});

describe('when brine is liquid', () => {
  const air = (relHumidityFraction: number, tempC = 20, isWet = false) => ({
    tempC,
    relHumidityFraction,
    isWet,
  });

  it.each([
    { humidity: 0.724, share: 0 },
    { humidity: 0.755, share: 0.5 },
    { humidity: 0.77, share: 0.75 },
    { humidity: 0.786, share: 1 },
  ])('common salt at $humidity of humidity: $share (Greenspan 1977: 0.755)', ({ humidity, share }) => {
    expect(wetFraction('NaCl', air(humidity))).toBeCloseTo(share, 2);
  });

  it('magnesium chloride takes water up from 0.33, and all of it is solid below the eutectic', () => {
    expect(wetFraction('MgCl2', air(0.29))).toBe(0);
    expect(wetFraction('MgCl2', air(0.37))).toBe(1);
    expect(wetFraction('NaCl', air(1, -21, true))).toBe(1);
    expect(wetFraction('NaCl', air(1, -21.2, true))).toBe(0);
  });
});

describe('a swab', () => {
  it.each([
    { deltaMicroSiemensPerCm: 1, volumeMl: 15, areaMm2: 1250, mg: 6 },
    { deltaMicroSiemensPerCm: 200_000, volumeMl: 15, areaMm2: 1250, mg: 1_200_000 },
    { deltaMicroSiemensPerCm: 10, volumeMl: 3, areaMm2: 1250, mg: 12 },
  ])(
    'of $deltaMicroSiemensPerCm µS/cm in $volumeMl mL from $areaMm2 mm² is $mg mg/m² (ISO 8502-9)',
    ({ mg, ...taken }) => {
      expect(swab(taken).mgPerM2).toBeCloseTo(mg, 6);
    },
  );

  it.each([
    ['deltaMicroSiemensPerCm', 200_001],
    ['deltaMicroSiemensPerCm', -1],
    ['volumeMl', 0.05],
    ['areaMm2', 0.5],
  ])('refuses a %s of %s by name', (field, value) => {
    expect(() => swab({ deltaMicroSiemensPerCm: 1, volumeMl: 15, areaMm2: 1250, [field]: value })).toThrow(
      expect.objectContaining({ field }),
    );
  });
});

it('the clock on the wall goes through the night when clocks go back', () => {
  const from = Date.UTC(2026, 9, 31, 22);
  const clock = wallClock(
    Array.from({ length: 6 }, (_, i) => from + i * MS_PER_HOUR),
    'Europe/Berlin',
  );
  expect(clock).toEqual({
    hourOfDay: [23, 0, 1, 2, 3, 4],
    weekday: [5, 6, 6, 6, 6, 6],
    day: [0, 1, 1, 1, 1, 1],
  });
  const back = wallClock(
    Array.from({ length: 4 }, (_, i) => Date.UTC(2026, 9, 24, 23) + i * MS_PER_HOUR),
    'Europe/Berlin',
  );
  expect(back.hourOfDay).toEqual([1, 2, 2, 3]);
});
