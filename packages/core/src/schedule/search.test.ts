import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { type Compiled, compile } from './compiled.js';
import { narrowed } from './narrowed.js';
import { chance, rosterOf } from './improve.js';
import { apartSchedule } from '../testing/schedules.js';
import { checkSchedule, type ScheduleProblem } from './index.js';
import { DualPrices } from './dual-prices.js';
import { Reorder } from './reorder.js';
import type { Roster } from './roster.js';
import { Segments } from './segment.js';
import { highest, tightPrices } from './tighten-bound.js';

const never = () => false;

const asRead = (problem: ScheduleProblem, compiled: Compiled, roster: Roster): number[] => {
  const chosen = [...roster.toSchedule(Infinity).chosen];
  expect(checkSchedule(problem, chosen)).toEqual([]);
  expect(roster.value).toBeCloseTo(
    chosen.reduce((sum, index) => sum + (problem.options[index]?.value ?? 0), 0),
    6,
  );
  expect(chosen.every((index) => compiled.original.includes(index))).toBe(true);
  return chosen;
};

describe('prices over a core of a large problem', () => {
  const problem = apartSchedule({ jobCount: 40, slotCount: 96 });
  const compiled = compile(problem);
  const roster = rosterOf(compiled.value.keys(), compiled);
  const prices = tightPrices(compiled, { roster, isOver: never });

  it('bound every schedule as tightly as the best of all options could', () => {
    expect(compiled.count).toBeGreaterThan(8000);
    // Longer steps over all options find no bound that is lower by more than a thousandth.
    const patient = new DualPrices(compiled, prices);
    for (let step = 0; step < 300; step += 1) {
      const answer = patient.solve();
      patient.step(answer, 0.97 * patient.bestBound, 0.2);
    }
    expect(patient.bestBound).toBeGreaterThan(0.999 * prices.bestBound);
    expect(prices.bestBound).toBeGreaterThan(roster.value);
  });

  it('bound no option below what a schedule with it is worth', () => {
    const bounds = prices.boundsWith();
    for (const i of roster.chosen) expect(bounds[i]).toBeGreaterThan(roster.value - 1e-6);
    expect(Math.max(...bounds)).toBeCloseTo(prices.bestBound, 6);
  });

  it('is better served by putting segments in order than by the first schedule, and stays feasible', () => {
    const some = narrowed(compiled, highest(prices.boundsWith(), 1500, roster));
    const better = roster.carriedTo(some);
    const surplus = new DualPrices(some, prices).surplus();
    new Reorder(some, { surplus, next: chance(1), isOver: never }).better(better);
    asRead(problem, some, better);
    expect(better.value).toBeGreaterThan(1.02 * roster.value);
    expect(better.value).toBeLessThan(prices.bestBound + 1e-6);
  });
});

/** The most that some of the jobs can earn one after the other, by trying every order of every way to do them. */
function byTryingAll(problem: ScheduleProblem, indexes: readonly number[]): number {
  const best = (chosen: readonly number[], value: number): number =>
    indexes.reduce((most, index) => {
      const option = problem.options[index];
      const last = problem.options[chosen.at(-1) ?? -1];
      if (!option || (last && option.startSlot <= last.startSlot)) return most;
      if (checkSchedule(problem, [...chosen, index]).length > 0) return most;
      return Math.max(most, best([...chosen, index], value + option.value));
    }, value);
  return best([], 0);
}

describe('the best order of a segment', () => {
  it('is worth what trying all orders finds, and can be carried out', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
        const problem = apartSchedule({ jobCount: 4, slotCount: 14, density: 0.12 }, seed);
        const compiled = compile(problem);
        const ofJob = (job: number): number[] =>
          Array.from({ length: compiled.count }, (_, i) => i).filter((i) => compiled.job[i] === job);
        const candidates = [0, 1, 2, 3]
          .map((job) => ({ options: ofJob(job), costs: 0 }))
          .filter(({ options }) => options.length > 0);
        const segment = { crew: 0, own: [], fromSlots: [0, 0, 0], firstSlot: 0, after: null, endSlot: 14 };
        const order = new Segments(compiled).bestOrder(segment, candidates);
        const chosen = order.map((i) => compiled.original[i]!);
        expect(checkSchedule(problem, chosen)).toEqual([]);
        const worth = order.reduce((sum, i) => sum + compiled.value[i]!, 0);
        expect(worth).toBeCloseTo(byTryingAll(problem, Array.from(compiled.original)), 6);
      }),
      { numRuns: 80 },
    );
  });

  it('leaves out what costs more elsewhere than it earns here', () => {
    const problem = apartSchedule({ jobCount: 1, slotCount: 8 });
    const compiled = compile(problem);
    const options = Array.from({ length: compiled.count }, (_, i) => i);
    const most = Math.max(...compiled.value);
    const segment = { crew: 0, own: [], fromSlots: [0, 0, 0], firstSlot: 0, after: null, endSlot: 8 };
    const segments = new Segments(compiled);
    expect(segments.bestOrder(segment, [{ options, costs: most + 0.01 }])).toEqual([]);
    const [best] = segments.bestOrder(segment, [{ options, costs: most - 0.01 }]);
    expect(compiled.value[best!]).toBe(most);
  });
});
