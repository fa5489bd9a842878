import { endMinuteOf, grainOf, type ScheduleProblem } from './schedule-problem.js';

/**
 * A problem laid out in flat arrays, with the options that can be chosen at all, by start.
 *
 * The `!` behind an index, here and in the files that read these arrays, stands where the loop's own bounds hold it in range; a default
 * there would cost a third of the time.
 */
export interface Compiled {
  readonly count: number;
  readonly placeCount: number;
  readonly slotCount: number;
  readonly jobCount: number;
  readonly crewCount: number;
  /** Index in the problem's own list. */
  readonly original: Int32Array;
  readonly job: Int32Array;
  readonly place: Int32Array;
  readonly start: Int32Array;
  /** First slot that it does not touch. */
  readonly endSlot: Int32Array;
  readonly endMinute: Float64Array;
  readonly value: Float64Array;
  /** −1: no hands. */
  readonly crew: Int32Array;
  /** −1: no stock. */
  readonly stock: Int32Array;
  readonly stockLeft: readonly number[];
  readonly travelMinutes: readonly (readonly number[])[];
  readonly slotMinutes: number;
  /** Of which every value is a whole multiple; 0: none. */
  readonly grain: number;
  /** place × slot. */
  readonly capacity: Int32Array;
  /** place × slot: 1 where jobs without hands could fill the place, so that its capacity must be watched. */
  readonly isTight: Uint8Array;
  /** Where someone who leaves at the end of an option arrives, by option's way out and place: a slot, at most slotCount. */
  readonly wayOut: Int32Array;
  readonly arrival: Int32Array;
  /** Ways out, in the order in which their first arrival falls. */
  readonly outsByArrival: readonly (readonly number[])[];
}

function canStand(problem: ScheduleProblem, index: number): boolean {
  const option = problem.options[index];
  if (!option || option.value <= 0 || option.startSlot < 0) return false;
  const end = endMinuteOf(problem, option);
  if (end > problem.slotCount * problem.slotMinutes) return false;
  if (option.stock !== undefined && option.stock !== null && (problem.stock[option.stock] ?? 0) < 1)
    return false;
  for (let slot = option.startSlot; slot * problem.slotMinutes < end; slot += 1) {
    if ((problem.capacity[option.place]?.[slot] ?? 0) < 1) return false;
  }
  return true;
}

interface Ways {
  readonly wayOut: Int32Array;
  readonly arrival: Int32Array;
  readonly outsByArrival: readonly (readonly number[])[];
}

/** Options that end at one place in one minute share a way out. */
function waysOut(problem: ScheduleProblem, kept: readonly number[]): Ways {
  const placeCount = problem.capacity.length;
  const ids = new Map<string, number>();
  const arrivals: number[] = [];
  const outsByArrival: number[][] = Array.from({ length: problem.slotCount + 1 }, () => []);
  const wayOut = Int32Array.from(kept, (index) => {
    const option = problem.options[index]!;
    const end = endMinuteOf(problem, option);
    const key = `${option.place} ${end}`;
    const known = ids.get(key);
    if (known !== undefined) return known;
    const id = ids.size;
    ids.set(key, id);
    let first = problem.slotCount;
    for (let to = 0; to < placeCount; to += 1) {
      const travel = problem.travelMinutes[option.place]?.[to] ?? Infinity;
      const slot = Math.min(problem.slotCount, Math.ceil((end + travel) / problem.slotMinutes));
      arrivals.push(slot);
      first = Math.min(first, slot);
    }
    outsByArrival[first]!.push(id);
    return id;
  });
  return { wayOut, arrival: Int32Array.from(arrivals), outsByArrival };
}

/**
 * Lays a problem out for the solver; options that can never be chosen, or gain nothing, are left out.
 *
 * @param only indexes of the options to lay out; all where absent
 */
export function compile(problem: ScheduleProblem, only?: readonly number[]): Compiled {
  const { options, slotCount, slotMinutes } = problem;
  const kept = (only ?? options.map((_, index) => index))
    .filter((index) => canStand(problem, index))
    .sort((a, b) => options[a]!.startSlot - options[b]!.startSlot || a - b);
  const of = (read: (index: number) => number): Int32Array => Int32Array.from(kept, read);
  const placeCount = problem.capacity.length;
  const capacity = new Int32Array(placeCount * slotCount);
  problem.capacity.forEach((slots, place) => capacity.set(slots.slice(0, slotCount), place * slotCount));
  const start = of((index) => options[index]!.startSlot);
  const endSlot = of((index) => Math.ceil(endMinuteOf(problem, options[index]!) / slotMinutes));
  const crew = of((index) => options[index]!.crew ?? -1);
  const place = of((index) => options[index]!.place);
  return {
    count: kept.length,
    placeCount,
    slotCount,
    slotMinutes,
    grain: grainOf(options),
    jobCount: problem.jobCount,
    crewCount: problem.crewCount,
    original: Int32Array.from(kept),
    job: of((index) => options[index]!.job),
    place,
    start,
    endSlot,
    endMinute: Float64Array.from(kept, (index) => endMinuteOf(problem, options[index]!)),
    value: Float64Array.from(kept, (index) => options[index]!.value),
    crew,
    stock: of((index) => options[index]!.stock ?? -1),
    stockLeft: problem.stock,
    travelMinutes: problem.travelMinutes,
    capacity,
    isTight: tightSlots({ start, endSlot, crew, place }, capacity, slotCount),
    ...waysOut(problem, kept),
  };
}

/** A crew is in one place at a time, so capacity can only bind where more could come than there is room for. */
function tightSlots(
  { start, endSlot, crew, place }: Pick<Compiled, 'start' | 'endSlot' | 'crew' | 'place'>,
  capacity: Int32Array,
  slotCount: number,
): Uint8Array {
  const alone = new Int32Array(capacity.length);
  const crews: Set<number>[] = Array.from({ length: capacity.length }, () => new Set());
  start.forEach((from, i) => {
    for (let slot = from; slot < endSlot[i]!; slot += 1) {
      const cell = place[i]! * slotCount + slot;
      if (crew[i]! < 0) alone[cell]! += 1;
      else crews[cell]!.add(crew[i]!);
    }
  });
  return Uint8Array.from(capacity, (room, cell) => (alone[cell]! + crews[cell]!.size > room ? 1 : 0));
}
