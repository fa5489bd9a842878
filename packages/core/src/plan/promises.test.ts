import { describe, expect, it } from '@jest/globals';
import type { BookedSpan } from '../booking/index.js';
import { MS_PER_DAY } from '../quantity/index.js';
import { SEASON_JOBS } from '../season/index.js';
import {
  at,
  car,
  MONDAY,
  place,
  plainExtras,
  planned,
  request,
  WORK_CASE,
  slot,
  starts,
  weekdays,
  window,
} from '../testing/plan.js';
import type { SeasonJobId } from '../vehicle/index.js';
import {
  busyOf,
  DEFAULT_PRICES,
  duePeriods,
  keepsBooking,
  planCase,
  type PlanRequest,
  stayOf,
  type Window,
  withExtras,
} from './index.js';

const booking = (fromHour: number, readyByHour: number, change: Partial<BookedSpan> = {}): BookedSpan => ({
  id: 'b',
  vehicleId: 'silver',
  fromMs: at(fromHour),
  readyByMs: at(readyByHour),
  methodId: null,
  extras: [],
  ...change,
});

/** The same start with jobs of the season, each at its own minutes and worth. */
const withJobs = (startHour: number, ...jobIds: SeasonJobId[]): Window => {
  const plain = window(startHour);
  const extras = plainExtras(jobIds);
  const seasonMinor = extras.worthMinor - extras.costMinor - extras.minutes * (DEFAULT_PRICES.hourMinor / 60);
  return {
    ...plain,
    endMs: plain.endMs + extras.minutes * 60_000,
    extras,
    value: { ...plain.value, seasonMinor, totalMinor: plain.value.totalMinor + seasonMinor },
  };
};

describe('washes of the cadence beside those that stand', () => {
  const DAYS = { nowMs: 0, horizonMs: 30 * MS_PER_DAY };
  const centres = (dueDay: number, cadenceDays: number, standing: readonly (readonly [number, number])[]) =>
    duePeriods(
      { dueMs: dueDay * MS_PER_DAY, cadenceDays },
      DAYS,
      standing.map(([from, to]) => ({ fromMs: from * MS_PER_DAY, toMs: to * MS_PER_DAY })),
    ).map(({ dueMs }) => dueMs / MS_PER_DAY);

  it.each([
    { why: 'none stands', standing: [], days: [14, 17, 20, 23, 26, 29] },
    {
      why: 'a booking on the 22nd takes the place of the 23rd only',
      standing: [[21, 22]],
      days: [14, 17, 20, 25, 28, 31],
    },
    {
      why: 'half a cadence off, the wash of the cadence stays',
      standing: [[21, 21.5]],
      days: [14, 17, 20, 24.5, 27.5, 30.5],
    },
    {
      why: 'nearer than half a cadence, it is that wash',
      standing: [[21, 21.4]],
      days: [14, 17, 24.4, 27.4, 30.4],
    },
    {
      why: 'two stand',
      standing: [
        [14, 14],
        [22, 22],
      ],
      days: [17, 20, 25, 28, 31],
    },
    {
      why: 'in any order',
      standing: [
        [22, 22],
        [14, 14],
      ],
      days: [17, 20, 25, 28, 31],
    },
  ] as const)('$why', ({ standing, days }) => {
    const found = centres(14, 3, standing);
    expect(found).toHaveLength(days.length);
    found.forEach((day, i) => expect(day).toBeCloseTo(days[i] ?? NaN, 9));
  });

  it('keeps a late car’s wash before a booking that is far off, and drops it before one that is near', () => {
    expect(centres(-3, 10, [[8, 9]])).toEqual([-3, 19, 29]);
    expect(centres(-3, 10, [[3, 4]])).toEqual([14, 24]);
  });

  it('leaves a fifth of the cadence free before and after what stands', () => {
    const periods = duePeriods({ dueMs: 14 * MS_PER_DAY, cadenceDays: 10 }, DAYS, [
      { fromMs: 20 * MS_PER_DAY, toMs: 20 * MS_PER_DAY },
    ]);
    expect(periods.map(({ fromMs, toMs }) => [fromMs / MS_PER_DAY, toMs / MS_PER_DAY])).toEqual([
      [10, 18],
      [26, 30],
    ]);
    expect(periods.map(({ index }) => index)).toEqual([0, 1]);
  });

  it('are planned: an overdue wash today beside a locked one next week', async () => {
    const silver = { ...car('silver', [window(10), window(106)]), cadenceDays: 3 };
    const whole = request([silver], { fixed: [slot('silver', 106)] });
    expect(starts(await planned(whole))).toEqual({ silver: 10 });
  });
});

