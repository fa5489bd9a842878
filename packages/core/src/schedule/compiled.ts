import { endMinuteOf, grainOf, type ScheduleProblem } from './schedule-problem.js';
import { tightSlots } from './tight-slots.js';

/**
 * A problem laid out in flat arrays, with the options that can be chosen at all, by start and place.
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
  const room = problem.capacity[option.place];
  for (let slot = option.startSlot; slot * problem.slotMinutes < end; slot += 1) {
    if ((room?.[slot] ?? 0) < 1) return false;
  }
  return true;
}

interface Ways {
  readonly wayOut: Int32Array;
  readonly arrival: Int32Array;
  readonly outsByArrival: readonly (readonly number[])[];
}

/** Options that end at one place in one minute share a way out. */
function waysOut(
  { travelMinutes, capacity, slotCount, slotMinutes }: ScheduleProblem,
  { place, endMinute }: Pick<Compiled, 'place' | 'endMinute'>,
): Ways {
  const known = capacity.map(() => new Map<number, number>());
  const arrivals: number[] = [];
  const outsByArrival: number[][] = Array.from({ length: slotCount + 1 }, () => []);
  let outs = 0;
  const wayOut = place.map((from, i) => {
    const end = endMinute[i]!;
    const before = known[from]!.get(end);
    if (before !== undefined) return before;
    const out = outs;
    outs += 1;
    known[from]!.set(end, out);
    const reached = capacity.map((_, to) => {
      const travel = travelMinutes[from]?.[to] ?? Infinity;
      return Math.min(slotCount, Math.ceil((end + travel) / slotMinutes));
    });
    arrivals.push(...reached);
    outsByArrival[Math.min(slotCount, ...reached)]!.push(out);
    return out;
  });
  return { wayOut, arrival: Int32Array.from(arrivals), outsByArrival };
}

/** Indexes of the options that can be chosen, by start and place; those that share both as they came. */
function standing(problem: ScheduleProblem): Int32Array {
  const placeCount = problem.capacity.length;
  const from = new Int32Array(problem.slotCount * placeCount + 1);
  const cells = Int32Array.from(problem.options, ({ startSlot, place }, index) =>
    canStand(problem, index) ? startSlot * placeCount + place : -1,
  );
  for (const cell of cells) if (cell >= 0) from[cell + 1]! += 1;
  for (let cell = 1; cell < from.length; cell += 1) from[cell]! += from[cell - 1]!;
  const indexes = new Int32Array(from.at(-1)!);
  cells.forEach((cell, index) => {
    if (cell < 0) return;
    indexes[from[cell]!] = index;
    from[cell]! += 1;
  });
  return indexes;
}

/** Lays a problem out for the solver; options that can never be chosen, or gain nothing, are left out. */
export function compile(problem: ScheduleProblem): Compiled {
  const { slotCount, slotMinutes, jobCount, crewCount, travelMinutes } = problem;
  const original = standing(problem);
  const count = original.length;
  const job = new Int32Array(count);
  const place = new Int32Array(count);
  const start = new Int32Array(count);
  const endSlot = new Int32Array(count);
  const crew = new Int32Array(count);
  const stock = new Int32Array(count);
  const endMinute = new Float64Array(count);
  const value = new Float64Array(count);
  original.forEach((index, i) => {
    const option = problem.options[index]!;
    job[i] = option.job;
    place[i] = option.place;
    start[i] = option.startSlot;
    endMinute[i] = endMinuteOf(problem, option);
    endSlot[i] = Math.ceil(endMinute[i] / slotMinutes);
    value[i] = option.value;
    crew[i] = option.crew ?? -1;
    stock[i] = option.stock ?? -1;
  });
  const capacity = Int32Array.from(problem.capacity.flatMap((slots) => slots.slice(0, slotCount)));
  const taken = { start, endSlot, crew, place, crewCount };
  return {
    count,
    placeCount: problem.capacity.length,
    slotCount,
    slotMinutes,
    jobCount,
    crewCount,
    original,
    job,
    place,
    start,
    endSlot,
    endMinute,
    value,
    crew,
    stock,
    capacity,
    travelMinutes,
    stockLeft: problem.stock,
    grain: grainOf(value),
    isTight: tightSlots(taken, capacity, slotCount),
    ...waysOut(problem, { place, endMinute }),
  };
}
