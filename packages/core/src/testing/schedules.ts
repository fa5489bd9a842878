import type { ScheduleOption, ScheduleProblem } from '../schedule/index.js';
import { hashUnit } from '../weather/index.js';

export interface ApartSize {
  readonly jobCount: number;
  readonly slotCount: number;
  readonly crewCount?: number;
  /** Share of all starts at all places that there are, 0–1. */
  readonly density?: number;
  /** Uses that are left of what every job takes at the third place; absent: it takes none. */
  readonly stock?: number;
}

/** Jobs of 15 to 60 minutes, each worth less the later it is done, at three places apart with room for one each. */
export function apartSchedule(
  { jobCount, slotCount, crewCount = 1, density = 1, stock }: ApartSize,
  seed = 3,
): ScheduleProblem {
  let drawn = 0;
  const next = (): number => hashUnit(seed, (drawn += 1));
  const travelMinutes = [
    [0, 9, 21],
    [9, 0, 14],
    [21, 14, 0],
  ];
  const options: ScheduleOption[] = [];
  for (let job = 0; job < jobCount; job += 1) {
    const worth = 10 + 40 * next();
    for (let place = 0; place < 3; place += 1) {
      const durationMinutes = 15 * (1 + Math.floor(4 * next()));
      for (let startSlot = 0; startSlot < slotCount; startSlot += 1) {
        if (next() > density) continue;
        const crew = Math.floor(crewCount * next());
        const value = worth + 3 * next() - 0.1 * startSlot;
        const uses = stock !== undefined && place === 2 ? 0 : null;
        options.push({ job, place, startSlot, durationMinutes, crew, value, stock: uses });
      }
    }
  }
  const capacity = travelMinutes.map(() => Array<number>(slotCount).fill(1));
  const left = stock === undefined ? [] : [stock];
  const size = { slotMinutes: 15, slotCount, jobCount, crewCount };
  return { ...size, capacity, travelMinutes, stock: left, options };
}