describe('salt that may not sit beyond a date', () => {
  it('limits each period of the cadence, and not only the first', () => {
    const windows = [window(10), window(50), window(58), window(82), window(106)];
    const dueMs = at(24);
    const silver = { ...car('silver', windows, { dueMs, deadlineMs: dueMs, everyDays: 2 }), cadenceDays: 2 };
    const { jobs, options } = planCase(request([silver]));
    const offered = jobs.map(({ period }) =>
      options
        .filter((option) => option.period === period)
        .map((option) => (option.window.startMs - MONDAY) / 3.6e6),
    );
    // Due on Monday at midnight, then every second day: what lies beyond is offered only where nothing lies before.
    expect(offered).toEqual([[10], [58], [106]]);
  });
});

describe('work of the season and promises', () => {
  const extrasOf = async (whole: PlanRequest) =>
    Object.fromEntries(
      (await planned(whole)).choices.map(({ period, window: { extras } }) => [
        period.bookingId ?? 'own',
        extras.jobIds,
      ]),
    );

  it('is done once, with the first of two washes', async () => {
    const windows = [withJobs(10, 'underbody'), withJobs(108, 'underbody')];
    const silver = { ...car('silver', windows), cadenceDays: 4 };
    expect(await extrasOf(request([silver], { bookings: [booking(100, 120)] }))).toEqual({
      own: ['underbody'],
      b: [],
    });
    const later = { ...car('silver', windows, { dueMs: at(106) }), cadenceDays: 4 };
    expect(await extrasOf(request([later], { bookings: [booking(8, 12)] }))).toEqual({
      own: [],
      b: ['underbody'],
    });
  });

  it('that was agreed on goes with its own booking, and with no other wash', async () => {
    const windows = [withJobs(10, 'underbody', 'top-up'), withJobs(106, 'underbody', 'top-up')];
    const silver = { ...car('silver', windows), cadenceDays: 4 };
    const whole = request([silver], { bookings: [booking(100, 120, { extras: ['top-up'] })] });
    expect(await extrasOf(whole)).toEqual({ own: ['underbody'], b: ['top-up'] });
  });

  it('that was agreed on is preferred where it goes, and said where it does not', async () => {
    const bookings = [booking(8, 60, { extras: ['polish'] })];
    // The polish takes hours that nobody would pay for, and the plain hour is worth more.
    const dear = withJobs(34, 'polish');
    const both = [window(10), { ...dear, value: { ...dear.value, seasonMinor: -900, totalMinor: -1900 } }];
    const kept = await planned(request([car('silver', both)], { bookings }));
    expect(kept.choices).toMatchObject([{ window: { extras: { jobIds: ['polish'] } }, missingExtras: [] }]);
    const plain = await planned(request([car('silver', [window(10)])], { bookings }));
    expect(plain.choices).toMatchObject([{ window: { startMs: at(10) }, missingExtras: ['polish'] }]);
  });

  it('is taken off one by one, with its minutes, its worth, and the coat that paid for bare paint', () => {
    const full = withJobs(9, 'underbody', 'top-up');
    expect(withExtras(full, ['underbody'], WORK_CASE)).toEqual(withJobs(9, 'underbody'));
    expect(withExtras(full, ['underbody', 'top-up', 'polish'], WORK_CASE)).toBe(full);
    const coated = { ...withJobs(9, 're-coat'), leavesBare: true };
    const bare = withExtras(coated, [], WORK_CASE);
    expect(bare.value.paintMinor).toBe(-DEFAULT_PRICES.bareMinor);
    expect(bare.value.totalMinor).toBeCloseTo(window(9).value.totalMinor - DEFAULT_PRICES.bareMinor, 9);
    expect(withExtras({ ...coated, leavesBare: false }, [], WORK_CASE).value.paintMinor).toBe(0);
  });

  it('costs wet hands in bitter air their minutes', () => {
    const cold = { ...withJobs(9, 'underbody', 'top-up'), coldMinorPerMinute: 10 };
    const [underbody] = SEASON_JOBS.filter(({ id }) => id === 'underbody');
    const { worthMinor = NaN, minutes = NaN } = underbody ?? {};
    expect(withExtras(cold, ['underbody'], WORK_CASE).value.seasonMinor).toBeCloseTo(
      worthMinor - 100 - minutes * 30,
      9,
    );
  });
});

