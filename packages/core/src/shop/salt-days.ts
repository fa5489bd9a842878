import type { SaltCourseDay } from '../plan/index.js';
import type { CompiledHour, SaltLedger, ZoneSalt } from '../salt/index.js';

/** One day of the season on one car. */
export interface SaltDay {
  readonly atMs: number;
  readonly activeHours: number;
  readonly zones: readonly ZoneSalt[];
}

/** Local hour at which the day's salt is written down: before the morning's drive. */
export const DAY_HOUR = 5;
/** Load from which a zone counts as under salt, g/m². */
export const SALTED_GRAMS_PER_M2 = 0.3;

export const courseDay = ({ atMs, activeHours, zones }: SaltDay): SaltCourseDay => ({
  atMs,
  activeHours,
  isSalted: zones.some(({ loadGramsPerM2 }) => loadGramsPerM2 >= SALTED_GRAMS_PER_M2),
});

/** The days to come, if nobody washes it. */
export function daysAhead(
  now: SaltLedger,
  hours: readonly CompiledHour[],
  hourOfDay: readonly number[],
): SaltCourseDay[] {
  const ledger = now.copy();
  const days: SaltCourseDay[] = [];
  hours.forEach((hour, i) => {
    ledger.step(hour);
    if (hourOfDay[i] === DAY_HOUR)
      days.push(courseDay({ atMs: hour.atMs, activeHours: ledger.activeHours, zones: ledger.zones() }));
  });
  return days;
}
