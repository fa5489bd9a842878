import type { Compiled } from './compiled.js';
import { isProven, type Schedule } from './schedule-problem.js';

/** A schedule in the making: always one that can be carried out. */
export class Roster {
  value = 0;
  private readonly ofJob: Int32Array;
  private readonly ofCrew: number[][];
  private readonly used: Int32Array;
  private readonly stockUsed: Int32Array;

  constructor(private readonly compiled: Compiled) {
    this.ofJob = new Int32Array(compiled.jobCount).fill(-1);
    this.ofCrew = Array.from({ length: compiled.crewCount }, () => []);
    this.used = new Int32Array(compiled.capacity.length);
    this.stockUsed = new Int32Array(compiled.stockLeft.length);
  }

  get chosen(): number[] {
    return Array.from(this.ofJob).filter((i) => i >= 0);
  }

  isPlanned(job: number): boolean {
    return this.ofJob[job]! >= 0;
  }

  has(i: number): boolean {
    return this.ofJob[this.compiled.job[i]!] === i;
  }

  /** The option by which a job is planned; −1: none. */
  optionOf(job: number): number {
    return this.ofJob[job]!;
  }

  /** What a crew does, in order of time. */
  lineOf(crew: number): number[] {
    const { start } = this.compiled;
    return [...this.ofCrew[crew]!].sort((a, b) => start[a]! - start[b]!);
  }

  /** Is there room and stock for an option, whichever worker is free? */
  hasRoom(i: number): boolean {
    const { place, start, endSlot, stock, isTight, capacity, slotCount, stockLeft } = this.compiled;
    const at = place[i]! * slotCount;
    for (let cell = at + start[i]!; cell < at + endSlot[i]!; cell += 1)
      if (isTight[cell] && this.used[cell]! >= capacity[cell]!) return false;
    const use = stock[i]!;
    return use < 0 || this.stockUsed[use]! < stockLeft[use]!;
  }

  /** How much of a stock is not used. */
  stockOver(stock: number): number {
    return this.compiled.stockLeft[stock]! - this.stockUsed[stock]!;
  }

  /** As it is given to those who asked: in order of time, with what it is worth and whether a bound proves it. */
  toSchedule(bound: number): Schedule {
    const { start, original, value, grain } = this.compiled;
    const inTime = this.chosen.sort((a, b) => start[a]! - start[b]! || original[a]! - original[b]!);
    const worth = inTime.reduce((sum, i) => sum + value[i]!, 0);
    const isDone = isProven(worth, bound, grain);
    return {
      chosen: inTime.map((i) => original[i]!),
      value: worth,
      bound: isDone ? worth : bound,
      status: isDone ? 'proven' : 'feasible',
    };
  }

  /** The same choices in the same problem laid out with other options, among which they are. */
  carriedTo(other: Compiled): Roster {
    const at = new Map(Array.from(other.original, (index, i) => [index, i]));
    const twin = new Roster(other);
    for (const i of this.chosen) twin.add(at.get(this.compiled.original[i]!)!);
    return twin;
  }

  copy(): Roster {
    const twin = new Roster(this.compiled);
    for (const i of this.chosen) twin.add(i);
    return twin;
  }

  private meets(i: number, j: number): boolean {
    const { start, endMinute, place, slotMinutes, travelMinutes } = this.compiled;
    const [a, b] = start[i]! <= start[j]! ? [i, j] : [j, i];
    return endMinute[a]! + travelMinutes[place[a]!]![place[b]!]! > start[b]! * slotMinutes;
  }

  /**
   * The options that would have to go for this one, if what they are worth stays below a limit.
   *
   * @returns null where more would be lost than the limit
   */
  inTheWay(i: number, limit: number): number[] | null {
    const { job, crew, place, start, endSlot, stock, value, isTight, capacity, slotCount, stockLeft } =
      this.compiled;
    const out: number[] = [];
    let lost = 0;
    const lose = (j: number): boolean => {
      if (out.includes(j)) return true;
      out.push(j);
      lost += value[j]!;
      return lost < limit;
    };
    const own = this.ofJob[job[i]!]!;
    if (own >= 0 && !lose(own)) return null;
    if (crew[i]! >= 0) for (const j of this.ofCrew[crew[i]!]!) if (this.meets(i, j) && !lose(j)) return null;
    const at = place[i]! * slotCount;
    for (let slot = start[i]!; slot < endSlot[i]!; slot += 1) {
      const cell = at + slot;
      if (!isTight[cell]) continue;
      const gone = out.filter((j) => place[j] === place[i] && start[j]! <= slot && endSlot[j]! > slot).length;
      if (this.used[cell]! - gone < capacity[cell]!) continue;
      const least = this.leastOf(
        (j) => place[j] === place[i] && start[j]! <= slot && endSlot[j]! > slot,
        out,
      );
      if (least < 0 || !lose(least)) return null;
    }
    const use = stock[i]!;
    if (use >= 0) {
      const gone = out.filter((j) => stock[j] === use).length;
      if (this.stockUsed[use]! - gone >= stockLeft[use]!) {
        const least = this.leastOf((j) => stock[j] === use, out);
        if (least < 0 || !lose(least)) return null;
      }
    }
    return out;
  }

  private leastOf(is: (j: number) => boolean, except: readonly number[]): number {
    let least = -1;
    for (const j of this.ofJob) {
      if (j < 0 || !is(j) || except.includes(j)) continue;
      if (least < 0 || this.compiled.value[j]! < this.compiled.value[least]!) least = j;
    }
    return least;
  }

  /** Adds an option that nothing stands in the way of. */
  add(i: number): void {
    const { job, crew, value } = this.compiled;
    this.ofJob[job[i]!] = i;
    if (crew[i]! >= 0) this.ofCrew[crew[i]!]!.push(i);
    this.count(i, 1);
    this.value += value[i]!;
  }

  remove(i: number): void {
    const { job, crew, value } = this.compiled;
    this.ofJob[job[i]!] = -1;
    if (crew[i]! >= 0) {
      const own = this.ofCrew[crew[i]!]!;
      own.splice(own.indexOf(i), 1);
    }
    this.count(i, -1);
    this.value -= value[i]!;
  }

  private count(i: number, by: number): void {
    const { place, start, endSlot, stock, slotCount } = this.compiled;
    for (let slot = start[i]!; slot < endSlot[i]!; slot += 1) this.used[place[i]! * slotCount + slot]! += by;
    if (stock[i]! >= 0) this.stockUsed[stock[i]!]! += by;
  }

  /** Adds an option if it gains more than what stands in its way is worth. Answers whether it did. */
  trade(i: number): boolean {
    const value = this.compiled.value[i]!;
    const out = this.inTheWay(i, value - 1e-9 * value);
    if (!out) return false;
    for (const j of out) this.remove(j);
    this.add(i);
    return true;
  }

  /**
   * Puts options in place of others, if that can be carried out and is worth no less; otherwise nothing is changed. Two jobs together can
   * want more room or stock than each alone, and ways can be longer than round a corner.
   */
  exchange(out: readonly number[], into: readonly number[]): void {
    const before = this.value;
    for (const i of out) this.remove(i);
    const added: number[] = [];
    for (const i of into) {
      if (this.inTheWay(i, Number.MIN_VALUE)?.length !== 0) break;
      this.add(i);
      added.push(i);
    }
    if (added.length === into.length && this.value >= before - 1e-9 * Math.abs(before)) return;
    for (const i of added) this.remove(i);
    for (const i of out) this.add(i);
  }
}