describe('a promise and a wash that stands fixed', () => {
  const places = [place('home', 0), place('bay', 30)];
  it.each([
    { why: 'home in time', change: {}, keeps: true },
    { why: 'to the minute', change: { placeId: 'bay', endMs: at(11.5) }, keeps: true },
    {
      why: 'done in time, but home a minute late',
      change: { placeId: 'bay', endMs: at(11.5) + 60_000 },
      keeps: false,
    },
    { why: 'begun before the car is there', change: { startMs: at(8) - 1 }, keeps: false },
    { why: 'another method', change: { methodId: 'garage-hose' }, keeps: false },
    { why: 'another car', change: { vehicleId: 'grey' }, keeps: false },
  ])('$why: kept $keeps', ({ change, keeps }) => {
    const promise = booking(8, 12, { methodId: 'garage-rinseless' });
    expect(keepsBooking(slot('silver', 10, change), promise, places)).toBe(keeps);
  });

  it('that does not keep it leaves it to be planned', async () => {
    const whole = request([car('silver', [window(14)])], {
      bookings: [booking(8, 18, { methodId: 'garage-rinseless' })],
      fixed: [slot('silver', 10, { methodId: 'garage-hose' })],
    });
    expect(starts(await planned(whole))).toEqual({ silver: 14 });
  });
});

describe('the queue', () => {
  const minutes = Array.from({ length: 24 }, (_, hour) => (hour === 10 ? 25 : 0));
  const queue = { weekdayMinutes: minutes, weekendMinutes: minutes };
  const places = [{ ...place('home', 0), queue }];

  it('is waited through once', () => {
    const work = { placeId: 'home', startMs: at(10), endMs: at(11) };
    expect(stayOf(work, places)).toEqual({ fromMs: at(10), toMs: at(11) + 25 * 60_000 });
    expect(stayOf({ ...work, isBegun: true }, places)).toEqual({ fromMs: at(10), toMs: at(11) });
    expect(busyOf(work, places)).toEqual({ fromMs: at(10), toMs: at(11) + 25 * 60_000 });
  });

  it('is in the minutes of an option as often as in the hours of its hands', () => {
    const { problem } = planCase(request([car('silver', [window(10), window(13)])], { places }));
    expect(problem.options.map(({ durationMinutes }) => durationMinutes)).toEqual([85, 60]);
  });

  it('counts against the hours in which the car can be had', () => {
    const hours = Array.from({ length: 7 }, () => ({ openMinute: 600, closeMinute: 670 }));
    const silver = { ...car('silver', [window(10)]), availability: hours };
    expect(planCase(request([silver], { places })).options).toHaveLength(0);
    expect(planCase(request([silver])).options).toHaveLength(1);
  });
});

describe('room beside washes that stay', () => {
  const workers = [weekdays('owner'), weekdays('helper'), weekdays('third')];
  const bay = { placeId: 'bay' };

  it('is not offered as a fallback or another way where they fill the place', async () => {
    const failing = window(10, { failing: 2, salt: 900 });
    const silver = car('silver', [failing, window(30, { takes: 1100 }), window(40, { takes: 1200 })]);
    const fixed = [slot('grey', 30, { workerId: 'helper' })];
    const [choice] = (await planned(request([silver], { workers, fixed }))).choices;
    expect(choice?.fallback?.window.startMs).toBe(at(40));
    const others = choice?.alternatives.map(({ window: { startMs } }) => startMs);
    expect(others).toEqual([at(40)]);
  });

  it('is said where there is none', async () => {
    const fixed = [slot('grey', 10, { workerId: 'helper' })];
    const { unplanned } = await planned(request([car('silver', [window(10)])], { workers, fixed }));
    expect(unplanned).toMatchObject([{ reason: { kind: 'room' } }]);
  });

  it('pushes nobody out where there is enough of it, more room counted', async () => {
    const cars = [
      car('silver', [window(10, { ...bay, salt: 900 }), window(34, { takes: 1300 })]),
      car('grey', [window(34, bay)]),
    ];
    const [silver] = (await planned(request(cars, { workers }))).choices;
    const another = silver?.alternatives.find(({ window: { startMs } }) => startMs === at(34));
    expect(another).toMatchObject({ pushesOut: [] });
    const tight = [
      car('silver', [window(10, { salt: 900 }), window(34, { takes: 1300 })]),
      car('grey', [window(34)]),
    ];
    const pushes = async (change: Partial<PlanRequest>) =>
      (await planned(request(tight, { workers, ...change }))).choices
        .find(({ vehicleId }) => vehicleId === 'silver')
        ?.alternatives.find(({ window: { startMs } }) => startMs === at(34))?.pushesOut;
    expect(await pushes({})).toEqual(['grey']);
    expect(await pushes({ moreRoom: [{ placeId: 'home', fromMs: at(0), toMs: at(100) }] })).toEqual([]);
  });
});
