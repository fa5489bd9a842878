import { MS_PER_HOUR } from '../quantity/index.js';
import { describe, expect, it } from '@jest/globals';
import type { WashRecord } from '../log/index.js';
import { freeFrom, isAhead, isFixed, slotOf } from './plan-notes.js';

const WASH: WashRecord = {
  id: 'w',
  vehicleId: 'v',
  placeId: 'bay',
  methodId: 'bay-contact',
  status: 'planned',
  startMs: 10 * MS_PER_HOUR,
  minutes: 60,
  workerId: 'owner',
  isLocked: false,
  startedMs: null,
  extras: [],
  costMinor: null,
  predicted: null,
  found: null,
};
const begun = (atHour: number): WashRecord => ({ ...WASH, startedMs: atHour * MS_PER_HOUR });
const freeHour = (wash: WashRecord, nowHour: number): number =>
  freeFrom(wash, nowHour * MS_PER_HOUR) / MS_PER_HOUR;

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
    expect(isAhead(late, 11.4 * MS_PER_HOUR)).toBe(true);
    expect(isAhead(WASH, 11.4 * MS_PER_HOUR)).toBe(false);
    expect(isFixed(late)).toBe(true);
    expect(slotOf(late, 11.4 * MS_PER_HOUR)).toMatchObject({ startMs: 10 * MS_PER_HOUR, extras: [] });
  });
});
