/** One way to do one job: at a place, from a slot on. */
export interface ScheduleOption {
  /** Index of the job. */
  readonly job: number;
  /** Index of the place. */
  readonly place: number;
  readonly startSlot: number;
  readonly durationMinutes: number;
  /** Which pair of hands it takes; null: none, the job runs by itself. */
  readonly crew: number | null;
  /** What doing it this way is worth, in any one currency. */
  readonly value: number;
  /** Index of the stock of which it uses one; absent or null: none. */
  readonly stock?: number | null;
}

/** Jobs, each with the ways to do it, that want the same places, hands and stock. */
export interface ScheduleProblem {
  readonly slotMinutes: number;
  readonly slotCount: number;
  readonly jobCount: number;
  readonly crewCount: number;
  /** By place and slot: how many jobs may be there at once. */
  readonly capacity: readonly (readonly number[])[];
  /** Minutes from finishing at one place until one can begin at another (or again at the same), by place. */
  readonly travelMinutes: readonly (readonly number[])[];
  /** How many uses are left of each stock. */
  readonly stock: readonly number[];
  readonly options: readonly ScheduleOption[];
}

export type ScheduleStatus = 'proven' | 'feasible';

/** Which options were chosen, and how good that is at least. */
export interface Schedule {
  /** Option indexes, in order of time. */
  readonly chosen: readonly number[];
  /** Sum of the chosen options' values. */
  readonly value: number;
  /** No schedule is worth more than this. */
  readonly bound: number;
  readonly status: ScheduleStatus;
}

/** Told as a schedule gets better or its bound tighter; may say that it is enough. */
export interface ScheduleWatch {
  /** Called now and then; true ends the search, and the best so far is kept. */
  readonly isOver?: () => boolean;
  readonly onBetter?: (schedule: Schedule) => void;
}

/** Below this difference, relative to the value, two plans are worth the same. */
export const SAME_FRACTION = 1e-7;

/**
 * Does this bound leave nothing to be gained?
 *
 * @param grain of which every value is a whole multiple; less than one of them cannot be gained
 */
export const isProven = (value: number, bound: number, grain = 0): boolean =>
  bound - value <= Math.max(SAME_FRACTION * Math.max(1, Math.abs(value)), grain * (1 - 1e-6));

export const endMinuteOf = (problem: Pick<ScheduleProblem, 'slotMinutes'>, option: ScheduleOption): number =>
  option.startSlot * problem.slotMinutes + option.durationMinutes;

/** Values that are whole multiples of this, as money is of a cent, let a bound be rounded down to the next one. */
const GRAINS = [1, 0.1, 0.01];

/** The coarsest grain of which every value is a whole multiple; 0: none. */
export function grainOf(values: Float64Array): number {
  const isMultiple = (value: number, grain: number): boolean =>
    Math.abs(value / grain - Math.round(value / grain)) < 1e-6;
  return GRAINS.find((grain) => values.every((value) => isMultiple(value, grain))) ?? 0;
}
