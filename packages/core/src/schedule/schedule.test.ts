import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { solve, SOLVERS } from '../calc/index.js';
import { compile } from './compiled.js';
import { loadSolver, solveProgram } from './integer-program.js';
import { programModel } from './program-model.js';
import { checkSchedule, type ScheduleOption, type ScheduleProblem, solveSchedule } from './index.js';

const watch = (timeLimitSeconds = 30) => ({
  clockSeconds: () => performance.now() / 1000,
  timeLimitSeconds,
});

/** Ten slots of an hour at two places half an hour apart. */
const problem = (
  options: readonly ScheduleOption[],
  change: Partial<ScheduleProblem> = {},
): ScheduleProblem => ({
  slotMinutes: 60,
  slotCount: 10,
  jobCount: 6,
  crewCount: 2,
  capacity: [Array<number>(10).fill(1), Array<number>(10).fill(2)],
  travelMinutes: [
    [0, 30],
    [30, 0],
  ],
  stock: [1],
  options,
  ...change,
});

const option = (change: Partial<ScheduleOption>): ScheduleOption => ({
  job: 0,
  place: 0,
  startSlot: 0,
  durationMinutes: 60,
  crew: 0,
  value: 10,
  ...change,
});

/** The most that any choice is worth, by trying them all. */
function byTryingAll(whole: ScheduleProblem): number {
  const { options } = whole;
  const best = (from: number, chosen: readonly number[], value: number): number => {
    let most = value;
    for (let i = from; i < options.length; i += 1) {
      const tried = [...chosen, i];
      // With travel that keeps to the triangle what cannot stand now never will.
      if (checkSchedule(whole, tried).length > 0) continue;
      most = Math.max(most, best(i + 1, tried, value + (options[i]?.value ?? 0)));
    }
    return most;
  };
  return best(0, [], 0);
}

const anyProblem = (travel: readonly (readonly number[])[]): fc.Arbitrary<ScheduleProblem> =>
  fc
    .array(
      fc.record({
        job: fc.integer({ min: 0, max: 5 }),
        place: fc.integer({ min: 0, max: 1 }),
        startSlot: fc.integer({ min: 0, max: 9 }),
        durationMinutes: fc.constantFrom(20, 45, 60, 90, 150, 200),
        crew: fc.constantFrom(0, 0, 1, null),
        value: fc.integer({ min: -5, max: 60 }).map((value) => value / 4),
        stock: fc.constantFrom(null, null, 0),
      }),
      { minLength: 1, maxLength: 13 },
    )
    .map((options) => problem(options, { travelMinutes: travel }));

describe('solveSchedule', () => {
  const WAYS = {
    'places apart': [
      [0, 30],
      [30, 0],
    ],
    'every way past home': [
      [20, 60],
      [60, 100],
    ],
    'no way at all': [
      [0, 0],
      [0, 0],
    ],
  };
  it.each(Object.entries(WAYS))('finds what trying all finds, and proves it: %s', async (_, travel) => {
    await fc.assert(
      fc.asyncProperty(anyProblem(travel), async (whole) => {
        const { chosen, value, bound, status } = await solveSchedule(whole, watch());
        expect(checkSchedule(whole, chosen)).toEqual([]);
        expect(value).toBeCloseTo(byTryingAll(whole), 6);
        expect(status).toBe('proven');
        expect(bound).toBe(value);
      }),
      { numRuns: 60 },
    );
  });

  it.each([
    {
      why: 'one job once, however well it pays',
      options: [option({ value: 10 }), option({ startSlot: 3, value: 12 })],
      chosen: [1],
    },
    {
      why: 'half an hour of travel leaves no time for the next full hour',
      options: [option({ value: 10 }), option({ job: 1, place: 1, startSlot: 1, value: 9 })],
      chosen: [0],
    },
    {
      why: 'half an hour of travel fits after half an hour of work',
      options: [option({ durationMinutes: 30 }), option({ job: 1, place: 1, startSlot: 1 })],
      chosen: [0, 1],
    },
    {
      why: 'another pair of hands needs no travel',
      options: [option({}), option({ job: 1, place: 1, crew: 1 })],
      chosen: [0, 1],
    },
    {
      why: 'a full place holds no more, hands or not',
      options: [option({ crew: null, value: 9 }), option({ job: 1, crew: null, value: 10 })],
      chosen: [1],
    },
    {
      why: 'there is room for two at the other',
      options: [0, 1, 2].map((job) => option({ job, place: 1, crew: null, value: 10 - job })),
      chosen: [0, 1],
    },
    {
      why: 'the last of the stock goes where it is worth most',
      options: [option({ stock: 0 }), option({ job: 1, startSlot: 4, stock: 0, value: 11 })],
      chosen: [1],
    },
    {
      why: 'what runs past the last slot cannot be done',
      options: [option({ startSlot: 9, durationMinutes: 61 })],
      chosen: [],
    },
    { why: 'what costs more than it brings is left', options: [option({ value: -1 })], chosen: [] },
    {
      why: 'two small ones beat one large between them',
      options: [
        option({ value: 6 }),
        option({ job: 1, startSlot: 1, value: 6 }),
        option({ job: 2, durationMinutes: 120, value: 11 }),
      ],
      chosen: [0, 1],
    },
  ])('$why', async ({ options, chosen }) => {
    const answer = await solveSchedule(problem(options), watch());
    expect(answer.chosen).toEqual(chosen);
    expect(answer.status).toBe('proven');
  });

  it('has no job to do where there is none', async () => {
    expect(await solveSchedule(problem([], { jobCount: 0 }), watch())).toEqual({
      chosen: [],
      value: 0,
      bound: 0,
      status: 'proven',
    });
  });
});

