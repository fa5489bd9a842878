import { type LocalTime, localTime, type OpenSpan, type Place } from '../place/index.js';

/** A pair of hands, and when it works. */
export interface Hands {
  readonly id: string;
  readonly name: string;
  /** Monday first, in the shop's own time; null: not on that day. */
  readonly hours: readonly (OpenSpan | null)[];
}

const DAY: OpenSpan = { openMinute: 8 * 60, closeMinute: 18 * 60 };

/** One owner, every day but Sunday (judgement). */
export const DEFAULT_HANDS: readonly Hands[] = [
  { id: 'owner', name: 'Owner', hours: [DAY, DAY, DAY, DAY, DAY, DAY, null] },
];

/** A stretch of time, as instants. */
export interface Span {
  readonly fromMs: number;
  readonly toMs: number;
}

export const spansMeet = (a: Span, b: Span): boolean => a.fromMs < b.toMs && b.fromMs < a.toMs;

const MS_PER_MINUTE = 60_000;

/** Do these hands work from the first instant to the last, within one day? */
export function worksThrough({ hours }: Pick<Hands, 'hours'>, span: Span, timeZone: string): boolean {
  const at: LocalTime = localTime(span.fromMs, timeZone);
  const open = hours[at.weekday];
  if (!open || at.minuteOfDay < open.openMinute) return false;
  // By the wall clock of the end, so that a day with a changed clock keeps its own hours.
  const end = localTime(span.toMs - MS_PER_MINUTE, timeZone);
  return end.weekday === at.weekday && end.minuteOfDay + 1 <= open.closeMinute;
}

/** Hands are taken from leaving home until being back. */
export function busyOf(
  { placeId, startMs, endMs }: { readonly placeId: string; readonly startMs: number; readonly endMs: number },
  places: readonly Pick<Place, 'id' | 'travelMinutes'>[],
): Span {
  const travelMs = (places.find(({ id }) => id === placeId)?.travelMinutes ?? 0) * MS_PER_MINUTE;
  return { fromMs: startMs - travelMs, toMs: endMs + travelMs };
}
