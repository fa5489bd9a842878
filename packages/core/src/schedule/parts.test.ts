import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { apartSchedule } from '../testing/schedules.js';
import { type Compiled, compile } from './compiled.js';
import { CrewPath } from './crew-path.js';
import { DualPrices } from './dual-prices.js';
import { chance, fill, localSearch, perturb, rosterOf } from './improve.js';
import { checkSchedule, type ScheduleProblem } from './index.js';
import { lagrangianDive } from './lagrangian-dive.js';
import { Reorder } from './reorder.js';
import { Roster } from './roster.js';

const never = () => false;
const at = () => true;
const indexes = (compiled: Compiled): Int32Array => Int32Array.from({ length: compiled.count }, (_, i) => i);
const byValue = (compiled: Compiled): Int32Array =>
  indexes(compiled).sort((a, b) => compiled.value[b]! - compiled.value[a]!);

/** Every sequence of options that one pair of hands could do one after the other, jobs more than once and full places allowed. */
function* sequences(compiled: Compiled, before: readonly number[] = []): Generator<readonly number[]> {
  yield before;
  const last = before.at(-1);
  for (let i = 0; i < compiled.count; i += 1) {
    const reached =
      last === undefined
        ? 0
        : compiled.endMinute[last]! + compiled.travelMinutes[compiled.place[last]!]![compiled.place[i]!]!;
    if (compiled.crew[i] === 0 && compiled.start[i]! * compiled.slotMinutes >= reached)
      yield* sequences(compiled, [...before, i]);
  }
}

const small = (seed: number): Compiled =>
  compile(apartSchedule({ jobCount: 4, slotCount: 12, density: 0.08 }, seed));

describe('the longest path of a pair of hands', () => {
  it('earns what trying every way finds, is a way that can be gone, and tells for each option the best way through it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
        const compiled = small(seed);
        const next = chance(seed);
        const price = Float64Array.from(compiled.value, (value) => value * (1.4 * next() - 0.3));
        const worth = (way: readonly number[]): number => way.reduce((sum, i) => sum + price[i]!, 0);
        const all = [...sequences(compiled)];
        const path = new CrewPath(compiled, 0);
        const most = Math.max(...all.map(worth));
        expect(path.solve(price)).toBeCloseTo(most, 9);
        expect(worth(path.path())).toBeCloseTo(most, 9);
        expect(all.map(String)).toContain(String(path.path()));
        const earns = new Float64Array(compiled.count);
        path.through(price, earns);
        for (let i = 0; i < compiled.count; i += 1)
          expect(earns[i]).toBeCloseTo(Math.max(...all.filter((way) => way.includes(i)).map(worth)), 9);
      }),
      { numRuns: 25 },
    );
  });
});

/** All schedules that can be carried out, with what they are worth. */
function schedules(problem: ScheduleProblem, compiled: Compiled): { chosen: number[]; value: number }[] {
  const found: { chosen: number[]; value: number }[] = [];
  const from = (k: number, chosen: number[], value: number): void => {
    found.push({ chosen, value });
    for (let i = k; i < compiled.count; i += 1) {
      const more = [...chosen, i];
      if (
        checkSchedule(
          problem,
          more.map((one) => compiled.original[one]!),
        ).length === 0
      )
        from(i + 1, more, value + compiled.value[i]!);
    }
  };
  from(0, [], 0);
  return found;
}

describe('prices on what many jobs want', () => {
  it('bound every schedule, and every one with an option, wherever they stand', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
        const problem = apartSchedule(
          { jobCount: 3, slotCount: 10, density: 0.1, stock: 1, crewCount: 2 },
          seed,
        );
        const options = problem.options.map((one, i) => (i % 4 === 0 ? { ...one, crew: null } : one));
        const whole = { ...problem, options };
        const compiled = compile(whole);
        const all = schedules(whole, compiled);
        const best = Math.max(...all.map(({ value }) => value));
        const prices = new DualPrices(compiled);
        for (let step = 0; step < 12; step += 1) {
          const answer = prices.solve();
          expect(answer.bound).toBeGreaterThanOrEqual(best - 1e-9);
          prices.step(answer, 0.95 * answer.bound, 0.6);
        }
        expect(prices.bestBound).toBeGreaterThanOrEqual(best - 1e-9);
        prices.boundsWith().forEach((bound, i) => {
          const withIt = all.filter(({ chosen }) => chosen.includes(i)).map(({ value }) => value);
          expect(bound).toBeGreaterThanOrEqual(Math.max(...withIt) - 1e-9);
          expect(bound).toBeLessThanOrEqual(prices.bestBound + 1e-9);
        });
      }),
      { numRuns: 15 },
    );
  });

  it('never take what is forbidden', () => {
    const compiled = compile(apartSchedule({ jobCount: 6, slotCount: 20 }));
    const prices = new DualPrices(compiled);
    const first = prices.solve().takes;
    const forbidden = new Uint8Array(compiled.count);
    for (const i of first) forbidden[i] = 1;
    const second = prices.solve(forbidden).takes;
    expect(first.length).toBeGreaterThan(0);
    expect(second.length).toBeGreaterThan(0);
    expect(second.filter((i) => first.includes(i))).toEqual([]);
  });
});

