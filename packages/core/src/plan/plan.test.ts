import { describe, expect, it } from '@jest/globals';
import { methodOf } from '../method/index.js';
import type { Place } from '../place/index.js';
import { CLEAN } from '../soil/index.js';
import { houseWith } from '../testing/shop.js';
import { DEFAULT_HOUSE } from '../house/index.js';
import {
  busyOf,
  DEFAULT_PRICES,
  dueState,
  morningAnswer,
  type ValueCase,
  type VehicleMorning,
  washValue,
  type Window,
} from './index.js';

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;

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

const window = (startHour: number, totalMinor: number, placeId = 'bay'): Window =>
  ({
    placeId,
    methodId: 'bay-touch-free',
    startMs: startHour * HOUR_MS,
    endMs: startHour * HOUR_MS + 30 * 60_000,
    verdict: 'go',
    value: { totalMinor },
  }) as unknown as Window;

const morning = (vehicleId: string, daysLate: number, windows: readonly Window[]): VehicleMorning => ({
  vehicleId,
  due: { lastWashMs: 0, dueMs: -daysLate * DAY_MS, daysLate, wants: 'any', deadlineMs: null },
  zones: [],
  activeHours: 0,
  soil: CLEAN,
  windows,
  refusals: [],
});

describe('morningAnswer', () => {
  const around = { places: [PLACE], taken: [], horizonMs: 7 * DAY_MS };

  it('lets the latest car choose first and gives no pair of hands twice', () => {
    const windows = [window(10, -100), window(11, -200)];
    const answers = morningAnswer([morning('a', 1, windows), morning('b', 5, windows)], around);
    expect(answers.map(({ vehicleId, best }) => [vehicleId, best?.startMs])).toEqual([
      ['b', 10 * HOUR_MS],
      ['a', 11 * HOUR_MS],
    ]);
  });

  it('counts travel as taken: back to back at the same bay does not fit within 20 minutes', () => {
    const close = [window(10, -100), { ...window(10, -150), startMs: 10.6 * HOUR_MS, endMs: 11.1 * HOUR_MS }];
    const answers = morningAnswer([morning('a', 5, close), morning('b', 1, close)], around);
    expect(answers[1]).toMatchObject({ vehicleId: 'b', standing: 'no-window', best: null });
  });

  it('keeps clear of washes that are planned already', () => {
    const taken = [busyOf(window(10, 0), [PLACE])];
    const [answer] = morningAnswer([morning('a', 5, [window(10, -1), window(14, -50)])], {
      ...around,
      taken,
    });
    expect(answer?.best?.startMs).toBe(14 * HOUR_MS);
  });

  it('leaves alone what is not due', () => {
    const [answer] = morningAnswer([morning('a', -5, [window(10, 100)])], around);
    expect(answer).toMatchObject({ standing: 'not-due', best: null });
  });

  it('names other places first among the next best', () => {
    const [answer] = morningAnswer(
      [morning('a', 3, [window(10, -1), window(20, -2), window(11, -9, 'other')])],
      around,
    );
    expect(answer?.alternatives.map(({ placeId }) => placeId)).toEqual(['other', 'bay']);
  });
});
