import type { Compiled } from './compiled.js';
import type { Roster } from './roster.js';
import { type Candidate, Segments, type Segment } from './segment.js';

/** Jobs of one segment of a crew's work that are put in order again, and jobs from elsewhere that may come in between. */
const SEGMENT_JOBS = 7;
const GUEST_JOBS = 3;
/** A segment with more states than this, of jobs done, place and slot, would cost more than it brings. */
const MOST_STATES = 2 ** 20;
/** Passes over all work that may gain nothing: other guests are tried in each. */
const IDLE_PASSES = 4;
/** How much chance there is in the choice of guests. */
const LEAST_WEIGHT = 0.3;

export interface ReorderWatch {
  /** What each option is worth beyond the prices of what it uses. */
  readonly surplus: Float64Array;
  /** A stream of numbers 0–1. */
  readonly next: () => number;
  readonly isOver: () => boolean;
}

/**
 * Puts segment after segment of each crew's work in the best order again, with jobs from elsewhere that may come in between, until nothing
 * more is gained: a search of large neighbourhoods, each of them searched whole.
 */
export class Reorder {
  /** Options of each job, by start. */
  private readonly ofJob: number[][];
  private readonly segments: Segments;

  constructor(
    private readonly compiled: Compiled,
    private readonly watch: ReorderWatch,
  ) {
    this.ofJob = Array.from({ length: compiled.jobCount }, () => []);
    compiled.job.forEach((job, i) => this.ofJob[job]!.push(i));
    this.segments = new Segments(compiled);
  }

  /** Betters a roster in place. */
  better(roster: Roster): void {
    for (let idle = 0; idle < IDLE_PASSES;) {
      const before = roster.value;
      for (let crew = 0; crew < this.compiled.crewCount; crew += 1) {
        if (!this.pass(roster, crew)) return;
      }
      idle = roster.value > before + 1e-9 * Math.abs(before) ? 0 : idle + 1;
    }
  }

  /** Goes once along a crew's work. Answers whether it came to the end. */
  private pass(roster: Roster, crew: number): boolean {
    const { next, isOver } = this.watch;
    const offset = Math.floor(next() * SEGMENT_JOBS);
    const length = Math.max(1, roster.lineOf(crew).length);
    for (let at = -offset; at < length; at += Math.ceil(SEGMENT_JOBS / 2)) {
      if (isOver()) return false;
      this.betterSegment(roster, this.segmentAt(roster, crew, Math.max(0, at)));
    }
    return true;
  }

  /** The segment of so many of a crew's jobs from one of them on. */
  private segmentAt(roster: Roster, crew: number, at: number): Segment {
    const { placeCount, slotCount, start } = this.compiled;
    const line = roster.lineOf(crew);
    const before = line[at - 1];
    const after = line[at + SEGMENT_JOBS] ?? null;
    const fromSlots = Array.from({ length: placeCount }, (_, to) =>
      before === undefined ? 0 : this.segments.arrival(before, to),
    );
    return {
      crew,
      own: line.slice(at, at + SEGMENT_JOBS),
      fromSlots,
      firstSlot: Math.min(...fromSlots),
      after,
      endSlot: after === null ? slotCount : start[after]!,
    };
  }

  private betterSegment(roster: Roster, segment: Segment): void {
    const states = 2 ** (SEGMENT_JOBS + GUEST_JOBS) * this.compiled.placeCount;
    if (states * (segment.endSlot - segment.firstSlot) > MOST_STATES) return;
    const { job } = this.compiled;
    for (const i of segment.own) roster.remove(i);
    const own = segment.own.map((i) => ({ options: this.optionsIn(roster, segment, job[i]!), costs: 0 }));
    const candidates = [...own, ...this.guests(roster, segment)].filter(({ options }) => options.length > 0);
    const order = this.segments.bestOrder(segment, candidates);
    for (const i of segment.own) roster.add(i);
    const elsewhere = order.map((i) => roster.optionOf(job[i]!)).filter((i) => i >= 0);
    roster.exchange([...new Set([...segment.own, ...elsewhere])], order);
  }

  /** The ways to do a job within a segment, as far as each alone is concerned. */
  private optionsIn(
    roster: Roster,
    { crew, fromSlots, firstSlot, after, endSlot }: Segment,
    job: number,
  ): number[] {
    const { start, place, crew: crewOf } = this.compiled;
    const options = this.ofJob[job]!;
    const found: number[] = [];
    for (let k = firstFrom(options, start, firstSlot); k < options.length; k += 1) {
      const i = options[k]!;
      if (start[i]! >= endSlot) break;
      if (crewOf[i] !== crew || start[i]! < fromSlots[place[i]!]!) continue;
      if (after !== null && this.segments.arrival(i, place[after]!) > start[after]!) continue;
      if (roster.hasRoom(i)) found.push(i);
    }
    return found;
  }

  /** Jobs from elsewhere that would gain most here under the prices, with some chance in it; each costs what it is worth where it stands. */
  private guests(roster: Roster, segment: Segment): Candidate[] {
    const { compiled, watch } = this;
    const { job, crew, value } = compiled;
    const own = new Set(segment.own.map((i) => job[i]!));
    const found: (Candidate & { readonly gain: number })[] = [];
    for (let other = 0; other < compiled.jobCount; other += 1) {
      const standing = roster.optionOf(other);
      if (own.has(other) || (standing >= 0 && crew[standing]! < 0)) continue;
      const options = this.optionsIn(roster, segment, other);
      if (options.length === 0) continue;
      const most = options.reduce((best, i) => Math.max(best, watch.surplus[i]!), -Infinity);
      const now = standing < 0 ? 0 : watch.surplus[standing]!;
      const costs = standing < 0 ? 0 : value[standing]!;
      found.push({ options, costs, gain: (most - now) * (LEAST_WEIGHT + watch.next()) });
    }
    return found.sort((a, b) => b.gain - a.gain).slice(0, GUEST_JOBS);
  }
}

/** Where in options that are in order of start those from a slot on begin. */
function firstFrom(options: readonly number[], start: Int32Array, slot: number): number {
  let low = 0;
  let high = options.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (start[options[middle]!]! < slot) low = middle + 1;
    else high = middle;
  }
  return low;
}
