import type { Compiled } from './compiled.js';

/** A segment of one crew's work. */
export interface Segment {
  readonly crew: number;
  /** What it does there now, in order of time. */
  readonly own: readonly number[];
  /** From which slot it can be at each place. */
  readonly fromSlots: readonly number[];
  readonly firstSlot: number;
  /** The option that it does next; null: none. */
  readonly after: number | null;
  /** First slot after the segment. */
  readonly endSlot: number;
}

/** A job that may be done in a segment. */
export interface Candidate {
  /** The ways to do it there. */
  readonly options: readonly number[];
  /** What is lost elsewhere by doing it there. */
  readonly costs: number;
}

const WAITED = -2;
const NOTHING = -1;

/** Finds the best order of a few jobs in a segment. Its memory grows to what the longest segment takes. */
export class Segments {
  /** By set of jobs done, place and slot: the most that a crew that stands there then can have earned, and its last option. */
  private best = new Float64Array(0);
  private by = new Int32Array(0);

  constructor(private readonly compiled: Compiled) {}

  private makeRoom(states: number): void {
    if (this.best.length < states) {
      this.best = new Float64Array(states);
      this.by = new Int32Array(states);
    }
    this.best.fill(-Infinity, 0, states);
    this.by.fill(NOTHING, 0, states);
  }

  /** The slot in which a crew that leaves at the end of an option is at a place. */
  arrival(from: number, place: number): number {
    const { wayOut, arrival, placeCount } = this.compiled;
    return arrival[wayOut[from]! * placeCount + place]!;
  }

  /**
   * The order of jobs that earns most: dynamic programming over which of them are done, where the crew is, and when.
   *
   * @returns options in order of time; none where nothing earns
   */
  bestOrder(segment: Segment, candidates: readonly Candidate[]): number[] {
    const { placeCount, place, start, value, wayOut, arrival } = this.compiled;
    const { firstSlot, endSlot, fromSlots } = segment;
    const slots = endSlot - firstSlot + 1;
    const width = placeCount * slots;
    const sets = 2 ** candidates.length;
    this.makeRoom(sets * width);
    const { best, by } = this;
    for (const [at, slot] of fromSlots.entries()) if (slot < endSlot) best[at * slots + slot - firstSlot] = 0;
    let most = 0;
    let last = NOTHING;
    let lastSet = 0;
    for (let set = 0; set < sets; set += 1) {
      this.wait(set * width, slots);
      for (let c = 0; c < candidates.length; c += 1) {
        const after = set | (1 << c);
        if (after === set) continue;
        const { options, costs } = candidates[c]!;
        for (const i of options) {
          const earned = best[set * width + place[i]! * slots + start[i]! - firstSlot]! + value[i]! - costs;
          if (earned === -Infinity) continue;
          if (earned > most) {
            most = earned;
            last = i;
            lastSet = after;
          }
          const out = wayOut[i]! * placeCount;
          for (let to = 0; to < placeCount; to += 1) {
            const slot = arrival[out + to]!;
            if (slot >= endSlot) continue;
            const cell = after * width + to * slots + slot - firstSlot;
            if (earned <= best[cell]!) continue;
            best[cell] = earned;
            by[cell] = i;
          }
        }
      }
    }
    return this.back(last, lastSet, { segment, candidates });
  }

  /** Who stands at a place can stand there a slot later. */
  private wait(from: number, slots: number): void {
    const { best, by } = this;
    for (let place = 0; place < this.compiled.placeCount; place += 1) {
      const first = from + place * slots;
      for (let cell = first + 1; cell < first + slots; cell += 1) {
        if (best[cell - 1]! <= best[cell]!) continue;
        best[cell] = best[cell - 1]!;
        by[cell] = WAITED;
      }
    }
  }

  private back(
    last: number,
    lastSet: number,
    { segment, candidates }: { readonly segment: Segment; readonly candidates: readonly Candidate[] },
  ): number[] {
    const { placeCount, place, start, job } = this.compiled;
    const slots = segment.endSlot - segment.firstSlot + 1;
    const bitOf = new Map(candidates.map(({ options }, c) => [job[options[0]!]!, 1 << c]));
    const order: number[] = [];
    let set = lastSet;
    for (let i = last; i >= 0;) {
      order.push(i);
      set &= ~bitOf.get(job[i]!)!;
      let cell = set * placeCount * slots + place[i]! * slots + start[i]! - segment.firstSlot;
      while (this.by[cell] === WAITED) cell -= 1;
      i = this.by[cell]!;
    }
    return order.reverse();
  }
}
