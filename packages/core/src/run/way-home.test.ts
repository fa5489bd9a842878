import { describe, expect, it } from '@jest/globals';
import { BAY } from '../testing/shop.js';
import { bugsOnTheWayHome } from './index.js';

/** In July at the bay of the tests: the sun sets a little before 02:00 UTC. */
const NOON_MS = Date.UTC(2026, 6, 10, 17);
const LATE_MS = Date.UTC(2026, 6, 11, 3);
const at = (change: Partial<Parameters<typeof bugsOnTheWayHome>[0]> = {}): number | null =>
  bugsOnTheWayHome({ place: { ...BAY, travelMinutes: 10 }, endMs: LATE_MS, airTempC: 17, ...change });

describe('the drive home after a late wash', () => {
  it('puts insects on the nose on a warm night, and says how warm', () => {
    expect(at()).toBe(17);
  });

  it.each([
    ['by day', { endMs: NOON_MS }],
    ['in the cold', { airTempC: 10 }],
    ['where nobody knows the air', { airTempC: null }],
    ['where the car is washed at home', { place: { ...BAY, travelMinutes: 0 } }],
  ])('puts none there %s', (_, change) => {
    expect(at(change)).toBeNull();
  });

  it('begins in the last light', () => {
    const hours = Array.from({ length: 14 }, (_hour, i) => NOON_MS + i * 3_600_000);
    const first = hours.findIndex((endMs) => at({ endMs }) !== null);
    expect(first).toBeGreaterThan(6);
    expect(hours.slice(first).every((endMs) => at({ endMs }) !== null)).toBe(true);
  });
});
