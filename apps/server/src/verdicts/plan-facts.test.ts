import { describe, expect, it } from '@jest/globals';
import type { WashRecord } from '@keen/core';
import { freeFrom, isAhead, isFixed, slotOf } from './plan-facts.js';

const HOUR_MS = 3_600_000;
const WASH: WashRecord = {
  id: 'w',
  vehicleId: 'v',
  placeId: 'bay',
  methodId: 'bay-contact',
  status: 'planned',
  startMs: 10 * HOUR_MS,
  minutes: 60,
  handsId: 'owner',
  isLocked: false,
  startedMs: null,
  extras: [],
  costMinor: null,
  predicted: null,
  found: null,
};
const begun = (atHour: number): WashRecord => ({ ...WASH, startedMs: atHour * HOUR_MS });
const freeHour = (wash: WashRecord, nowHour: number): number => freeFrom(wash, nowHour * HOUR_MS) / HOUR_MS;

describe('when hands and place are free again', () => {
  it.each([
    { why: 'not begun: as planned', wash: WASH, now: 12, free: 11 },
    { why: 'begun in time', wash: begun(10), now: 10.5, free: 11 },
    { why: 'begun early: not before its time', wash: begun(9), now: 9.5, free: 11 },
    { why: 'begun late: later', wash: begun(10.5), now: 10.6, free: 11.5 },
    { why: 'done, however late', wash: { ...begun(10.5), status: 'done' as const }, now: 14, free: 11 },
    { why: 'forgotten to be marked', wash: begun(10), now: 16, free: 11 },
  ])('$why', ({ wash, now, free }) => {
    expect(freeHour(wash, now)).toBe(free);
  });

  it('goes on while it runs over, ten minutes at least and told in steps', () => {
    for (const now of [11, 11.05, 11.4, 13]) {
      const free = freeHour(begun(10), now);
      expect(free - now).toBeGreaterThanOrEqual(10 / 60);
      expect(free - now).toBeLessThanOrEqual(20 / 60 + 1e-9);
      expect(Number.isInteger(Math.round(free * 6 * 1e6) / 1e6)).toBe(true);
    }
  });

  it('keeps a wash that runs over in the plan, where it stands fixed', () => {
    const late = begun(10);
    expect(isAhead(late, 11.4 * HOUR_MS)).toBe(true);
    expect(isAhead(WASH, 11.4 * HOUR_MS)).toBe(false);
    expect(isFixed(late)).toBe(true);
    expect(slotOf(late, 11.4 * HOUR_MS)).toMatchObject({ startMs: 10 * HOUR_MS, extras: [] });
  });
});