/** A winter's ten days at four places for some cars, made up but always the same. */
function tenDays(jobCount: number, seed: number): ScheduleProblem {
  let state = seed;
  const next = (): number => (state = (state * 16_807) % 2_147_483_647) / 2_147_483_647;
  const home = [0, 12, 20, 9];
  const slots = Array.from({ length: 240 }, (_, slot) => slot);
  const options = Array.from({ length: jobCount }, (_, job) => {
    const worth = 10 + 40 * next();
    return home.flatMap((_way, place) => {
      const durationMinutes = Math.round(30 + 120 * next());
      const crew = next() > 0.15 ? 0 : null;
      return slots
        .filter((slot) => slot % 24 >= 7 && slot % 24 < 20 && next() < 0.3)
        .map((startSlot) =>
          option({
            job,
            place,
            startSlot,
            durationMinutes,
            crew,
            value: Math.round(100 * (worth + 12 * next() - 0.05 * startSlot)) / 100,
          }),
        );
    });
  }).flat();
  const open = slots.map((slot) => (slot % 24 >= 7 && slot % 24 < 21 ? 1 : 0));
  return {
    slotMinutes: 60,
    slotCount: 240,
    jobCount,
    crewCount: 1,
    capacity: home.map(() => open),
    travelMinutes: home.map((a) => home.map((b) => a + b)),
    stock: [],
    options,
  };
}

describe('a large plan', () => {
  it('is as good as the integer programme alone makes it, within a hundredth, and its bound holds', async () => {
    const whole = tenDays(16, 5);
    const compiled = compile(whole);
    const all = Array.from({ length: compiled.count }, (_, i) => i);
    const alone = solveProgram(await loadSolver(), programModel(compiled, all), {
      secondsLeft: 60,
      isOver: () => false,
      onBetter: () => undefined,
      startWith: [],
    });
    const best = (alone.chosen ?? []).reduce((sum, i) => sum + (compiled.value[i] ?? 0), 0);
    expect(alone.isProven).toBe(true);
    const quick = await solveSchedule(whole, watch(2));
    expect(quick.value).toBeGreaterThan(0.99 * best);
    expect(quick.value).toBeLessThan(best + 1e-6);
    expect(quick.bound).toBeGreaterThan(best - 1e-6);
  }, 90_000);

  it('can be stopped at once, and keeps a plan that can be carried out', async () => {
    const whole = tenDays(40, 3);
    const seen: number[] = [];
    const answer = await solveSchedule(whole, {
      ...watch(),
      isOver: () => true,
      onBetter: ({ value }) => seen.push(value),
    });
    expect(checkSchedule(whole, answer.chosen)).toEqual([]);
    expect(answer.value).toBeGreaterThan(0);
    expect(answer.bound).toBeGreaterThan(answer.value);
    expect(answer.status).toBe('feasible');
    expect(seen.every((value, i) => i === 0 || value >= (seen[i - 1] ?? 0))).toBe(true);
  });
});

describe('checkSchedule', () => {
  it.each([
    { kind: 'job-twice', options: [option({}), option({ startSlot: 5 })] },
    { kind: 'crew', options: [option({}), option({ job: 1, place: 1, startSlot: 1 })] },
    { kind: 'capacity', options: [option({}), option({ job: 1, crew: null })] },
    { kind: 'stock', options: [option({ stock: 0 }), option({ job: 1, startSlot: 5, stock: 0 })] },
    { kind: 'outside', options: [option({ startSlot: 9, durationMinutes: 90 }), option({ job: 1 })] },
  ])('finds $kind', ({ kind, options }) => {
    expect(checkSchedule(problem(options), [0, 1]).map((fault) => fault.kind)).toContain(kind);
    expect(checkSchedule(problem(options), [1])).toEqual([]);
  });
});

describe('the schedule sum', () => {
  const sum = SOLVERS.get('schedule');
  const input = {
    slotMinutes: 30,
    slotCount: 4,
    jobs: ['a', 'b'],
    places: [{ id: 'bay', capacity: [1, 1, 1, 1] }],
    travelMinutes: [[0]],
    options: [
      { job: 'a', place: 'bay', startSlot: 0, durationMinutes: 60, crew: true, value: 5 },
      { job: 'b', place: 'bay', startSlot: 1, durationMinutes: 30, crew: true, value: 6 },
      { job: 'b', place: 'bay', startSlot: 2, durationMinutes: 60, crew: true, value: 4 },
    ],
  };
  const answerTo = async (change: object) =>
    sum && (await solve(sum, { ...input, ...change }, { clockSeconds: () => 0 }));

  it('answers in the indexes of the options', async () => {
    expect(await answerTo({})).toEqual({
      ok: true,
      value: { chosen: [0, 2], value: 9, bound: 9, status: 'proven' },
    });
  });

  it.each([
    { field: 'slotMinutes', change: { slotMinutes: 0 } },
    { field: 'jobs.1', change: { jobs: ['a', 'a'] } },
    { field: 'places.0.capacity', change: { places: [{ id: 'bay', capacity: [1] }] } },
    { field: 'travelMinutes', change: { travelMinutes: [] } },
    { field: 'options.0.job', change: { options: [{ ...input.options[0], job: 'z' }] } },
    { field: 'options.0.place', change: { options: [{ ...input.options[0], place: 'z' }] } },
    { field: 'options.0.startSlot', change: { options: [{ ...input.options[0], startSlot: 4 }] } },
    {
      field: 'options.0.durationMinutes',
      change: { options: [{ ...input.options[0], durationMinutes: -1 }] },
    },
    { field: 'wish', change: { wish: 1 } },
  ])('names $field', async ({ field, change }) => {
    expect(await answerTo(change)).toMatchObject({ ok: false, error: { field } });
  });
});
