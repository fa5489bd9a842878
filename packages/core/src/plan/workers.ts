import { MS_PER_MINUTE } from '../quantity/index.js';
import {
  localTime,
  minutesOpen,
  type OpenSpan,
  type Place,
  queueMinutes,
  wallMinutesBetween,
} from '../place/index.js';

/** A pair of hands, and when it works. */
export interface Worker {
  readonly id: string;
  readonly name: string;
  /** Monday first, in the shop's own time; null: not on that day. */
  readonly hours: readonly (OpenSpan | null)[];
}

const DAY: OpenSpan = { openMinute: 8 * 60, closeMinute: 18 * 60 };

/** One owner, every day but Sunday (judgement). */
export const DEFAULT_WORKERS: readonly Worker[] = [
  { id: 'owner', name: 'Owner', hours: [DAY, DAY, DAY, DAY, DAY, DAY, null] },
];

/** A stretch of time, as instants. */
export interface Span {
  readonly fromMs: number;
  readonly toMs: number;
}

export const spansMeet = (a: Span, b: Span): boolean => a.fromMs < b.toMs && b.fromMs < a.toMs;

/** Do these hands work from the first instant to the last, through the night where their hours go on? */
export function worksThrough({ hours }: Pick<Worker, 'hours'>, span: Span, timeZone: string): boolean {
  const from = localTime(span.fromMs, timeZone);
  const left = minutesOpen(hours, from);
  // By the wall clock of the end, so that a day with a changed clock keeps its own hours.
  const last = localTime(span.toMs - MS_PER_MINUTE, timeZone);
  return left > 0 && wallMinutesBetween(from, last) + 1 <= left;
}

/** Where a wash takes its hands, and how long they stand in the queue there. */
export type WorkPlace = Pick<Place, 'id' | 'travelMinutes' | 'queue' | 'timeZone'>;

/** The same few hours are asked for again and again. */
const queues = new WeakMap<WorkPlace, Map<number, number>>();

/** Minutes in the queue of somebody who comes to a place at an instant. */
export function queueAt(place: WorkPlace, atMs: number): number {
  if (!place.queue) return 0;
  const known = queues.get(place) ?? new Map<number, number>();
  queues.set(place, known);
  const minutes = known.get(atMs) ?? queueMinutes(place, localTime(atMs, place.timeZone));
  known.set(atMs, minutes);
  return minutes;
}

/** A wash as hands have it: where, and from when to when, the queue not counted. */
export interface WorkerSlot {
  readonly placeId: string;
  readonly startMs: number;
  readonly endMs: number;
  /** Begun: its worker has stood in the queue already. */
  readonly isBegun?: boolean;
}

/** From coming to leaving: a start is when they come, the queue is waited through from then, and the end of a wash leaves it out. */
export function stayOf(
  { placeId, startMs, endMs, isBegun = false }: WorkerSlot,
  places: readonly WorkPlace[],
): Span {
  const place = places.find(({ id }) => id === placeId);
  const queueMs = place && !isBegun ? queueAt(place, startMs) * MS_PER_MINUTE : 0;
  return { fromMs: startMs, toMs: endMs + queueMs };
}

/** Hands are taken from leaving home until being back. */
export function busyOf(work: WorkerSlot, places: readonly WorkPlace[]): Span {
  const { fromMs, toMs } = stayOf(work, places);
  const travelMs = (places.find(({ id }) => id === work.placeId)?.travelMinutes ?? 0) * MS_PER_MINUTE;
  return { fromMs: fromMs - travelMs, toMs: toMs + travelMs };
}

/** Do two washes of the same hands stand in each other's way, with the rest that is wanted between them? */
export const workersMeet = (a: Span, b: Span, restMinutes: number): boolean => {
  const rested = ({ fromMs, toMs }: Span): Span => ({ fromMs, toMs: toMs + restMinutes * MS_PER_MINUTE });
  return spansMeet(rested(a), rested(b));
};
