import { MS_PER_DAY } from '../quantity/index.js';
import { describe, expect, it } from '@jest/globals';
import { methodOf } from '../method/index.js';
import type { Place } from '../place/index.js';
import { houseWith, methodWith } from '../testing/shop.js';
import { DEFAULT_HOUSE, type HouseRules } from '../house-rules/index.js';
import { NO_EXTRAS } from '../season/index.js';
import {
  DEFAULT_PRICES,
  dueState,
  type DueState,
  targetState,
  type ValueCase,
  type WashHistory,
  washValue,
} from './index.js';

const PLACE = {
  id: 'bay',
  travelMinutes: 10,
  methods: [{ methodId: 'bay-touch-free', priceMinor: 750 }],
  tariff: null,
} as unknown as Place;

const CASE: ValueCase = {
  place: PLACE,
  method: methodWith('bay-touch-free'),
  prices: DEFAULT_PRICES,
  activeHoursSaved: 40,
  windChillC: 0,
  gradeAtContact: null,
  queueMinutes: 0,
  wearsProtection: false,
  verdict: 'go',
  daysLate: 0,
  extras: NO_EXTRAS,
};

describe('washValue', () => {
  it('counts work of the season by its worth, less its time, product and cold', () => {
    const extras = { jobIds: ['underbody' as const], minutes: 15, costMinor: 40, worthMinor: 1500 };
    expect(washValue({ ...CASE, extras }).seasonMinor).toBeCloseTo(1500 - 40 - 300, 9);
    expect(washValue({ ...CASE, extras, windChillC: -12 }).seasonMinor).toBeCloseTo(1500 - 40 - 300 - 150, 9);
  });

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
      moneyMinor: -750 - 233,
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

  it('charges paint left bare, unless it is coated in the same visit', () => {
    const bare = { ...CASE, method: methodOf('pre-coating') };
    const coated = { jobIds: ['re-coat' as const], minutes: 120, costMinor: 1500, worthMinor: 8000 };
    expect(washValue(bare).paintMinor).toBe(-DEFAULT_PRICES.bareMinor);
    expect(washValue({ ...bare, extras: coated }).paintMinor + 0).toBe(0);
  });
});

describe('dueState', () => {
  const record = {
    nowMs: 20 * MS_PER_DAY,
    knownSinceMs: 0,
    isLastWashKnown: true,
    lastWashMs: null,
    lastContactMs: null,
  };
  const due = (history: WashHistory, house: HouseRules): DueState => {
    const sinceMs = history.lastWashMs ?? history.knownSinceMs;
    const { nowMs } = history;
    return dueState(
      targetState({ kind: 'days' }, { cadenceDays: 14, course: [], sinceMs, nowMs, beganActiveHours: 0 }),
      history,
      house,
    );
  };

  it('counts from the last wash, or from when the record begins', () => {
    expect(due(record, DEFAULT_HOUSE).daysLate).toBeCloseTo(6, 9);
    expect(due({ ...record, lastWashMs: 10 * MS_PER_DAY }, DEFAULT_HOUSE).daysLate).toBeCloseTo(-4, 9);
  });

  it('asks for contact once the mixed cadence says so', () => {
    const house = houseWith({}, { contactEveryDays: 15 });
    expect(due(record, house).wants).toBe('contact');
    expect(due({ ...record, lastContactMs: 10 * MS_PER_DAY }, house).wants).toBe('any');
  });

  it('is due weekly and touch-free for those who rinse weekly, contact for those who wait for a fine day', () => {
    const weekly = due({ ...record, lastWashMs: 10 * MS_PER_DAY }, houseWith({ cadence: 'rinse-weekly' }));
    expect(weekly).toMatchObject({ wants: 'touch-free', dueMs: 17 * MS_PER_DAY });
    expect(due(record, houseWith({ cadence: 'contact-when-fine' })).wants).toBe('contact');
  });

  it('has a deadline for those who never let salt sit', () => {
    const house = houseWith({ afterSnow: 'never-beyond' }, { neverBeyondDays: 5 });
    const answer = due({ ...record, lastWashMs: 10 * MS_PER_DAY }, house);
    expect(answer).toMatchObject({ deadlineMs: 15 * MS_PER_DAY, dueMs: 15 * MS_PER_DAY, daysLate: 5 });
    expect(due(record, DEFAULT_HOUSE).deadlineMs).toBeNull();
    expect(answer.everyDays).toBe(5);
  });

  it.each([
    { choices: {}, everyDays: 14, why: 'its own cadence' },
    { choices: { cadence: 'rinse-weekly' }, everyDays: 7, why: 'a rinse each week, not only the first' },
    { choices: { afterSnow: 'never-beyond' }, everyDays: 10, why: 'salt never longer than so' },
    {
      choices: { cadence: 'rinse-weekly', afterSnow: 'never-beyond' },
      everyDays: 7,
      why: 'the shorter of the two',
    },
  ] as const)('comes again every $everyDays days: $why', ({ choices, everyDays }) => {
    expect(due(record, houseWith(choices, { neverBeyondDays: 10 })).everyDays).toBe(everyDays);
  });
});
