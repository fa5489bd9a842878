import type { Compiled } from './compiled.js';

/** A job as one crew can do it. */
export interface SequenceJob {
  /** Options of that crew, by start. */
  readonly options: readonly number[];
  /** What is lost elsewhere by doing it here. */
  readonly costs: number;
}

export interface Insertion {
  /** Before which position; the number of jobs in the sequence: at the end. */
  readonly at: number;
  /** What the whole sequence is worth then. */
  readonly worth: number;
}

/**
 * Jobs in the order in which one crew would come to them. Where, when and whether each is done follows from the order: the most that can be
 * earned up to each job and from each job on is kept by place and time, so that a job put in anywhere is priced with all others moved to suit.
 */
export class CrewSequence {
  private order: SequenceJob[] = [];
  /** By position and station: the most earned before it by a crew that is there by then, and the most that it can earn from it on. */
  private readonly before: Float64Array[];
  private readonly after: Float64Array[];
  /** Rows of `before` up to this position hold, and rows of `after` from this one on. */
  private holdsTo = 0;
  private holdsFrom = 0;
  /** A station is a place and slot at which options begin; where those of each place begin, and by option its own and those it leads to. */
  private readonly firsts: Int32Array;
  private readonly station: Int32Array;
  private readonly reached: Int32Array;
  private readonly placeCount: number;

  constructor(
    private readonly compiled: Compiled,
    mostJobs: number,
  ) {
    const { count, placeCount, slotCount, place, start, wayOut, arrival } = compiled;
    const width = slotCount + 1;
    const isStation = new Uint8Array(placeCount * width);
    for (let i = 0; i < count; i += 1) isStation[place[i]! * width + start[i]!] = 1;
    // By place and slot, the first station from then on; behind all of a place nothing begins, and nothing is earned.
    const next = new Int32Array(isStation.length);
    this.placeCount = placeCount;
    this.firsts = new Int32Array(placeCount + 1);
    let stations = 0;
    for (let at = 0; at < placeCount; at += 1) {
      this.firsts[at] = stations;
      for (let slot = 0; slot < width; slot += 1) {
        next[at * width + slot] = stations;
        stations += isStation[at * width + slot]!;
      }
      stations += 1;
    }
    this.firsts[placeCount] = stations;
    this.station = Int32Array.from({ length: count }, (_, i) => next[place[i]! * width + start[i]!]!);
    this.reached = new Int32Array(count * placeCount);
    for (let i = 0; i < count; i += 1)
      for (let to = 0; to < placeCount; to += 1)
        this.reached[i * placeCount + to] = next[to * width + arrival[wayOut[i]! * placeCount + to]!]!;
    const row = (): Float64Array => new Float64Array(stations);
    this.before = Array.from({ length: mostJobs + 1 }, row);
    this.after = Array.from({ length: mostJobs + 1 }, row);
  }

  get length(): number {
    return this.order.length;
  }

  get jobs(): readonly SequenceJob[] {
    return this.order;
  }

  /** Takes these jobs in this order. */
  set(order: readonly SequenceJob[]): void {
    let same = 0;
    while (same < order.length && order[same] === this.order[same]) same += 1;
    let ends = 0;
    while (ends < order.length - same && order.at(-1 - ends) === this.order.at(-1 - ends)) ends += 1;
    this.holdsTo = Math.min(this.holdsTo, same);
    if (order.length === this.order.length) this.holdsFrom = Math.max(this.holdsFrom, order.length - ends);
    else {
      this.after[order.length]!.fill(0);
      this.holdsFrom = order.length;
    }
    this.order = [...order];
  }

  remove(at: number): SequenceJob {
    const [job] = this.order.splice(at, 1);
    if (!job) throw new Error('no such place in the sequence');
    // What is earned from a position on stays with its job.
    const [spare] = this.after.splice(at, 1);
    this.after.push(spare!);
    this.holdsTo = Math.min(this.holdsTo, at);
    this.holdsFrom = Math.max(at, this.holdsFrom - 1);
    return job;
  }

  insert(job: SequenceJob, at: number): void {
    this.order.splice(at, 0, job);
    const [spare] = this.after.splice(-1, 1);
    this.after.splice(at, 0, spare!);
    this.holdsTo = Math.min(this.holdsTo, at);
    this.holdsFrom = Math.max(at, this.holdsFrom) + 1;
  }

