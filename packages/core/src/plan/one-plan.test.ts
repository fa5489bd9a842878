import { describe, expect, it } from '@jest/globals';
import type { BookedSpan } from '../booking/index.js';
import { MS_PER_DAY, MS_PER_HOUR } from '../quantity/index.js';
import { goodSchedule } from '../schedule/index.js';
import { NO_EXTRAS } from '../season/index.js';
import {
  at,
  car,
  MONDAY,
  place,
  planned,
  PLACES,
  request,
  slot,
  span,
  starts,
  weekdays,
  window,
  WORK_CASE,
  type Wish,
} from '../testing/plan.js';
import type { SeasonJobId } from '../vehicle/index.js';
import {
  busyOf,
  DEFAULT_PRICES,
  duePeriods,
  type Worker,
  moveOptions,
  morningAnswers,
  type PlanAnswer,
  type planCase,
  planDifference,
  type PlannedSlot,
  type PlanRequest,
  type Window,
  windowAt,
  withoutExtras,
  worksThrough,
  planWorth,
  worthOfReliefs,
} from './index.js';

describe('workers', () => {
  it.each([
    { fromHour: 8, toHour: 18, works: true, why: 'the whole day' },
    { fromHour: 7.9, toHour: 9, works: false, why: 'before it begins' },
    { fromHour: 17, toHour: 18.1, works: false, why: 'beyond its end' },
    { fromHour: 5 * 24 + 10, toHour: 5 * 24 + 11, works: false, why: 'a Saturday' },
    { fromHour: 17, toHour: 24 + 9, works: false, why: 'over night' },
  ])('$why: $works', ({ fromHour, toHour, works }) => {
    expect(worksThrough(weekdays('a'), { fromMs: at(fromHour), toMs: at(toHour) }, 'UTC')).toBe(works);
  });

  it.each(['2026-03-08', '2026-11-01'])('work by the wall clock on %s, when it is changed', (day) => {
    const always: Worker = { ...weekdays('a'), hours: Array<Worker['hours'][number]>(7).fill(span(8, 18)) };
    const noon = Date.parse(`${day}T17:00:00Z`);
    const local = (hour: number): number => {
      const offset = new Intl.DateTimeFormat('en', {
        timeZone: 'America/Toronto',
        timeZoneName: 'longOffset',
      }).formatToParts(noon);
      const name = offset.find(({ type }) => type === 'timeZoneName')?.value ?? '';
      return Date.parse(`${day}T${String(hour).padStart(2, '0')}:00:00${name.slice(3)}`);
    };
    const does = (from: number, to: number): boolean =>
      worksThrough(always, { fromMs: local(from), toMs: local(to) }, 'America/Toronto');
    expect([does(8, 18), does(7, 9), does(17, 19)]).toEqual([true, false, false]);
  });

  it('are taken from leaving home until being back', () => {
    expect(busyOf(slot('a', 10, { placeId: 'bay' }), PLACES)).toEqual({
      fromMs: at(10) - 20 * 60_000,
      toMs: at(11) + 20 * 60_000,
    });
  });

  it('stand in the queue of the hour in which they come', () => {
    const weekdayMinutes = Array.from({ length: 24 }, (_, hour) => (hour === 10 ? 25 : 0));
    const queue = { weekdayMinutes, weekendMinutes: Array<number>(24).fill(0) };
    const places = [{ ...place('bay', 20), queue }];
    expect(busyOf(slot('a', 10, { placeId: 'bay' }), places).toMs).toBe(at(11) + 45 * 60_000);
    expect(busyOf(slot('a', 12, { placeId: 'bay' }), places).toMs).toBe(at(13) + 20 * 60_000);
    // Its worker has stood in the queue already.
    const begun = slot('a', 10, { placeId: 'bay', isBegun: true });
    expect(busyOf(begun, places).toMs).toBe(at(11) + 20 * 60_000);
  });

  it.each([
    { why: 'no rest, no queue', change: {}, second: 11 },
    { why: 'half an hour of rest', change: { restMinutes: 30 }, second: 12 },
    {
      why: 'a quarter of an hour in the queue',
      change: {
        places: PLACES.map((there) => ({
          ...there,
          queue: { weekdayMinutes: Array<number>(24).fill(15), weekendMinutes: Array<number>(24).fill(0) },
        })),
      },
      second: 12,
    },
  ])('begin the next wash when they can: $why', async ({ change, second }) => {
    const cars = [car('a', [window(10, { salt: 9000 })]), car('b', [window(11, { salt: 900 }), window(12)])];
    expect(starts(await planned(request(cars, change)))).toEqual({ a: 10, b: second });
    // The same round a wash that stands fixed.
    const whole = request([cars[1]!], { ...change, fixed: [slot('a', 10)] });
    expect(starts(await planned(whole))).toEqual({ b: second });
  });
});