const crowded = (seed: number): ScheduleProblem => {
  const problem = apartSchedule({ jobCount: 12, slotCount: 28, density: 0.3 }, seed);
  // Whole numbers, so that a schedule can be proven the best.
  return { ...problem, options: problem.options.map((one) => ({ ...one, value: Math.round(one.value) })) };
};
const SEEDS = [1, 2, 3, 4];
/** Prices near to the tightest, whose bound no schedule passes. */
function pricesOf(compiled: Compiled): DualPrices {
  const prices = new DualPrices(compiled);
  for (let step = 0; step < 240; step += 1) prices.step(prices.solve(), 0.97 * prices.bestBound, 0.5);
  prices.reset();
  return prices;
}
const feasible = (problem: ScheduleProblem, compiled: Compiled, roster: Roster): void => {
  const chosen = roster.chosen.map((i) => compiled.original[i]!);
  expect(checkSchedule(problem, chosen)).toEqual([]);
  expect(roster.value).toBeCloseTo(
    roster.chosen.reduce((sum, i) => sum + compiled.value[i]!, 0),
    6,
  );
};

describe('trading one for another', () => {
  it.each(SEEDS)('goes on until no single trade gains and nothing more can be added (%i)', (seed) => {
    const problem = crowded(seed);
    const compiled = compile(problem);
    // From the worst on, so that there is much to be gained.
    const roster = rosterOf(byValue(compiled).toReversed(), compiled);
    const before = roster.value;
    localSearch(roster, indexes(compiled), compiled);
    feasible(problem, compiled, roster);
    expect(roster.value).toBeGreaterThan(before);
    const { value } = roster;
    for (const i of indexes(compiled)) if (!roster.has(i)) expect(roster.trade(i)).toBe(false);
    fill(roster, indexes(compiled), compiled);
    expect(roster.value).toBe(value);
  });

  it('with some chance in it loses nothing and gains where trades alone do not', () => {
    const gained = SEEDS.map((seed) => {
      const compiled = compile(crowded(seed));
      const start = rosterOf(byValue(compiled), compiled);
      localSearch(start, byValue(compiled), compiled);
      const { value } = start;
      const around = { compiled, rounds: 60, isOver: never };
      const found = perturb(start, byValue(compiled), around);
      feasible(crowded(seed), compiled, found);
      expect(start.value).toBe(value);
      expect(perturb(start, byValue(compiled), { ...around, isOver: at }).value).toBe(value);
      return found.value - value;
    });
    expect(Math.min(...gained)).toBeGreaterThanOrEqual(0);
    expect(gained.filter((gain) => gain > 0).length).toBeGreaterThan(1);
  });
});

describe('a dive', () => {
  const dive = (compiled: Compiled, isOver = never, steps = 20): Roster => {
    return lagrangianDive(compiled, pricesOf(compiled), {
      order: byValue(compiled),
      steps,
      share: 0.5,
      isOver,
    });
  };

  it('comes near to the bound, and nearer than taking the worthiest first', () => {
    const shares: number[] = [];
    let nearer = 0;
    for (const seed of SEEDS) {
      const problem = crowded(seed);
      const compiled = compile(problem);
      const found = dive(compiled);
      feasible(problem, compiled, found);
      const greedy = rosterOf(byValue(compiled), compiled);
      localSearch(greedy, byValue(compiled), compiled);
      shares.push(found.value / pricesOf(compiled).bestBound);
      if (found.value > greedy.value) nearer += 1;
    }
    expect(Math.max(...shares)).toBeLessThanOrEqual(1);
    expect(Math.min(...shares)).toBeGreaterThan(0.9);
    expect(nearer).toBeGreaterThan(1);
  });

  it('that has no time left is filled in the order given', () => {
    const compiled = compile(crowded(2));
    const plain = new Roster(compiled);
    fill(plain, byValue(compiled), compiled);
    localSearch(plain, byValue(compiled), compiled);
    expect([...dive(compiled, at).chosen]).toEqual([...plain.chosen]);
    expect([...dive(compiled).chosen]).not.toEqual([...plain.chosen]);
  });
});

describe('putting segments in order again', () => {
  const reordered = (compiled: Compiled, isOver = never): { before: number; roster: Roster } => {
    const roster = rosterOf(byValue(compiled), compiled);
    const before = roster.value;
    new Reorder(compiled, { surplus: pricesOf(compiled).surplus(), next: chance(5), isOver }).better(roster);
    return { before, roster };
  };

  it('comes near to the bound from what the worthiest first made', () => {
    const shares: number[] = [];
    for (const seed of SEEDS) {
      const problem = crowded(seed);
      const compiled = compile(problem);
      const { before, roster } = reordered(compiled);
      feasible(problem, compiled, roster);
      expect(roster.value).toBeGreaterThan(before);
      shares.push(roster.value / pricesOf(compiled).bestBound);
    }
    expect(Math.max(...shares)).toBeLessThanOrEqual(1);
    expect(Math.min(...shares)).toBeGreaterThan(0.93);
  });

  it('changes nothing without time', () => {
    const { before, roster } = reordered(compile(crowded(1)), at);
    expect(roster.value).toBe(before);
  });
});