  /** What the sequence is worth with each of its jobs done best or left. */
  get worth(): number {
    this.backwards();
    let most = 0;
    for (let place = 0; place < this.placeCount; place += 1)
      most = Math.max(most, this.after[0]![this.firsts[place]!]!);
    return most;
  }

  private forwards(): void {
    const { value } = this.compiled;
    const { order, placeCount, firsts, station, reached } = this;
    for (let k = this.holdsTo; k < order.length; k += 1) {
      const row = this.before[k]!;
      const next = this.before[k + 1]!;
      next.set(row);
      const { options, costs } = order[k]!;
      for (const i of options) {
        const earned = row[station[i]!]! + value[i]! - costs;
        for (let to = i * placeCount; to < (i + 1) * placeCount; to += 1)
          if (earned > next[reached[to]!]!) next[reached[to]!] = earned;
      }
      for (let at = 0; at < placeCount; at += 1)
        for (let cell = firsts[at]! + 1; cell < firsts[at + 1]!; cell += 1)
          if (next[cell - 1]! > next[cell]!) next[cell] = next[cell - 1]!;
    }
    this.holdsTo = order.length;
  }

  private backwards(): void {
    const { value } = this.compiled;
    const { order, placeCount, firsts, station } = this;
    for (let k = this.holdsFrom - 1; k >= 0; k -= 1) {
      const next = this.after[k + 1]!;
      const row = this.after[k]!;
      row.set(next);
      const { options, costs } = order[k]!;
      for (const i of options) {
        const earns = value[i]! - costs + this.onwards(i, next);
        if (earns > row[station[i]!]!) row[station[i]!] = earns;
      }
      for (let at = 0; at < placeCount; at += 1)
        for (let cell = firsts[at + 1]! - 2; cell >= firsts[at]!; cell -= 1)
          if (row[cell + 1]! > row[cell]!) row[cell] = row[cell + 1]!;
    }
    this.holdsFrom = 0;
  }

  /** The most that can be earned after an option. */
  private onwards(i: number, after: Float64Array): number {
    const { placeCount, reached } = this;
    let most = 0;
    for (let to = i * placeCount; to < (i + 1) * placeCount; to += 1)
      if (after[reached[to]!]! > most) most = after[reached[to]!]!;
    return most;
  }

  /** Where a job is best put in. */
  bestInsertion({ options, costs }: SequenceJob): Insertion {
    const { value } = this.compiled;
    const { station, order } = this;
    let worth = this.worth;
    let at = order.length;
    this.forwards();
    for (let k = 0; k <= order.length; k += 1) {
      const before = this.before[k]!;
      const after = this.after[k]!;
      for (const i of options) {
        const earned = before[station[i]!]! + value[i]! - costs + this.onwards(i, after);
        if (earned <= worth) continue;
        worth = earned;
        at = k;
      }
    }
    return { at, worth };
  }

  /** The options by which the sequence earns what it is worth, in order of time. */
  chosen(): number[] {
    const { value, place } = this.compiled;
    const { order, placeCount, station, reached, firsts } = this;
    this.backwards();
    const starts = Array.from(firsts.subarray(0, placeCount));
    let here = starts.reduce(
      (best, cell) => (this.after[0]![cell]! > this.after[0]![best]! ? cell : best),
      0,
    );
    let at = starts.indexOf(here);
    const chosen: number[] = [];
    for (let k = 0; k < order.length; k += 1) {
      const next = this.after[k + 1]!;
      const { options, costs } = order[k]!;
      let most = next[here]! * (1 + 1e-12);
      let taken = -1;
      for (const i of options) {
        if (place[i] !== at || station[i]! < here) continue;
        const earns = value[i]! - costs + this.onwards(i, next);
        if (earns <= most) continue;
        most = earns;
        taken = i;
      }
      if (taken < 0) continue;
      chosen.push(taken);
      at = 0;
      for (let to = 1; to < placeCount; to += 1)
        if (next[reached[taken * placeCount + to]!]! > next[reached[taken * placeCount + at]!]!) at = to;
      here = reached[taken * placeCount + at]!;
    }
    return chosen;
  }
}