describe('duePeriods', () => {
  const days = (due: number, cadenceDays: number) =>
    duePeriods(
      { dueMs: MONDAY + due * MS_PER_DAY, cadenceDays },
      { nowMs: MONDAY, horizonMs: MONDAY + 10 * MS_PER_DAY },
    ).map(({ fromMs, toMs }) => [(fromMs - MONDAY) / MS_PER_DAY, (toMs - MONDAY) / MS_PER_DAY]);

  it.each([
    { why: 'late: from now on', due: -9, cadence: 20, periods: [[0, 8]] },
    { why: 'in six days: from two on', due: 6, cadence: 10, periods: [[2, 10]] },
    { why: 'beyond the horizon', due: 30, cadence: 20, periods: [] },
    { why: 'weekly: two', due: 1, cadence: 5, periods: [[0, 3], [4, 8], [9, 10]] }, // oxfmt-ignore
  ])('$why', ({ due, cadence, periods }) => {
    expect(days(due, cadence)).toEqual(periods);
  });
});

describe('what a window is worth', () => {
  const whole = request([]);
  const base = {
    period: {
      index: 0,
      dueMs: at(24),
      fromMs: MONDAY,
      toMs: whole.horizonMs,
      bookingId: null,
      readyByMs: null,
      methodId: null,
    },
    baselineCostMinor: 800,
    cadenceDays: 10,
  };
  const worth = (startHour: number, wish: Wish = {}): number =>
    planWorth(window(startHour, wish), base, whole).totalMinor;

  it('on its date: all the lateness avoided, salt, and what it takes beyond the usual', () => {
    expect(worth(24, { takes: 1000, salt: 300 })).toBeCloseTo(4 * 250 + 300 - 200);
  });

  it('falls by the price of each late day', () => {
    expect(worth(24) - worth(72)).toBeCloseTo(2 * DEFAULT_PRICES.lateMinorPerDay);
  });

  it('falls by the share of its cadence that an early wash gives away', () => {
    expect(worth(24) - worth(0)).toBeCloseTo(800 * 0.1);
  });

  it('falls where the house wants another kind', () => {
    expect(worth(24) - worth(24, { isWanted: false })).toBe(DEFAULT_PRICES.otherKindMinor);
  });

  it('is a mean over the members: in those where it fails only the trouble is left', () => {
    const holds = worth(24);
    expect(worth(24, { failing: 4 })).toBeCloseTo(0.8 * holds - 0.2 * DEFAULT_PRICES.conditionMinor);
  });

  it.each([
    { why: 'on its date', startHour: 24, wish: { takes: 1000, salt: 300 } },
    { why: 'early', startHour: 0, wish: { takes: 1200 } },
    { why: 'late', startHour: 72, wish: { isWanted: false } },
    { why: 'failing in some', startHour: 30, wish: { failing: 4, salt: 200 } },
  ])('is the sum of its parts and of what its wash gives and takes: $why', ({ startHour, wish }) => {
    const one = window(startHour, wish);
    const { totalMinor, ...parts } = planWorth(one, base, whole);
    const { lateAvoidedMinor, dueAnywayMinor, promiseMinor, otherKindMinor, failingMinor } = parts;
    const gives = lateAvoidedMinor + dueAnywayMinor + promiseMinor;
    const washMinor = one.value.totalMinor - one.value.lateMinor;
    expect(totalMinor).toBeCloseTo(washMinor + gives - otherKindMinor - failingMinor, 9);
  });
});

