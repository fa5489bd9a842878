import { describe, expect, it } from '@jest/globals';
import { COLD_LAKE_PORT, likelyTreatments, MS_PER_HOUR, ROAD_CLASSES, simulateWeather } from '@keen/core';
import { SimulatedAuthority } from './simulated-authority.js';

const FROM = Date.UTC(2026, 0, 1);
const HOURS = 24 * 60;
const TO = FROM + HOURS * MS_PER_HOUR;
const hours = simulateWeather({ climate: COLD_LAKE_PORT, seed: 5, fromMs: FROM, hourCount: HOURS });
const authority = (seed: number) =>
  new SimulatedAuthority(seed, FROM, {
    observed: (fromMs, toMs) => {
      expect(fromMs).toBe(FROM);
      return Promise.resolve(hours.filter(({ atMs }) => atMs < toMs));
    },
  });

describe('a made-up road authority', () => {
  it('says the same of a season whenever it is asked, whole or in parts', async () => {
    const whole = await authority(3).bulletins(FROM, TO);
    expect(await authority(3).bulletins(FROM, TO)).toEqual(whole);
    expect(await authority(4).bulletins(FROM, TO)).not.toEqual(whole);
    const middle = FROM + 30 * 24 * MS_PER_HOUR;
    const later = (await authority(3).bulletins(middle, TO)).map(({ atMs }) => atMs);
    expect(later).toEqual(whole.map(({ atMs }) => atMs).filter((atMs) => atMs >= middle));
  });

  it('tells in order, within what it is asked, on every kind of road', async () => {
    const told = await authority(3).bulletins(FROM, TO);
    const times = told.map(({ atMs }) => atMs);
    expect(times).toEqual(times.toSorted((a, b) => a - b));
    expect(times.every((atMs) => atMs >= FROM && atMs < TO)).toBe(true);
    expect(new Set(told.map(({ roadClass }) => roadClass))).toEqual(new Set(ROAD_CLASSES));
  });

  it('misses about one round in ten, comes up to two hours late, and spreads between three quarters and a third more', async () => {
    const likely = ROAD_CLASSES.flatMap((roadClass) => likelyTreatments(hours, roadClass));
    const told = await authority(3).bulletins(FROM, TO);
    expect(told.length / likely.length).toBeGreaterThan(0.84);
    expect(told.length / likely.length).toBeLessThan(0.96);
    const lateness = told.map((one) => {
      const of = likely.filter(
        ({ roadClass, atMs, gramsPerM2 }) =>
          roadClass === one.roadClass &&
          one.atMs >= atMs &&
          one.atMs <= atMs + 2 * MS_PER_HOUR &&
          one.gramsPerM2 >= Math.round(0.75 * gramsPerM2) &&
          one.gramsPerM2 <= Math.round(1.35 * gramsPerM2),
      );
      return of.map(({ atMs }) => (one.atMs - atMs) / MS_PER_HOUR);
    });
    expect(lateness.every((found) => found.length > 0)).toBe(true);
    expect(new Set(lateness.flat())).toEqual(new Set([0, 1, 2]));
  });

  it('takes calcium on the main road alone, in the deep cold alone', async () => {
    const airAt = new Map(hours.map(({ atMs, airTempC }) => [atMs, airTempC]));
    const told = await authority(3).bulletins(FROM, TO);
    const calcium = told.filter(({ agent }) => agent === 'CaCl2');
    expect(calcium.length).toBeGreaterThan(0);
    expect(calcium.every(({ roadClass }) => roadClass === 'main')).toBe(true);
    for (const { atMs } of calcium) {
      const before = [0, 1, 2].map((h) => airAt.get(atMs - h * MS_PER_HOUR) ?? 0);
      expect(Math.min(...before)).toBeLessThan(-13);
    }
  });
});
