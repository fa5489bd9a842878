import type { Compiled } from './compiled.js';
import { CrewPath } from './crew-path.js';

/** One answer of the priced problem: a bound on every schedule, and the options that it takes. */
export interface Priced {
  readonly bound: number;
  readonly takes: readonly number[];
}

/**
 * Prices on what many jobs want: on each job itself (it may be done once), on full places and on stock. Under any prices the problem
 * falls apart into one path for each crew and one choice for each job that needs no hands; what those earn together, with the prices paid
 * in, is a bound on every schedule. Lagrangian relaxation with subgradient steps (Held, Wolfe & Crowder 1974).
 */
export class DualPrices {
  private readonly jobs: Float64Array;
  private readonly cells: Float64Array;
  private readonly stocks: Float64Array;
  private readonly price: Float64Array;
  private readonly paths: CrewPath[];
  private readonly alone: number[];
  private readonly tight: number[];
  /** Prices of a place's slots added up, and what was taken too often: overwritten in every step, made once. */
  private readonly paid: Float64Array;
  private readonly excess: { jobs: Float64Array; cells: Float64Array; stocks: Float64Array };
  bestBound = Infinity;
  private readonly kept: { jobs: Float64Array; cells: Float64Array; stocks: Float64Array };

  /** @param from prices to begin with, of the same problem laid out with other options */
  constructor(
    private readonly compiled: Compiled,
    from?: DualPrices,
  ) {
    const { count, jobCount, capacity, stockLeft, crewCount } = compiled;
    this.jobs = new Float64Array(jobCount);
    this.cells = new Float64Array(capacity.length);
    this.stocks = new Float64Array(stockLeft.length);
    this.price = new Float64Array(count);
    this.paid = new Float64Array(capacity.length + 1);
    this.excess = {
      jobs: new Float64Array(jobCount),
      cells: new Float64Array(capacity.length),
      stocks: new Float64Array(stockLeft.length),
    };
    this.paths = Array.from({ length: crewCount }, (_, crew) => new CrewPath(compiled, crew));
    this.alone = Array.from({ length: count }, (_, i) => i).filter((i) => compiled.crew[i]! < 0);
    this.tight = Array.from(compiled.isTight.keys()).filter((cell) => compiled.isTight[cell] === 1);
    if (from) this.take(from.kept);
    this.kept = { jobs: this.jobs.slice(), cells: this.cells.slice(), stocks: this.stocks.slice() };
  }

  private take({ jobs, cells, stocks }: DualPrices['kept']): void {
    this.jobs.set(jobs);
    this.cells.set(cells);
    this.stocks.set(stocks);
  }

  /** What each option is worth beyond the present prices of what it uses. */
  surplus(): Float64Array {
    this.reprice();
    return this.price.slice();
  }

  private reprice(forbidden?: Uint8Array): void {
    const { count, job, value } = this.compiled;
    const { price, jobs } = this;
    for (let i = 0; i < count; i += 1) price[i] = value[i]! - jobs[job[i]!]!;
    if (this.tight.length > 0) this.chargeRoom();
    if (this.stocks.length > 0) this.chargeStock();
    if (forbidden) for (let i = 0; i < count; i += 1) if (forbidden[i]) price[i] = -Infinity;
  }

  private chargeRoom(): void {
    const { count, place, start, endSlot, slotCount } = this.compiled;
    const { price, paid, cells } = this;
    for (let cell = 0; cell < cells.length; cell += 1) paid[cell + 1] = paid[cell]! + cells[cell]!;
    for (let i = 0; i < count; i += 1) {
      const at = place[i]! * slotCount;
      price[i]! -= paid[at + endSlot[i]!]! - paid[at + start[i]!]!;
    }
  }

  private chargeStock(): void {
    const { count, stock } = this.compiled;
    for (let i = 0; i < count; i += 1) if (stock[i]! >= 0) this.price[i]! -= this.stocks[stock[i]!]!;
  }

  private bestAlone(): Map<number, number> {
    const best = new Map<number, number>();
    for (const i of this.alone) {
      const job = this.compiled.job[i]!;
      const other = best.get(job);
      if (this.price[i]! > (other === undefined ? 0 : this.price[other]!)) best.set(job, i);
    }
    return best;
  }