describe('one plan for all', () => {
  it('gives no pair of hands twice, and the better hour to whom it is worth more', async () => {
    const answer = await planned(
      request([
        car('a', [window(10, { salt: 500 }), window(11, { salt: 450 })]),
        car('b', [window(10, { salt: 500 }), window(11, { salt: 100 })]),
      ]),
    );
    expect(starts(answer)).toEqual({ a: 11, b: 10 });
  });

  it('goes home between two washes to change cars', async () => {
    const bay = { placeId: 'bay', minutes: 30 };
    const answer = await planned(
      request([
        car('a', [window(10, bay)]),
        car('b', [window(11, bay), window(12, { ...bay, takes: 1300 })]),
      ]),
    );
    expect(starts(answer)).toEqual({ a: 10, b: 12 });
  });

  it('uses a second pair of hands where there is room', async () => {
    const workers = [weekdays('owner'), weekdays('helper')];
    const both = [car('a', [window(10, { placeId: 'bay' })]), car('b', [window(10, { placeId: 'bay' })])];
    const answer = await planned(request(both, { workers }));
    expect(new Set(answer.choices.map(({ workerId }) => workerId))).toEqual(new Set(['owner', 'helper']));
    const atHome = [car('a', [window(10)]), car('b', [window(10)])];
    expect((await planned(request(atHome, { workers }))).choices).toHaveLength(1);
  });

  it('keeps to working hours, ways included', async () => {
    const answer = await planned(
      request([car('a', [window(8, { placeId: 'bay' }), window(9, { placeId: 'bay' })])]),
    );
    expect(starts(answer)).toEqual({ a: 9 });
  });

  it('plans round what is locked, and counts it as the wash of its car', async () => {
    const answer = await planned(
      request([car('a', [window(10), window(12)]), car('b', [window(10), window(13)])], {
        fixed: [slot('a', 10)],
      }),
    );
    expect(starts(answer)).toEqual({ b: 13 });
    expect(answer.fixed).toMatchObject([{ window: { startMs: at(10) } }]);
  });

  it('tells of a locked wash that does not go any more', async () => {
    const answer = await planned(request([car('a', [window(12)])], { fixed: [slot('a', 10)] }));
    expect(answer.fixed).toMatchObject([{ window: null, worthMinor: null }]);
  });

  it('leaves a planned wash where it is, unless moving gains more than its price', async () => {
    // Two hours later are worth 21 less by lateness.
    const movable = [slot('a', 10)];
    const little = [window(10), window(12, { salt: DEFAULT_PRICES.moveMinor + 15 })];
    const much = [window(10), window(12, { salt: DEFAULT_PRICES.moveMinor + 25 })];
    expect(starts(await planned(request([car('a', little)], { movable })))).toEqual({ a: 10 });
    expect(starts(await planned(request([car('a', much)], { movable })))).toEqual({ a: 12 });
  });

  it('knows a planned wash that begins within the hour of a window', async () => {
    const movable = [slot('a', 10 + 1 / 3)];
    expect(windowAt([window(10)], movable[0]!, WORK_CASE)?.endMs).toBe(at(11 + 1 / 3));
    expect(starts(await planned(request([car('a', [window(10)])], { movable })))).toEqual({ a: 10 + 1 / 3 });
  });

  it('keeps clear of other engagements', async () => {
    const busy = [{ workerId: null, fromMs: at(9), toMs: at(12) }];
    const answer = await planned(request([car('a', [window(10), window(14, { takes: 1500 })])], { busy }));
    expect(starts(answer)).toEqual({ a: 14 });
  });

  it('prefers windows that hold, and leaves those that fail too often', async () => {
    const answer = await planned(
      request([
        car('a', [window(10, { failing: 3 }), window(14, { takes: 1050 })]),
        car('b', [window(16, { failing: 5 })]),
      ]),
    );
    expect(starts(answer)).toEqual({ a: 14 });
    expect(answer.unplanned[0]?.reason).toEqual({ kind: 'members', failingFraction: 0.25 });
  });

  it('names the next best, what each would cost, and who would have to give way', async () => {
    const answer = await planned(
      request([
        car('a', [window(10), window(16, { takes: 1100 }), window(34, { takes: 1000 })]),
        car('b', [window(16, { salt: 50 })]),
      ]),
    );
    const a = answer.choices.find(({ vehicleId }) => vehicleId === 'a');
    const b = answer.choices.find(({ vehicleId }) => vehicleId === 'b');
    expect(a?.alternatives.map(({ window: w }) => (w.startMs - MONDAY) / MS_PER_HOUR)).toEqual([34, 16]);
    expect(a?.alternatives[0]?.costMinor).toBeCloseTo(250);
    expect(a?.alternatives[1]?.pushesOut).toEqual(['b']);
    expect(a?.alternatives[1]?.costMinor).toBeCloseTo(100 + 62.5 + (b?.worth.totalMinor ?? NaN));
  });

  it('falls back on what holds when the first fails', async () => {
    const holds = window(40, { takes: 1100 });
    const failsToo = window(30, { failing: 2 });
    const answer = await planned(
      request([car('a', [window(10, { failing: 2, salt: 900 }), failsToo, holds])]),
    );
    expect(answer.choices[0]?.fallback).toMatchObject({ window: { startMs: at(40) }, savesFraction: 1 });
  });

  it.each([
    { kind: 'no-window', cars: [car('a', [])] },
    { kind: 'workers', cars: [car('a', [window(20)])] },
    { kind: 'pushed-out', cars: [car('a', [window(10)]), car('b', [window(10, { salt: 900 })])] },
    { kind: 'not-worth', cars: [car('a', [window(20), window(110, { takes: 9000 })])] },
  ])('says why a car is left: $kind', async ({ kind, cars }) => {
    const { unplanned } = await planned(request(cars));
    expect(unplanned).toMatchObject([{ vehicleId: 'a', reason: { kind }, hurtsMs: MONDAY }]);
  });
});

