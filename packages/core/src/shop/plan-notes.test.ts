import { MS_PER_HOUR } from '../quantity/index.js';
import { describe, expect, it } from '@jest/globals';
import { DEFAULT_HOUSE } from '../house-rules/index.js';
import { EMPTY_KIT, type Kit, type Product } from '../kit/index.js';
import type { WashRecord } from '../log/index.js';
import { DEFAULT_LIMITS } from '../rules/index.js';
import { endOf, freeFrom, isAhead, isFixed, planNotes, slotOf, stockByMethod } from './plan-notes.js';

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

describe('what stands in the plan', () => {
  const SHOP = { workers: [], busy: [], bookings: [], stock: {} };
  const at = (minutes: number, change: Partial<WashRecord> = {}): WashRecord => ({
    ...WASH,
    startMs: WASH.startMs + minutes * 60_000,
    ...change,
  });
  it.each([
    { why: 'on the planner’s own minutes', wash: at(0), fixed: false },
    { why: 'beside them', wash: at(7), fixed: true },
    { why: 'locked', wash: at(0, { isLocked: true }), fixed: true },
    { why: 'begun', wash: at(0, { startedMs: 5 }), fixed: true },
    { why: 'one of a visit', wash: at(0, { visit: { minutes: 90 } as never }), fixed: true },
  ])('is fixed or not: $why', ({ wash, fixed }) => {
    const notes = planNotes({ planned: [wash], nowMs: 0 }, SHOP);
    expect(notes.fixed).toHaveLength(fixed ? 1 : 0);
    expect(notes.movable).toHaveLength(fixed ? 0 : 1);
    expect(notes).toMatchObject(SHOP);
  });

  it('keeps what was chosen for one wash alone, and has nothing where nothing was', () => {
    const chosen = { products: { foam: 'mild' } } as unknown as WashRecord['predicted'];
    expect(slotOf({ ...WASH, predicted: chosen }, 0).choices).toEqual({ products: { foam: 'mild' } });
    expect(slotOf({ ...WASH, predicted: {} as never }, 0)).not.toHaveProperty('choices');
    expect(slotOf(WASH, 0)).toEqual({
      vehicleId: 'v',
      placeId: 'bay',
      methodId: 'bay-contact',
      workerId: 'owner',
      startMs: 10 * MS_PER_HOUR,
      endMs: 11 * MS_PER_HOUR,
      isBegun: false,
      extras: [],
    });
    expect(slotOf({ ...WASH, startedMs: 1 }, 0).isBegun).toBe(true);
  });

  it('of two cars in one visit lasts as long as the visit', () => {
    expect(endOf({ startMs: 0, minutes: 40, visit: { minutes: 95 } as never })).toBe(95 * 60_000);
    expect(endOf({ startMs: 0, minutes: 40 })).toBe(40 * 60_000);
    expect(isAhead({ ...WASH, status: 'done' }, 0)).toBe(false);
    expect(isAhead(WASH, 11 * MS_PER_HOUR)).toBe(false);
    expect(isAhead(WASH, 11 * MS_PER_HOUR - 1)).toBe(true);
  });
});

describe('for how many washes there is product', () => {
  const SHOP = { house: DEFAULT_HOUSE, limits: DEFAULT_LIMITS };
  const RINSELESS: Product = {
    id: 'r',
    name: 'Rinseless',
    role: 'rinseless',
    inUsePh: 7,
    usualParts: 256,
    fewestParts: 256,
    mostParts: 256,
    capMl: null,
    carMl: null,
    dwell: null,
    lowestWorkC: null,
    lowestStoreC: null,
    keptIn: 'indoors',
    bottleMl: 1000,
    leftMl: 500,
    lowMl: 100,
    priceMinor: 2000,
    notes: '',
  };
  it('is what was counted, where nothing stands on the shelf', () => {
    expect(stockByMethod({ 'garage-rinseless': 3 }, EMPTY_KIT, SHOP)).toEqual({ 'garage-rinseless': 3 });
    expect(stockByMethod({}, EMPTY_KIT, SHOP)).toEqual({});
  });

  it('is the less of what was counted and what the bottles give', () => {
    const kit = (leftMl: number): Kit => ({
      ...EMPTY_KIT,
      products: [{ ...RINSELESS, leftMl }],
    });
    const few = stockByMethod({ 'garage-rinseless': 1000 }, kit(100), SHOP)['garage-rinseless'] ?? NaN;
    const many = stockByMethod({ 'garage-rinseless': 1000 }, kit(400), SHOP)['garage-rinseless'] ?? NaN;
    expect(few).toBeGreaterThan(0);
    expect(many).toBeGreaterThan(few);
    expect(many).toBeLessThan(1000);
    expect(stockByMethod({ 'garage-rinseless': 1 }, kit(400), SHOP)['garage-rinseless']).toBe(1);
  });
});
