import { MS_PER_DAY } from '../quantity/index.js';
import type { CadenceTarget } from '../vehicle/index.js';

/** One day since the last wash, past or expected: the clock up to it, and whether salt lay on the car. */
export interface SaltCourseDay {
  readonly atMs: number;
  readonly activeHours: number;
  readonly isSalted: boolean;
}

export interface TargetState {
  readonly kind: CadenceTarget['kind'];
  /** Days, salt days or active hours used since the last wash, up to now. */
  readonly used: number;
  readonly most: number;
  readonly dueMs: number;
  /** Days from one wash to the next, at the pace of the course. */
  readonly everyDays: number;
}

/** No car is left for longer, whatever its target (judgement). */
const LONGEST_DAYS = 90;
const SHORTEST_DAYS = 1;
const clampDays = (days: number): number => Math.min(LONGEST_DAYS, Math.max(SHORTEST_DAYS, days));

/** What has happened to a car since its last wash. */
interface SinceWash {
  readonly cadenceDays: number;
  /** The clock when the last wash ended. */
  readonly beganActiveHours: number;
  readonly course: readonly SaltCourseDay[];
  readonly sinceMs: number;
  readonly nowMs: number;
}

/**
 * When has a car used up what its owner wants it to bear between two washes?
 *
 * @param target with the plain days of the cadence for `days`
 * @param course days since the last wash in order, those to come unwashed
 * @returns what is used, the day on which the target is reached, and how often that is at the pace of the course. Beyond the course
 * the pace goes on; a car without salt is still wanted after 90 days (judgement)
 * @example targetState({ kind: 'salt-days', most: 2 }, { cadenceDays: 14, course: [], sinceMs: 0, nowMs: 0, beganActiveHours: 0 }).dueMs // 90 days on
 */
export function targetState(
  target: CadenceTarget,
  { cadenceDays, course, sinceMs, nowMs, beganActiveHours }: SinceWash,
): TargetState {
  if (target.kind === 'days')
    return {
      kind: 'days',
      used: (nowMs - sinceMs) / MS_PER_DAY,
      most: cadenceDays,
      dueMs: sinceMs + cadenceDays * MS_PER_DAY,
      everyDays: cadenceDays,
    };
  let saltDays = 0;
  const used = course.map((day) => {
    if (day.isSalted) saltDays += 1;
    return {
      atMs: day.atMs,
      used: target.kind === 'salt-days' ? saltDays : day.activeHours - beganActiveHours,
    };
  });
  const upToNow = used.findLast(({ atMs }) => atMs <= nowMs)?.used ?? 0;
  const reached = used.find((day) => day.used >= target.most);
  const last = used.at(-1);
  const spanDays = last ? Math.max(1, (last.atMs - sinceMs) / MS_PER_DAY) : 1;
  const perDay = (last?.used ?? 0) / spanDays;
  const everyDays = perDay > 0 ? clampDays(target.most / perDay) : LONGEST_DAYS;
  const beyondMs =
    perDay > 0 && last
      ? last.atMs + ((target.most - last.used) / perDay) * MS_PER_DAY
      : sinceMs + LONGEST_DAYS * MS_PER_DAY;
  const dueMs = Math.min(reached?.atMs ?? beyondMs, sinceMs + LONGEST_DAYS * MS_PER_DAY);
  return { kind: target.kind, used: upToNow, most: target.most, dueMs, everyDays };
}