  /**
   * Solves the problem under the present prices.
   *
   * @param forbidden 1 for options that may not be taken; what is answered then is no bound on the whole problem
   */
  solve(forbidden?: Uint8Array): Priced {
    this.reprice(forbidden);
    const { capacity, stockLeft } = this.compiled;
    let bound = 0;
    for (const price of this.jobs) bound += price;
    for (const cell of this.tight) bound += this.cells[cell]! * capacity[cell]!;
    this.stocks.forEach((price, stock) => (bound += price * stockLeft[stock]!));
    const takes: number[] = [];
    for (const path of this.paths) {
      bound += path.solve(this.price);
      takes.push(...path.path());
    }
    for (const i of this.bestAlone().values()) {
      bound += this.price[i]!;
      takes.push(i);
    }
    if (!forbidden && bound < this.bestBound) {
      this.bestBound = bound;
      this.kept.jobs.set(this.jobs);
      this.kept.cells.set(this.cells);
      this.kept.stocks.set(this.stocks);
    }
    return { bound, takes };
  }

  /** Back to the prices of the best bound. */
  reset(): void {
    this.take(this.kept);
  }

  /** On from the best prices found with other options of the same problem. */
  follow(other: DualPrices): void {
    this.take(other.kept);
  }

  /**
   * Raises prices of what was taken too often and lowers those of what was left over.
   *
   * @param share of the way from the bound to the target, 0–2
   */
  step({ bound, takes }: Priced, target: number, share: number): void {
    const { job, place, start, endSlot, stock, slotCount, capacity, stockLeft } = this.compiled;
    const { jobs, cells, stocks } = this.excess;
    jobs.fill(-1);
    cells.fill(0);
    stocks.set(stockLeft.map((left) => -left));
    for (const cell of this.tight) cells[cell] = -capacity[cell]!;
    for (const i of takes) {
      jobs[job[i]!]! += 1;
      if (stock[i]! >= 0) stocks[stock[i]!]! += 1;
      for (let slot = start[i]!; slot < endSlot[i]!; slot += 1) cells[place[i]! * slotCount + slot]! += 1;
    }
    let square = 0;
    // What is free and left over has no price to lower, and should not shorten the step.
    const counts = (price: number, excess: number): boolean => price > 0 || excess > 0;
    jobs.forEach((excess, j) => (square += counts(this.jobs[j]!, excess) ? excess * excess : 0));
    for (const cell of this.tight)
      square += counts(this.cells[cell]!, cells[cell]!) ? cells[cell]! * cells[cell]! : 0;
    stocks.forEach((excess, s) => (square += counts(this.stocks[s]!, excess) ? excess * excess : 0));
    if (square === 0) return;
    const length = (share * Math.max(bound - target, 1e-9 * Math.abs(bound))) / square;
    jobs.forEach((excess, j) => (this.jobs[j] = Math.max(0, this.jobs[j]! + length * excess)));
    for (const cell of this.tight) this.cells[cell] = Math.max(0, this.cells[cell]! + length * cells[cell]!);
    stocks.forEach((excess, s) => (this.stocks[s] = Math.max(0, this.stocks[s]! + length * excess)));
  }

  /** A bound on every schedule that takes an option, by option, under the prices of the best bound. */
  boundsWith(): Float64Array {
    this.reset();
    return this.boundsHere();
  }

  /** The same under the present prices. */
  boundsHere(): Float64Array {
    const { bound } = this.solve();
    const bounds = new Float64Array(this.compiled.count);
    const earns = new Float64Array(this.compiled.count);
    for (const path of this.paths) path.through(this.price, earns);
    const totals = this.paths.map((path) => path.solve(this.price));
    const alone = this.bestAlone();
    for (let i = 0; i < this.compiled.count; i += 1) {
      const crew = this.compiled.crew[i]!;
      const usual =
        crew >= 0 ? totals[crew]! : Math.max(0, this.price[alone.get(this.compiled.job[i]!) ?? -1] ?? 0);
      bounds[i] = bound - usual + (crew >= 0 ? earns[i]! : this.price[i]!);
    }
    return bounds;
  }
}
