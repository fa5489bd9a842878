import { describe, expect, it } from '@jest/globals';
import { methodOf } from '../method/index.js';
import type { Place } from '../place/index.js';
import { houseWith } from '../testing/shop.js';
import { DEFAULT_HOUSE } from '../house/index.js';
import { DEFAULT_PRICES, dueState, type ValueCase, washValue } from './index.js';

const DAY_MS = 86_400_000;

const PLACE = {
  id: 'bay',
  travelMinutes: 10,
  methods: [{ methodId: 'bay-touch-free', priceMinor: 750 }],
  tariff: null,
} as unknown as Place;

const CASE: ValueCase = {
  place: PLACE,
  method: methodOf('bay-touch-free'),
  prices: DEFAULT_PRICES,
  activeHoursSaved: 40,
  windChillC: 0,
  gradeAtContact: null,
  queueMinutes: 0,
  wearsProtection: false,
  verdict: 'go',
  daysLate: 0,
};

describe('washValue', () => {
  it('is the sum of its parts', () => {
    const { totalMinor, ...parts } = washValue({
      ...CASE,
      windChillC: -12,
      daysLate: 2,
      wearsProtection: true,
      verdict: 'go-if',
    });
    expect(Object.values(parts).reduce((sum, part) => sum + part, 0)).toBeCloseTo(totalMinor, 9);
  });

  it('prices salt, money and time with travel both ways', () => {
    expect(washValue(CASE)).toMatchObject({
      saltMinor: 480,
      moneyMinor: -750 - 90,
      timeMinor: -1200 * (50 / 60),
    });
  });

  it.each([
    { windChillC: -10, minor: 0, why: 'bearable' },
    { windChillC: -10.1, minor: -10 * 20, why: 'cold' },
    { windChillC: -20.1, minor: -40 * 20, why: 'bitter' },
    { windChillC: null, minor: 0, why: 'indoors' },
  ])('cold hands at $windChillC: $why', ({ windChillC, minor }) => {
    expect(washValue({ ...CASE, windChillC }).coldMinor + 0).toBe(minor + 0);
  });

  it('charges touching dirty paint, not spraying it', () => {
    expect(washValue(CASE).paintMinor + 0).toBe(0);
    expect(washValue({ ...CASE, gradeAtContact: 3 }).paintMinor).toBe(-180);
  });
});

describe('dueState', () => {
  const record = { nowMs: 20 * DAY_MS, knownSinceMs: 0, lastWashMs: null, lastContactMs: null };
  const car = { cadenceDays: 14 };

  it('counts from the last wash, or from when the record begins', () => {
    expect(dueState(car, record, DEFAULT_HOUSE).daysLate).toBeCloseTo(6, 9);
    expect(dueState(car, { ...record, lastWashMs: 10 * DAY_MS }, DEFAULT_HOUSE).daysLate).toBeCloseTo(-4, 9);
  });

  it('asks for contact once the mixed cadence says so', () => {
    const house = houseWith({}, { contactEveryDays: 15 });
    expect(dueState(car, record, house).wants).toBe('contact');
    expect(dueState(car, { ...record, lastContactMs: 10 * DAY_MS }, house).wants).toBe('any');
  });

  it('is due weekly and touch-free for those who rinse weekly, contact for those who wait for a fine day', () => {
    const weekly = dueState(
      car,
      { ...record, lastWashMs: 10 * DAY_MS },
      houseWith({ cadence: 'rinse-weekly' }),
    );
    expect(weekly).toMatchObject({ wants: 'touch-free', dueMs: 17 * DAY_MS });
    expect(dueState(car, record, houseWith({ cadence: 'contact-when-fine' })).wants).toBe('contact');
  });

  it('has a deadline for those who never let salt sit', () => {
    const house = houseWith({ afterSnow: 'never-beyond' }, { neverBeyondDays: 5 });
    const due = dueState(car, { ...record, lastWashMs: 10 * DAY_MS }, house);
    expect(due).toMatchObject({ deadlineMs: 15 * DAY_MS, dueMs: 15 * DAY_MS, daysLate: 5 });
    expect(dueState(car, record, DEFAULT_HOUSE).deadlineMs).toBeNull();
  });
});
