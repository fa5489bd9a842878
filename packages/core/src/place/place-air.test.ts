import { MS_PER_HOUR } from '../quantity/index.js';
import { describe, expect, it } from '@jest/globals';
import type { WeatherHour } from '../weather/index.js';
import { placeAir } from './index.js';

const hour = (i: number, airTempC: number, change: Partial<WeatherHour> = {}): WeatherHour => ({
  atMs: i * MS_PER_HOUR,
  airTempC,
  dewPointC: -10,
  windMetresPerSecond: 4,
  gustMetresPerSecond: 6,
  windFromDeg: 0,
  cloudFraction: 1,
  precipMm: 0,
  precipKind: 'none',
  snowDepthCm: 0,
  pressureHpa: 1013,
  ...change,
});
/** Freezing throughout, but for one hour at +24 °C. */
const WARM_AT_10 = Array.from({ length: 60 }, (_, i) => hour(i, i === 10 ? 24 : 0));
const UNHEATED = { climate: { kind: 'unheated' } } as const;
const airOf = (hours: readonly (WeatherHour | null)[], place: Parameters<typeof placeAir>[0] = UNHEATED) =>
  placeAir(place, hours).map((air) => air?.airTempC ?? null);

describe('the air of an unheated garage', () => {
  it('is three kelvin over the mean of 24 hours, the present among them, and no more', () => {
    const air = airOf(WARM_AT_10);
    expect(air[9]).toBeCloseTo(3, 9);
    expect(air[10]).toBeCloseTo(3 + 24 / 11, 9);
    expect(air[23]).toBeCloseTo(4, 9);
    expect(air[33]).toBeCloseTo(4, 9);
    expect(air[34]).toBeCloseTo(3, 9);
  });

  it('is the mean of the hours that are known, and is not known itself in an hour without weather', () => {
    const gaps = WARM_AT_10.map((one, i) => (i % 2 === 1 ? null : one));
    const air = airOf(gaps);
    expect(air[11]).toBeNull();
    expect(air[30]).toBeCloseTo(3 + 24 / 12, 9);
  });
});

describe('an unheated place that somebody knows', () => {
  const cold = Array.from({ length: 80 }, (_, i) => hour(i, -6));
  const air = (climate: object) => airOf(cold, { climate: { kind: 'unheated', ...climate } });

  it('is as warm as it usually is, whatever the weather', () => {
    expect(new Set(air({ usualC: 4 }))).toEqual(new Set([4]));
    expect(new Set(air({ usualC: null }))).toEqual(new Set([-3]));
  });

  it('is as it was read in that hour, and on its way back to the model behind it', () => {
    const read = air({ readC: 3, readAtMs: 30.5 * MS_PER_HOUR });
    expect(read[28]).toBeCloseTo(-3, 9);
    expect(read[30]).toBeCloseTo(3, 9);
    expect(read[30 + 24]).toBeCloseTo(-3 + 6 * Math.exp(-23.5 / 24), 9);
    expect(read[79]).toBeLessThan(-2);
    const steps = read.slice(30).map((tempC, i, all) => (all[i + 1] ?? -Infinity) <= (tempC ?? NaN));
    expect(steps.every(Boolean)).toBe(true);
  });

  it('is read against what it usually is, and an older reading against the first hour that is known', () => {
    expect(air({ usualC: 2, readC: 5, readAtMs: 40 * MS_PER_HOUR })[40]).toBeCloseTo(5, 9);
    expect(air({ readC: 3, readAtMs: -12 * MS_PER_HOUR })[0]).toBeCloseTo(-3 + 6 * Math.exp(-0.5), 9);
    expect(air({ readC: 3, readAtMs: null })[0]).toBeCloseTo(-3, 9);
    expect(air({ readC: 3, readAtMs: 200 * MS_PER_HOUR })[79]).toBeCloseTo(-3, 9);
  });
});

describe('the air at a panel', () => {
  const windy = [hour(0, -5, { windMetresPerSecond: 8 })];
  const speedAt = (climate: Parameters<typeof placeAir>[0]['climate']): number | undefined =>
    placeAir({ climate }, windy)[0]?.airSpeedMetresPerSecond;

  it.each([
    { climate: { kind: 'outdoors' }, speed: 4 },
    { climate: { kind: 'open-bay' }, speed: 2.4 },
    { climate: { kind: 'unheated' }, speed: 0.1 },
    { climate: { kind: 'heated', setpointC: 14 }, speed: 0.1 },
  ] as const)('moves at $speed m/s: $climate.kind', ({ climate, speed }) => {
    expect(speedAt(climate)).toBeCloseTo(speed, 9);
  });

  it('is as damp as was read there, else as the model has it and no damper than its cap', () => {
    const damp = Array.from({ length: 30 }, (_, i) => hour(i, 3, { dewPointC: 3 }));
    const humidity = (climate: Parameters<typeof placeAir>[0]['climate']) =>
      placeAir({ climate }, damp).at(-1)?.relHumidityFraction;
    expect(humidity({ kind: 'unheated', relHumidityFraction: 0.6 })).toBe(0.6);
    expect(humidity({ kind: 'heated', setpointC: 5 })).toBe(0.9);
    // Water vapour of 3 °C dew (757 Pa) and 40 Pa more, against 934 Pa over water at 6 °C.
    expect(humidity({ kind: 'unheated' })).toBeCloseTo(797 / 935, 2);
  });
});
