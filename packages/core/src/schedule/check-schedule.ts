import { endMinuteOf, type ScheduleOption, type ScheduleProblem } from './schedule-problem.js';

export interface ScheduleFault {
  readonly kind: 'job-twice' | 'capacity' | 'crew' | 'stock' | 'outside';
  /** Options that cannot stand together, or the one that cannot stand at all. */
  readonly options: readonly number[];
}

type Entry = readonly [index: number, option: ScheduleOption];

function jobFaults(chosen: readonly Entry[]): ScheduleFault[] {
  return chosen.flatMap(([i, a], at) =>
    chosen
      .slice(at + 1)
      .filter(([, b]) => b.job === a.job)
      .map(([j]): ScheduleFault => ({ kind: 'job-twice', options: [i, j] })),
  );
}

function crewFaults(problem: ScheduleProblem, chosen: readonly Entry[]): ScheduleFault[] {
  const { slotMinutes, travelMinutes } = problem;
  const inTime = [...chosen].sort(([, a], [, b]) => a.startSlot - b.startSlot);
  return Array.from({ length: problem.crewCount }, (_, crew) =>
    inTime.filter(([, option]) => option.crew === crew),
  ).flatMap((own) =>
    own.slice(1).flatMap(([j, then], at): ScheduleFault[] => {
      const [i, first] = own[at] ?? [j, then];
      const travel = travelMinutes[first.place]?.[then.place] ?? Infinity;
      const isFree = endMinuteOf(problem, first) + travel <= then.startSlot * slotMinutes;
      return isFree ? [] : [{ kind: 'crew', options: [i, j] }];
    }),
  );
}

/**
 * Can this schedule be carried out? Written apart from the solver, plainly, so that each can be held against the other.
 *
 * @param chosen option indexes
 * @returns every fault; none: it can
 */
export function checkSchedule(problem: ScheduleProblem, chosen: readonly number[]): ScheduleFault[] {
  const entries = chosen.flatMap((index): Entry[] => {
    const option = problem.options[index];
    return option ? [[index, option]] : [];
  });
  const faults = [...jobFaults(entries), ...crewFaults(problem, entries)];
  const horizon = problem.slotCount * problem.slotMinutes;
  for (const [index, option] of entries) {
    if (option.startSlot < 0 || endMinuteOf(problem, option) > horizon)
      faults.push({ kind: 'outside', options: [index] });
  }
  problem.capacity.forEach((slots, place) => {
    for (let slot = 0; slot < problem.slotCount; slot += 1) {
      const from = slot * problem.slotMinutes;
      const there = entries.filter(
        ([, option]) =>
          option.place === place &&
          option.startSlot * problem.slotMinutes < from + problem.slotMinutes &&
          endMinuteOf(problem, option) > from,
      );
      if (there.length > (slots[slot] ?? 0))
        faults.push({ kind: 'capacity', options: there.map(([index]) => index) });
    }
  });
  problem.stock.forEach((left, stock) => {
    const users = entries.filter(([, option]) => option.stock === stock);
    if (users.length > left) faults.push({ kind: 'stock', options: users.map(([index]) => index) });
  });
  return faults;
}