describe('where else a wash could stand', () => {
  const whole = request([car('a', [window(10), window(12), window(14, { placeId: 'bay' })]), car('b', [])]);
  const hours = (change: Partial<PlanRequest>): number[] =>
    moveOptions({ ...whole, ...change }, 'a').map((option) => (option.window.startMs - MONDAY) / MS_PER_HOUR);

  it('is everywhere that goes and is free', () => {
    expect(hours({})).toEqual([10, 12, 14]);
    expect(hours({ fixed: [slot('b', 12)] })).toEqual([10, 14]);
  });

  it('is not at a full place, even with hands to spare', () => {
    const workers = [weekdays('owner'), weekdays('helper')];
    expect(hours({ workers, fixed: [slot('b', 12)] })).toEqual([10, 10, 14, 14]);
  });

  it('is nowhere for a car that is not there', () => {
    expect(moveOptions(whole, 'z')).toEqual([]);
  });
});

describe('what holds the plan back', () => {
  const valueOf = (made: ReturnType<typeof planCase>): number => {
    let share = 0;
    return goodSchedule(made.problem, () => (share += 0.002)).value;
  };
  const worths = (whole: PlanRequest) => worthOfReliefs(whole, valueOf);

  it('is the day on which hands are short, and a place where there is no room for them', () => {
    const both = [car('a', [window(10)]), car('b', [window(10)])];
    expect(worths(request(both))).toEqual([]);
    const bay = { placeId: 'bay' };
    const [most, ...rest] = worths(request([car('a', [window(34, bay)]), car('b', [window(34, bay)])]));
    expect(most?.relief).toEqual({ kind: 'workers', dayMs: at(36) });
    expect(most?.worthMinor).toBeGreaterThan(500);
    expect(rest).toEqual([]);
    const workers = [weekdays('owner'), weekdays('helper')];
    expect(worths(request(both, { workers }))).toMatchObject([
      { relief: { kind: 'room', placeId: 'home', dayMs: at(12) } },
    ]);
  });

  it('tells how far it has come, and goes back nowhere', () => {
    const workers = [weekdays('owner'), weekdays('helper')];
    const shares: number[] = [];
    const both = [car('a', [window(10)]), car('b', [window(10)])];
    worthOfReliefs(request(both, { workers }), valueOf, (share) => shares.push(share));
    expect(shares.at(-1)).toBe(1);
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
  });
});

describe('planDifference', () => {
  const kinds = (before: PlannedSlot[], after: PlannedSlot[]) =>
    planDifference(before, after).map((change) => change.kind);

  it('is nothing between two that are the same', () => {
    expect(kinds([slot('a', 10)], [slot('a', 10)])).toEqual([]);
  });

  it('moves the nearest, adds and drops the rest, in order of time', () => {
    const before = [slot('a', 10), slot('a', 60), slot('b', 20)];
    const after = [slot('a', 58), slot('c', 5)];
    expect(planDifference(before, after)).toMatchObject([
      { kind: 'add', after: { vehicleId: 'c' } },
      { kind: 'drop', before: { vehicleId: 'a', startMs: at(10) } },
      { kind: 'drop', before: { vehicleId: 'b' } },
      { kind: 'move', before: { startMs: at(60) }, after: { startMs: at(58) } },
    ]);
  });

  it('sees other hands as a move', () => {
    expect(kinds([slot('a', 10)], [slot('a', 10, { workerId: 'helper' })])).toEqual(['move']);
  });
});

