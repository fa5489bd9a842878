import { MS_PER_HOUR } from '../quantity/index.js';
import { localTime } from '../place/index.js';
import type { Worker } from './workers.js';
import { planCase } from './plan-case.js';
import type { PlanCase, PlanRequest } from './plan-request.js';

/** Something there could be more of. */
export type PlanRelief =
  | { readonly kind: 'workers'; readonly dayMs: number }
  /** On one day, reported by its noon; null: on all of them. */
  | { readonly kind: 'room'; readonly placeId: string; readonly dayMs: number | null };

export interface WorthOfRelief {
  readonly relief: PlanRelief;
  /** What the plan would gain by it, minor units. */
  readonly worthMinor: number;
}

const WORKDAY = { openMinute: 8 * 60, closeMinute: 18 * 60 };
const NOON_HOUR = 12;

/** Noon of each day from now to the horizon, by the shop's clock. */
function noons({ nowMs, horizonMs, timeZone }: PlanRequest): number[] {
  const firstMs = Math.ceil(nowMs / MS_PER_HOUR) * MS_PER_HOUR;
  const hours = Math.max(0, Math.floor((horizonMs - firstMs) / MS_PER_HOUR));
  return Array.from({ length: hours }, (_, i) => firstMs + i * MS_PER_HOUR).filter(
    (atMs) => Math.floor(localTime(atMs, timeZone).minuteOfDay / 60) === NOON_HOUR,
  );
}

/** Hands that could come on any day; who asks what they are worth looks at starts in their hours too. */
export const ANY_HELPER: Worker = {
  id: 'another',
  name: 'another',
  hours: Array.from({ length: 7 }, () => WORKDAY),
};

/** Helping hands for one day only: the same weekday a week later is taken. */
function withHelper(request: PlanRequest, dayMs: number): PlanRequest {
  const { weekday } = localTime(dayMs, request.timeZone);
  const helper: Worker = {
    ...ANY_HELPER,
    hours: ANY_HELPER.hours.map((span, day) => (day === weekday ? span : null)),
  };
  const rest = [
    { workerId: helper.id, fromMs: request.nowMs, toMs: dayMs - NOON_HOUR * MS_PER_HOUR },
    { workerId: helper.id, fromMs: dayMs + NOON_HOUR * MS_PER_HOUR, toMs: request.horizonMs },
  ];
  return { ...request, workers: [...request.workers, helper], busy: [...request.busy, ...rest] };
}

/** Room for one car more at a place, on a day or on all of them. */
function withRoom(request: PlanRequest, placeId: string, dayMs: number | null): PlanRequest {
  const span =
    dayMs === null
      ? { fromMs: request.nowMs, toMs: request.horizonMs }
      : { fromMs: dayMs - NOON_HOUR * MS_PER_HOUR, toMs: dayMs + NOON_HOUR * MS_PER_HOUR };
  return { ...request, moreRoom: [{ ...span, placeId }] };
}

const relieved = (request: PlanRequest, relief: PlanRelief): PlanRequest =>
  relief.kind === 'workers'
    ? withHelper(request, relief.dayMs)
    : withRoom(request, relief.placeId, relief.dayMs);

/** Less than this is not worth telling, minor units. */
const LEAST_MINOR = 1;

/**
 * Which limit costs the plan most? The plan is made again with a little more of each: another pair of hands on a day, room for another car at
 * a place, and where there is too little of it, on which day.
 *
 * @param valueOf makes a plan and says what it is worth
 * @param onDone reported how many of all have been tried, 0–1; may throw to stop
 * @returns what gains, most first
 */
export function worthOfReliefs(
  request: PlanRequest,
  valueOf: (made: PlanCase) => number,
  onDone: (share: number) => void = () => undefined,
): WorthOfRelief[] {
  const days = noons(request);
  const workers = days.map((dayMs): PlanRelief => ({ kind: 'workers', dayMs }));
  const rooms = request.places.map(({ id }): PlanRelief => ({ kind: 'room', placeId: id, dayMs: null }));
  const before = valueOf(planCase(request));
  let done = 0;
  let all = workers.length + rooms.length;
  let reported = 0;
  const worth = (relief: PlanRelief): WorthOfRelief[] => {
    const worthMinor = valueOf(planCase(relieved(request, relief))) - before;
    done += 1;
    reported = Math.max(reported, done / all);
    onDone(reported);
    return worthMinor >= LEAST_MINOR ? [{ relief, worthMinor }] : [];
  };
  const short = rooms.flatMap(worth);
  all += short.length * days.length;
  const byDay = short.flatMap((whole) => {
    const { relief } = whole;
    if (relief.kind !== 'room') return [];
    const found = days.flatMap((dayMs) => worth({ ...relief, dayMs }));
    // Where no day alone gains anything, room on all of them is offered.
    return found.length > 0 ? found : [whole];
  });
  return [...workers.flatMap(worth), ...byDay].sort((a, b) => b.worthMinor - a.worthMinor);
}
