import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { type Compiled, compile } from './compiled.js';
import { chance, rosterOf } from './improve.js';
import { apartSchedule } from '../testing/schedules.js';
import { checkSchedule, type ScheduleProblem } from './index.js';
import { CrewSequence, type SequenceJob } from './crew-sequence.js';
import { Reinsert } from './reinsert.js';

const jobsOf = ({ count, job, jobCount }: Compiled): SequenceJob[] =>
  Array.from({ length: jobCount }, (_, j) => ({
    options: Array.from({ length: count }, (_option, i) => i).filter((i) => job[i] === j),
    costs: 0,
  }));

const worthOf = (compiled: Compiled, order: readonly SequenceJob[]): number => {
  const sequence = new CrewSequence(compiled, order.length);
  sequence.set(order);
  return sequence.worth;
};

/** The most that jobs can earn in an order, by trying every way to do or leave each of them. */
function byTryingAll(problem: ScheduleProblem, compiled: Compiled, order: readonly SequenceJob[]): number {
  const best = (k: number, chosen: readonly number[], value: number): number => {
    const job = order[k];
    if (!job) return value;
    return job.options.reduce(
      (most, i) => {
        const after = [...chosen, compiled.original[i]!];
        const inOrder =
          chosen.length === 0 || problem.options[chosen.at(-1)!]!.startSlot < compiled.start[i]!;
        return inOrder && checkSchedule(problem, after).length === 0
          ? Math.max(most, best(k + 1, after, value + compiled.value[i]! - job.costs))
          : most;
      },
      best(k + 1, chosen, value),
    );
  };
  return best(0, [], 0);
}

describe('a sequence of jobs', () => {
  it('is worth what trying all ways to do it in that order finds, and can be carried out', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
        const problem = apartSchedule({ jobCount: 4, slotCount: 14, density: 0.12 }, seed);
        const compiled = compile(problem);
        const order = jobsOf(compiled).map((job, j) => ({ ...job, costs: j === 1 ? 12 : 0 }));
        const sequence = new CrewSequence(compiled, 4);
        sequence.set(order);
        expect(sequence.worth).toBeCloseTo(byTryingAll(problem, compiled, order), 6);
        const chosen = sequence.chosen();
        expect(
          checkSchedule(
            problem,
            chosen.map((i) => compiled.original[i]!),
          ),
        ).toEqual([]);
        const costs = chosen.reduce((sum, i) => sum + (compiled.job[i] === 1 ? 12 : 0), 0);
        const earned = chosen.reduce((sum, i) => sum + compiled.value[i]!, 0) - costs;
        expect(earned).toBeCloseTo(sequence.worth, 6);
      }),
      { numRuns: 100 },
    );
  });

  it('is worth the same whichever way its order came about', () => {
    const compiled = compile(apartSchedule({ jobCount: 12, slotCount: 40, density: 0.4 }, 5));
    const all = jobsOf(compiled);
    const next = chance(11);
    const among = (count: number): number => Math.floor(next() * count);
    const sequence = new CrewSequence(compiled, all.length);
    sequence.set(all.slice(0, 6));
    const out = all.slice(6);
    for (let change = 0; change < 200; change += 1) {
      const what = next();
      if (what < 0.4 && sequence.length > 0) out.push(sequence.remove(among(sequence.length)));
      else if (what < 0.8 && out.length > 0)
        sequence.insert(out.splice(among(out.length), 1)[0]!, among(sequence.length + 1));
      else if (what < 0.9) sequence.set([...sequence.jobs].sort(() => next() - 0.5));
      if (next() < 0.5) expect(sequence.worth).toBeCloseTo(worthOf(compiled, sequence.jobs), 6);
    }
  });

  it('takes a job in where it is worth most, or nowhere', () => {
    const compiled = compile(apartSchedule({ jobCount: 10, slotCount: 30, density: 0.3 }, 8));
    const [job, ...others] = jobsOf(compiled);
    const sequence = new CrewSequence(compiled, 10);
    sequence.set(others);
    const worths = Array.from({ length: others.length + 1 }, (_, at) =>
      worthOf(compiled, others.toSpliced(at, 0, job!)),
    );
    const { at, worth } = sequence.bestInsertion(job!);
    expect(worth).toBeCloseTo(Math.max(...worths), 6);
    expect(worths[at]).toBeCloseTo(worth, 6);
    expect(sequence.bestInsertion({ ...job!, costs: 1000 }).worth).toBe(sequence.worth);
    const empty = new CrewSequence(compiled, 1);
    expect([empty.worth, empty.chosen(), empty.bestInsertion(job!).at]).toEqual([0, [], 0]);
  });
});

describe('jobs taken out and put back', () => {
  const watch = { next: chance(3), isOver: () => false };

  it('better a schedule of two crews with scarce room and stock, and leave it one that can be carried out', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
        const problem = apartSchedule(
          { jobCount: 14, slotCount: 24, crewCount: 2, density: 0.3, stock: 2 },
          seed,
        );
        const compiled = compile(problem);
        const roster = rosterOf(compiled.value.keys(), compiled);
        const first = roster.value;
        const reinsert = new Reinsert(compiled, watch);
        reinsert.better(roster);
        const second = roster.value;
        reinsert.stir(roster);
        expect(second).toBeGreaterThan(first - 1e-6);
        expect(roster.value).toBeGreaterThan(second - 1e-6);
        expect(checkSchedule(problem, [...roster.toSchedule(Infinity).chosen])).toEqual([]);
      }),
      { numRuns: 12 },
    );
  }, 60_000);

  it('gain where a first come first served order does not', () => {
    const problem = apartSchedule({ jobCount: 30, slotCount: 70, density: 1 }, 4);
    const compiled = compile(problem);
    const roster = rosterOf(compiled.value.keys(), compiled);
    const first = roster.value;
    new Reinsert(compiled, watch).better(roster);
    expect(roster.value).toBeGreaterThan(1.1 * first);
  });

  it('stop when they are told to, and change nothing then', () => {
    const compiled = compile(apartSchedule({ jobCount: 10, slotCount: 30, density: 0.5 }, 4));
    const roster = rosterOf(compiled.value.keys(), compiled);
    const first = roster.chosen;
    const over = new Reinsert(compiled, { ...watch, isOver: () => true });
    over.better(roster);
    over.stir(roster);
    expect(roster.chosen).toEqual(first);
  });
});