describe('the morning', () => {
  it('says for each car what the plan has for it, the latest first', async () => {
    const cars = [
      car('a', [window(10)], { daysLate: 1 }),
      car('b', [], { daysLate: 5 }),
      car('c', [window(12)], { daysLate: -9, dueMs: MONDAY + 9 * MS_PER_DAY }),
    ];
    const whole = request(cars);
    const answers = morningAnswers(cars, await planned(whole), whole.horizonMs);
    expect(answers).toMatchObject([
      { vehicleId: 'b', standing: 'no-window', best: null, reason: { kind: 'no-window' } },
      { vehicleId: 'a', standing: 'due', best: { startMs: at(10) }, workerId: 'owner', reason: null },
      { vehicleId: 'c', standing: 'not-due', best: null },
    ]);
  });
});

describe('a promise to a customer', () => {
  const booking = (vehicleId: string, fromHour: number, readyHour: number): BookedSpan => ({
    id: `booking of ${vehicleId}`,
    vehicleId,
    fromMs: at(fromHour),
    readyByMs: at(readyHour),
    methodId: null,
    extras: [],
  });

  it('is kept, though the car is not due for long', async () => {
    const calm = car(
      'silver',
      [9, 33, 57].map((hour) => window(hour)),
      { dueMs: MONDAY + 30 * MS_PER_DAY },
    );
    const answer = await planned(request([calm], { bookings: [booking('silver', 24, 40)] }));
    expect(starts(answer)).toEqual({ silver: 33 });
    expect(answer.choices[0]?.period).toMatchObject({ bookingId: 'booking of silver', readyByMs: at(40) });
  });

  it('goes before a car that is late but not promised', async () => {
    const windows = [window(9)];
    const whole = request(
      [car('late', windows, { dueMs: MONDAY - 9 * MS_PER_DAY }), car('silver', windows)],
      {
        bookings: [booking('silver', 8, 12)],
      },
    );
    expect(starts(await planned(whole))).toEqual({ silver: 9 });
  });

  it('has the car home in time, the way back included', async () => {
    const late = car('silver', [window(9, { placeId: 'bay' })]);
    const whole = (readyHour: number) => request([late], { bookings: [booking('silver', 8, readyHour)] });
    expect(starts(await planned(whole(10)))).toEqual({});
    expect(starts(await planned(whole(10.5)))).toEqual({ silver: 9 });
  });

  it('that cannot be kept is reported with its hour', async () => {
    const answer = await planned(
      request([car('silver', [window(33)])], { bookings: [booking('silver', 8, 12)] }),
    );
    expect(answer.unplanned).toMatchObject([
      { vehicleId: 'silver', hurtsMs: at(12), reason: { kind: 'no-window' } },
    ]);
  });

  it('is kept by a wash that stands fixed within it', async () => {
    const whole = request([car('silver', [window(9), window(33)])], {
      bookings: [booking('silver', 8, 12)],
      fixed: [slot('silver', 9)],
    });
    const answer = await planned(whole);
    expect(answer.choices).toEqual([]);
    expect(answer.fixed[0]?.worthMinor).toBeGreaterThan(DEFAULT_PRICES.missedBookingMinor);
  });

  it('is half kept by a wash that stands fixed without the work that was agreed on with it', async () => {
    const worthWith = async (extras: readonly SeasonJobId[]): Promise<number> => {
      const promise = { ...booking('silver', 8, 12), extras };
      const whole = request([car('silver', [window(9)])], {
        bookings: [promise],
        fixed: [slot('silver', 9)],
      });
      return (await planned(whole)).fixed[0]?.worthMinor ?? NaN;
    };
    expect((await worthWith([])) - (await worthWith(['polish']))).toBeCloseTo(
      DEFAULT_PRICES.missedBookingMinor / 2,
    );
  });

  it('may be broken by hand, but not without its price', () => {
    const whole = request([car('silver', [window(9), window(33)])], { bookings: [booking('silver', 8, 12)] });
    const [kept, broken] = moveOptions(whole, 'silver');
    expect((kept?.worthMinor ?? 0) - (broken?.worthMinor ?? 0)).toBeGreaterThan(
      DEFAULT_PRICES.missedBookingMinor,
    );
  });
});

