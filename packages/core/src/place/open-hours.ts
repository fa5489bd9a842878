import type { LocalTime } from './local-time.js';
import type { OpenSpan } from './place.js';

const DAY_MINUTES = 24 * 60;
const WEEK_DAYS = 7;

/** Hours that end before they begin go on into the next day. */
export const isOverMidnight = ({ openMinute, closeMinute }: OpenSpan): boolean => closeMinute < openMinute;

/** Hours without a length, or without a beginning or an end, are no hours: the whole day is 0 to 1440. */
export const hasLength = ({ openMinute, closeMinute }: OpenSpan): boolean =>
  Math.abs(closeMinute - openMinute) > 0;

/**
 * How long is it still open?
 *
 * @param hours by weekday, Monday first; null: closed. Hours that close before they open go on into the next day
 * @returns minutes by the wall clock, over midnight where the next day's hours go straight on, a week at most; 0: closed now
 * @example minutesOpen(Array(7).fill({ openMinute: 0, closeMinute: 1440 }), { weekday: 0, minuteOfDay: 1380 }) // 10080
 */
export function minutesOpen(
  hours: readonly (OpenSpan | null)[],
  { weekday, minuteOfDay }: LocalTime,
): number {
  let untilMinute = minuteOfDay;
  // Yesterday's night may still go on.
  for (let day = -1; day <= WEEK_DAYS; day += 1) {
    const span = hours[(weekday + day + WEEK_DAYS) % WEEK_DAYS];
    if (!span) continue;
    const from = day * DAY_MINUTES + span.openMinute;
    const to = day * DAY_MINUTES + span.closeMinute + (isOverMidnight(span) ? DAY_MINUTES : 0);
    if (from <= untilMinute && untilMinute < to) untilMinute = to;
  }
  return Math.min(WEEK_DAYS * DAY_MINUTES, untilMinute - minuteOfDay);
}

/** Minutes by the wall clock from one instant to a later one within the week. */
export const wallMinutesBetween = (from: LocalTime, to: LocalTime): number =>
  ((to.weekday - from.weekday + WEEK_DAYS) % WEEK_DAYS) * DAY_MINUTES + to.minuteOfDay - from.minuteOfDay;
