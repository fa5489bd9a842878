import { type Compiled, compile } from './compiled.js';
import { narrowed } from './narrowed.js';
import { lagrangianDive } from './lagrangian-dive.js';
import { chance, perturb, rosterOf } from './improve.js';
import { DualPrices } from './dual-prices.js';
import { Reinsert } from './reinsert.js';
import { Reorder } from './reorder.js';
import type { Roster } from './roster.js';
import { isProven, type Schedule, type ScheduleProblem } from './schedule-problem.js';
import { highest, tightPrices } from './tighten-bound.js';

/** The best schedule that is known, and what none can pass. */
export interface Known {
  readonly roster: Roster;
  readonly bound: number;
}

/** What is known of a problem before the integer programme is asked. */
export interface Start extends Known {
  readonly compiled: Compiled;
  /** By option: no schedule with it is worth more. */
  readonly bounds: Float64Array;
}

export interface SearchWatch {
  /** Share of its time that is spent, 0–1; beyond 1 it stops. */
  readonly spentFraction: () => number;
  readonly onBetter: (schedule: Schedule) => void;
}

/** Tightening the bound leaves time for what comes after. */
const WALK_FRACTION = 0.45;
/** A dive looks at the options that good schedules could take; the others would only slow it. */
const DIVE_OPTIONS = 3000;
/** Different paces come up in different places. */
const DIVES = [
  { steps: 6, share: 0.4 },
  { steps: 15, share: 0.4 },
  { steps: 15, share: 0.1 },
  { steps: 10, share: 0.8 },
  { steps: 40, share: 0.4 },
  { steps: 6, share: 0.1 },
  { steps: 25, share: 0.2 },
  { steps: 40, share: 0.1 },
];
/** As many dives in a row that find nothing better are enough. */
const IDLE_DIVES = 3;
/** What searches round a schedule looks at more of them, though not at all. */
const SEARCHED_OPTIONS = 8000;
const PERTURBATIONS = 40;

const WORTH_STEPS = 4096;

/** Options by what they are worth, the most first; those less than a step of the whole range apart as they came. */
function byWorth(worth: Float64Array): Int32Array {
  const most = worth.reduce((a, b) => Math.max(a, b), 0);
  const stepOf = (value: number): number => Math.floor((1 - value / most) * WORTH_STEPS);
  const from = new Int32Array(WORTH_STEPS + 2);
  for (const value of worth) from[stepOf(value) + 1]! += 1;
  for (let step = 1; step < from.length; step += 1) from[step]! += from[step - 1]!;
  const order = new Int32Array(worth.length);
  worth.forEach((value, i) => {
    const step = stepOf(value);
    order[from[step]!] = i;
    from[step]! += 1;
  });
  return order;
}

/** A bound, and schedules ever nearer to it, without the integer programme. It can be halted, and goes on where it stood. */
export class Search {
  private readonly compiled: Compiled;
  private readonly prices: DualPrices;
  private readonly bounds: Float64Array;
  /** Options for the dives, and more of them for the searches round a schedule. */
  private readonly narrow: Compiled;
  private readonly middle: Compiled;
  private readonly surplus: Float64Array;
  private readonly next = chance(29);
  private best: Roster;
  private bound: number;
  /** The best that was found among the options searched. */
  private searched: Roster | null = null;
  private dives = 0;
  private idleDives = 0;
  private isShaken = false;

  constructor(
    problem: ScheduleProblem,
    private readonly watch: SearchWatch,
  ) {
    this.compiled = compile(problem);
    this.best = rosterOf(byWorth(this.compiled.value), this.compiled);
    const isOver = (): boolean => watch.spentFraction() > WALK_FRACTION;
    this.prices = tightPrices(this.compiled, { roster: this.best, isOver });
    this.bound = this.prices.bestBound;
    this.bounds = this.prices.boundsWith();
    this.narrow = narrowed(this.compiled, highest(this.bounds, DIVE_OPTIONS, this.best));
    this.middle = narrowed(this.compiled, highest(this.bounds, SEARCHED_OPTIONS, this.best));
    this.surplus = new DualPrices(this.middle, this.prices).surplus();
    this.tell();
  }

  /** What is known by now. */
  get start(): Start {
    return { compiled: this.compiled, bounds: this.bounds, roster: this.best, bound: this.bound };
  }

  /** Goes on from what was found of this start elsewhere. */
  learn({ roster, bound }: Known): void {
    this.bound = Math.min(this.bound, bound);
    if (roster.value > this.best.value) this.best = roster;
  }

  private tell(): void {
    this.watch.onBetter(this.best.toSchedule(this.bound));
  }

  private take(roster: Roster): void {
    if (roster.value > (this.searched?.value ?? -Infinity)) this.searched = roster.copy();
    if (roster.value <= this.best.value) return;
    this.best = roster.carriedTo(this.compiled);
    this.tell();
  }

  /**
   * Goes on until nothing is left to try.
   *
   * @param spentFraction share of the time for this that is spent
   * @param mostDives after which it halts
   */
  run(spentFraction: () => number, mostDives = Infinity): void {
    const { compiled, middle, narrow, prices, surplus, next } = this;
    const isOver = (): boolean =>
      spentFraction() > 1 || isProven(this.best.value, this.bound, compiled.grain);
    const reorder = new Reorder(middle, { surplus, next, isOver });
    const reinsert = new Reinsert(middle, { next, isOver });
    const order = byWorth(narrow.value);
    const haltAt = Math.min(DIVES.length, this.dives + mostDives);
    for (; this.dives < haltAt && this.idleDives < IDLE_DIVES; this.dives += 1) {
      if (isOver()) return;
      const before = this.best.value;
      const pace = { order, isOver, ...DIVES[this.dives]! };
      const roster = lagrangianDive(narrow, new DualPrices(narrow, prices), pace).carriedTo(middle);
      this.take(roster);
      reinsert.better(roster);
      this.take(roster);
      reorder.better(roster);
      reinsert.better(roster);
      this.take(roster);
      this.idleDives = this.best.value > before ? 0 : this.idleDives + 1;
    }
    if (mostDives < Infinity || this.isShaken || !this.searched || isOver()) return;
    this.isShaken = true;
    reinsert.stir(this.searched);
    this.take(this.searched);
    if (isOver()) return;
    this.take(
      perturb(this.searched, byWorth(middle.value), { compiled: middle, rounds: PERTURBATIONS, isOver }),
    );
  }
}

/**
 * A good schedule with its bound, at once and without proof.
 *
 * @param spentFraction share of the time given that is spent
 */
export function goodSchedule(problem: ScheduleProblem, spentFraction: () => number): Schedule {
  const search = new Search(problem, { spentFraction, onBetter: () => undefined });
  search.run(spentFraction);
  const { roster, bound } = search.start;
  return roster.toSchedule(bound);
}