describe('when a car can be had', () => {
  const mornings = [...Array<null>(7)].map(() => span(8, 12));

  it('keeps its washes within it', async () => {
    const away = { ...car('silver', [window(14), window(33)]), availability: mornings };
    expect(starts(await planned(request([away])))).toEqual({ silver: 33 });
  });

  it('is the reason where nothing lies within it', async () => {
    const away = { ...car('silver', [window(14)]), availability: mornings };
    const { unplanned } = await planned(request([away]));
    expect(unplanned).toMatchObject([{ reason: { kind: 'car-away' } }]);
  });
});

describe('work of the season', () => {
  const withWork = (startHour: number, minutes: number): Window => {
    const plain = window(startHour);
    return {
      ...plain,
      endMs: plain.endMs + minutes * 60_000,
      extras: { jobIds: ['underbody'], minutes, costMinor: 0, worthMinor: 2000 },
      value: { ...plain.value, seasonMinor: 1500, totalMinor: plain.value.totalMinor + 1500 },
    };
  };

  it('draws a wash to the hour that it goes with', async () => {
    const silver = car('silver', [window(9), withWork(14, 30)]);
    const answer = await planned(request([silver]));
    expect(starts(answer)).toEqual({ silver: 14 });
    expect(answer.choices[0]?.window.extras.jobIds).toEqual(['underbody']);
  });

  it('is left off where it would keep hands too long, and done once', async () => {
    const evening = car('silver', [withWork(17, 30)]);
    const answer = await planned(request([evening]));
    expect(answer.choices[0]?.window).toMatchObject({ endMs: at(18), extras: NO_EXTRAS });
    const often = { ...car('grey', [withWork(9, 30), withWork(81, 30)]), cadenceDays: 3 };
    const twice = await planned(request([often]));
    expect(twice.choices.map(({ window: { extras } }) => extras.jobIds.length)).toEqual([1, 0]);
  });

  it('is taken off a window without a trace', () => {
    const plain = window(9);
    expect(withoutExtras(withWork(9, 30), WORK_CASE)).toEqual(plain);
    expect(withoutExtras(plain, WORK_CASE)).toBe(plain);
  });
});

describe('product', () => {
  const other = (startHour: number): Window => ({ ...window(startHour), methodId: 'garage-hose' });

  it('is not planned beyond what is left, what stands fixed counted', async () => {
    const cars = ['black', 'silver', 'grey'].map((id) =>
      car(id, [window(9), window(11), window(33), other(35)]),
    );
    const plenty = await planned(request(cars));
    const scarce = await planned(request(cars, { stock: { 'garage-rinseless': 1 } }));
    const of = ({ choices }: PlanAnswer) =>
      choices.filter(({ window: { methodId } }) => methodId === 'garage-rinseless');
    expect(of(plenty).length).toBeGreaterThan(1);
    expect(of(scarce)).toHaveLength(1);
    const gone = await planned(
      request(cars, { stock: { 'garage-rinseless': 1 }, fixed: [slot('white', 13)] }),
    );
    expect(of(gone)).toHaveLength(0);
  });

  it('is the reason where none is left', async () => {
    const { unplanned } = await planned(
      request([car('black', [window(9)])], { stock: { 'garage-rinseless': 0 } }),
    );
    expect(unplanned).toMatchObject([{ reason: { kind: 'no-product', methodId: 'garage-rinseless' } }]);
  });
});

describe('a method that was agreed on', () => {
  it('is the one that is planned', async () => {
    const hose = { ...window(11, { takes: 3000 }), methodId: 'garage-hose' };
    const whole = request([car('silver', [window(9), hose])], {
      bookings: [
        {
          id: 'b',
          vehicleId: 'silver',
          fromMs: at(8),
          readyByMs: at(18),
          methodId: 'garage-hose',
          extras: [],
        },
      ],
    });
    expect(starts(await planned(whole))).toEqual({ silver: 11 });
  });
});

describe('a morning with a promise', () => {
  it('counts a promised car among those that are due', async () => {
    const calm = car('silver', [window(9)], { dueMs: MONDAY + 30 * MS_PER_DAY, daysLate: -30 });
    const whole = request([calm], {
      bookings: [
        { id: 'b', vehicleId: 'silver', fromMs: at(8), readyByMs: at(18), methodId: null, extras: [] },
      ],
    });
    const [answer] = morningAnswers(whole.cars, await planned(whole), whole.horizonMs);
    expect(answer).toMatchObject({ standing: 'due', best: { startMs: at(9) } });
  });
});
