import { FieldError } from '../quantity/index.js';
import type { ScheduleOption, ScheduleProblem } from './schedule-problem.js';

/** A problem in names, as it comes from outside: one crew, no stock. */
export interface NamedProblem {
  readonly slotMinutes: number;
  readonly slotCount: number;
  readonly jobs: readonly string[];
  readonly places: readonly { readonly id: string; readonly capacity: readonly number[] }[];
  /** By place index, from and to. */
  readonly travelMinutes: readonly (readonly number[])[];
  readonly options: readonly {
    readonly job: string;
    readonly place: string;
    readonly startSlot: number;
    readonly durationMinutes: number;
    readonly crew: boolean;
    readonly value: number;
  }[];
}

function indexes(field: string, ids: readonly string[]): Map<string, number> {
  const known = new Map<string, number>();
  ids.forEach((id, i) => {
    if (known.has(id))
      throw new FieldError('out-of-range', `${field}.${i}`, `${field}.${i}: ${id} is named twice`);
    known.set(id, i);
  });
  return known;
}

function requireLength(field: string, got: number, wanted: number): void {
  if (got !== wanted)
    throw new FieldError('out-of-range', field, `${field}: has ${got} entries; ${wanted} are needed`);
}

function named(known: ReadonlyMap<string, number>, field: string, id: string): number {
  const index = known.get(id);
  if (index === undefined) throw new FieldError('unknown-name', field, `${field}: there is no ${id}`);
  return index;
}

/**
 * A problem in names as the solver takes it.
 *
 * @throws FieldError that names the field of a name that does not exist, or of a table of the wrong size
 */
export function fromNames(input: NamedProblem): ScheduleProblem {
  const { slotMinutes, slotCount, travelMinutes } = input;
  const jobs = indexes('jobs', input.jobs);
  const places = indexes(
    'places',
    input.places.map(({ id }) => id),
  );
  input.places.forEach(({ capacity }, i) =>
    requireLength(`places.${i}.capacity`, capacity.length, slotCount),
  );
  requireLength('travelMinutes', travelMinutes.length, places.size);
  travelMinutes.forEach((row, i) => requireLength(`travelMinutes.${i}`, row.length, places.size));
  const options = input.options.map((option, i): ScheduleOption => {
    if (option.startSlot >= slotCount) {
      const field = `options.${i}.startSlot`;
      throw new FieldError(
        'out-of-range',
        field,
        `${field}: is ${option.startSlot}; the last slot is ${slotCount - 1}`,
      );
    }
    return {
      ...option,
      job: named(jobs, `options.${i}.job`, option.job),
      place: named(places, `options.${i}.place`, option.place),
      crew: option.crew ? 0 : null,
    };
  });
  return {
    slotMinutes,
    slotCount,
    jobCount: jobs.size,
    crewCount: 1,
    capacity: input.places.map(({ capacity }) => capacity),
    travelMinutes,
    stock: [],
    options,
  };
}
