import type { Compiled } from './compiled.js';

/**
 * The most that one pair of hands can earn on its way through places and time, if every option paid its own price and could be used
 * again: a longest path in a network without circles. From a place and slot one may wait, or do an option that starts there and then
 * go to any place.
 */
export class CrewPath {
  private readonly best: Float64Array;
  private readonly step: Int32Array;
  private readonly outBest: Float64Array;
  private readonly outTo: Int32Array;
  /** Options of this crew, by start and place, and their ways out. */
  private readonly own: Int32Array;
  private readonly ownOut: Int32Array;
  /** Those that begin at one place and slot are a group: where each begins in `own`, its place and slot, and the groups of each slot. */
  private readonly groupFrom: Int32Array;
  private readonly groupCell: Int32Array;
  private readonly slotGroups: Int32Array;

  constructor(
    private readonly compiled: Compiled,
    crew: number,
  ) {
    const { placeCount, slotCount, arrival, count, start, place, wayOut } = compiled;
    const width = slotCount + 1;
    this.best = new Float64Array(placeCount * width);
    this.step = new Int32Array(placeCount * width);
    this.outBest = new Float64Array(arrival.length / Math.max(1, placeCount));
    this.outTo = new Int32Array(this.outBest.length);
    this.own = Int32Array.from({ length: count }, (_, i) => i).filter((i) => compiled.crew[i] === crew);
    this.ownOut = this.own.map((i) => wayOut[i]!);
    const cells = this.own.map((i) => place[i]! * width + start[i]!);
    const firsts = Int32Array.from(cells.keys()).filter((k) => k === 0 || cells[k] !== cells[k - 1]);
    this.groupCell = firsts.map((k) => cells[k]!);
    this.groupFrom = Int32Array.of(...firsts, this.own.length);
    this.slotGroups = new Int32Array(slotCount + 1);
    for (const cell of this.groupCell) this.slotGroups[(cell % width) + 1]! += 1;
    for (let slot = 1; slot <= slotCount; slot += 1) this.slotGroups[slot]! += this.slotGroups[slot - 1]!;
  }

  /** @param price by option; answers what the best way earns */
  solve(price: Float64Array): number {
    const { placeCount, slotCount, outsByArrival } = this.compiled;
    const { best, step, outBest, own, ownOut, groupFrom, groupCell, slotGroups } = this;
    const width = slotCount + 1;
    for (let at = 0; at < placeCount; at += 1) best[at * width + slotCount] = 0;
    for (let slot = slotCount - 1; slot >= 0; slot -= 1) {
      for (const out of outsByArrival[slot + 1]!) this.leave(out);
      for (let at = 0; at < placeCount; at += 1) {
        const cell = at * width + slot;
        best[cell] = best[cell + 1]!;
        step[cell] = -1;
      }
      for (let group = slotGroups[slot]!; group < slotGroups[slot + 1]!; group += 1) {
        const cell = groupCell[group]!;
        let most = best[cell]!;
        let taken = -1;
        for (let k = groupFrom[group]!; k < groupFrom[group + 1]!; k += 1) {
          const earns = price[own[k]!]! + outBest[ownOut[k]!]!;
          if (earns <= most) continue;
          most = earns;
          taken = own[k]!;
        }
        best[cell] = most;
        step[cell] = taken;
      }
    }
    return best[this.bestStart()]!;
  }

  private bestStart(): number {
    const width = this.compiled.slotCount + 1;
    let start = 0;
    for (let at = 1; at < this.compiled.placeCount; at += 1)
      if (this.best[at * width]! > this.best[start]!) start = at * width;
    return start;
  }

  private leave(out: number): void {
    const { placeCount, slotCount, arrival } = this.compiled;
    let most = 0;
    let to = 0;
    for (let at = 0; at < placeCount; at += 1) {
      const cell = at * (slotCount + 1) + arrival[out * placeCount + at]!;
      if (this.best[cell]! > most) {
        most = this.best[cell]!;
        to = cell;
      }
    }
    this.outBest[out] = most;
    this.outTo[out] = most > 0 ? to : -1;
  }

  /** The options of the best way, as last solved, in order of time. */
  path(): number[] {
    const chosen: number[] = [];
    const width = this.compiled.slotCount + 1;
    let cell = this.bestStart();
    while (cell >= 0 && cell % width < this.compiled.slotCount) {
      const i = this.step[cell]!;
      if (i < 0) cell += 1;
      else {
        chosen.push(i);
        cell = this.outTo[this.compiled.wayOut[i]!]!;
      }
    }
    return chosen;
  }

  /** Writes, for each own option, what the best way that takes it earns; after `solve` with the same prices. */
  through(price: Float64Array, earns: Float64Array): void {
    const { placeCount, slotCount, arrival } = this.compiled;
    const { own, ownOut, groupFrom, groupCell, slotGroups } = this;
    const width = slotCount + 1;
    const soFar = new Float64Array(placeCount * width);
    const outSoFar = new Float64Array(this.outBest.length).fill(-Infinity);
    for (let slot = 0; slot < slotCount; slot += 1) {
      for (let at = 0; slot > 0 && at < placeCount; at += 1) {
        const cell = at * width + slot;
        soFar[cell] = Math.max(soFar[cell]!, soFar[cell - 1]!);
      }
      for (let group = slotGroups[slot]!; group < slotGroups[slot + 1]!; group += 1) {
        const before = soFar[groupCell[group]!]!;
        for (let k = groupFrom[group]!; k < groupFrom[group + 1]!; k += 1) {
          const i = own[k]!;
          const out = ownOut[k]!;
          const here = before + price[i]!;
          earns[i] = here + this.outBest[out]!;
          if (here <= outSoFar[out]!) continue;
          outSoFar[out] = here;
          for (let to = 0; to < placeCount; to += 1) {
            const cell = to * width + arrival[out * placeCount + to]!;
            soFar[cell] = Math.max(soFar[cell]!, here);
          }
        }
      }
    }
  }
}
