import { MS_PER_HOUR, MS_PER_MINUTE } from '../quantity/index.js';
import type { ScheduleOption } from '../schedule/index.js';
import type { DuePeriod } from './due-periods.js';
import { jobsOf, openBookings } from './plan-jobs.js';
import {
  PLAN_SLOT_MINUTES,
  type PlanCar,
  type PlanCase,
  type PlanJob,
  type PlanOption,
  type PlanRequest,
} from './plan-request.js';
import { freeWorkers } from './free-workers.js';
import { hasRoom, roomOf } from './plan-room.js';
import {
  plannedWindows,
  sameStart,
  withExtras,
  withOwnChoices,
  withoutExtras,
  workCase,
} from './planned-window.js';
import type { Window } from './window.js';
import { busyOf, queueAt, type Span, spansMeet, stayOf, type Worker, worksThrough } from './workers.js';
import { keepsPromise, planWorth, worthBase } from './worth-in-plan.js';

/** Whose hands are free, and whether every start is wanted or the foremost of each hour will do. */
interface OptionsWanted {
  readonly freeFor: (span: Span) => readonly Worker[];
  readonly which: 'all' | 'foremost';
}

/** Is the car there from the beginning to the end, the queue included? */
export const canBeHad = (
  { availability }: Pick<PlanCar, 'availability'>,
  window: Window,
  { timeZone, places }: Pick<PlanRequest, 'timeZone' | 'places'>,
): boolean =>
  availability === null || worksThrough({ hours: availability }, stayOf(window, places), timeZone);

/** A promise, where there is one and it has to be kept, is kept. */
const isInTime = (window: Window, period: DuePeriod, { places }: PlanRequest): boolean =>
  period.bookingId === null || keepsPromise(window, period, places);

/** Where salt may not sit beyond so many days: nothing later in a period of the cadence while something goes in time. */
function beforeDeadline(
  windows: readonly Window[],
  period: DuePeriod,
  { dueMs, deadlineMs }: PlanCar['due'],
): readonly Window[] {
  if (deadlineMs === null || period.bookingId !== null) return windows;
  const latestMs = period.dueMs + deadlineMs - dueMs;
  const inTime = windows.filter(({ startMs }) => startMs <= latestMs);
  return inTime.length > 0 ? inTime : windows;
}

function optionsOf(
  request: PlanRequest,
  { vehicleId, period, agreed, agreedElsewhere, takesDue }: PlanJob,
  { freeFor, which }: OptionsWanted,
): PlanOption[] {
  const car = request.cars.find((candidate) => candidate.vehicleId === vehicleId);
  if (!car) return [];
  const base = { ...worthBase(car, period), agreed };
  const shop = workCase(car, request);
  const planned = request.movable.filter((slot) => slot.vehicleId === vehicleId);
  const stays = request.fixed
    .filter((slot) => slot.vehicleId === vehicleId)
    .map((slot) => stayOf(slot, request.places));
  // A wash that is moved keeps what was chosen for it.
  const own = planned.find(({ startMs }) => startMs >= period.fromMs && startMs < period.toMs);
  const within = [...car.windows, ...plannedWindows(car.windows, planned, shop)].filter(
    (window) =>
      window.isWash &&
      (period.methodId === null || window.methodId === period.methodId) &&
      (which === 'all' || window.isForemost || planned.some((slot) => sameStart(window, slot))) &&
      window.startMs >= Math.max(period.fromMs, request.nowMs) &&
      window.startMs < period.toMs &&
      window.endMs <= request.horizonMs &&
      (window.blockedFraction ?? 0) <= request.tolerableFraction,
  );
  return beforeDeadline(within, period, car.due).flatMap((plain) => {
    const all = own && !plain.choices ? withOwnChoices(plain, own, shop) : plain;
    // Agreed work belongs to its booking, what else is due to the first wash of the car; and a wash without it is better than none.
    const full = withExtras(
      all,
      all.extras.jobIds.filter((id) => agreed.includes(id) || (takesDue && !agreedElsewhere.includes(id))),
      shop,
    );
    const fits = (window: Window): boolean =>
      canBeHad(car, window, request) &&
      isInTime(window, period, request) &&
      hasRoom(request, window) &&
      !stays.some((other) => spansMeet(other, stayOf(window, request.places))) &&
      freeFor(busyOf(window, request.places)).length > 0;
    const window = [full, withExtras(full, agreed, shop), withoutExtras(full, shop)].find(fits);
    if (!window) return [];
    const { totalMinor: worthMinor } = planWorth(window, base, request);
    return freeFor(busyOf(window, request.places)).map(({ id }): PlanOption => {
      const isPlanned = planned.some((slot) => slot.workerId === id && sameStart(window, slot));
      return { vehicleId, period, window, workerId: id, worthMinor, isPlanned };
    });
  });
}

/**
 * Where else could a car's wash stand, with everything else in the plan left where it is?
 *
 * @param request all other washes of the plan as fixed; the one in question, if it is planned, as movable
 * @returns one option for each start, place, method and pair of hands that is free; none for a car that is not there
 */
export function moveOptions(request: PlanRequest, vehicleId: string): PlanOption[] {
  const car = request.cars.find((candidate) => candidate.vehicleId === vehicleId);
  if (!car) return [];
  const { nowMs, horizonMs } = request;
  // A promise may be broken by hand, but not without its price.
  const readyByMs = openBookings(request, vehicleId)[0]?.readyByMs ?? null;
  const promise = { bookingId: null, readyByMs, methodId: null };
  const period: DuePeriod = { index: 0, dueMs: car.due.dueMs, fromMs: nowMs, toMs: horizonMs, ...promise };
  const wanted: OptionsWanted = { freeFor: freeWorkers(request), which: 'all' };
  const job: PlanJob = { vehicleId, period, agreed: [], agreedElsewhere: [], takesDue: true };
  return optionsOf({ ...request, tolerableFraction: 1 }, job, wanted);
}

/** Uses of a method that are left once the washes that stand fixed are done. */
function stockLeft({ stock, fixed }: PlanRequest, methodId: string): number {
  const taken = fixed.filter((slot) => slot.methodId === methodId).length;
  return Math.max(0, (stock[methodId] ?? 0) - taken);
}

/** The options of each job as the solver takes them: places, people and stock by their index. */
function numbered(
  byJob: readonly (readonly PlanOption[])[],
  request: PlanRequest,
  at: { readonly originMs: number; readonly slotMs: number; readonly stocked: readonly string[] },
): ScheduleOption[] {
  const placeAt = new Map(request.places.map(({ id }, index) => [id, index]));
  const workerAt = new Map(request.workers.map(({ id }, index) => [id, index]));
  const queueOf = ({ placeId, startMs }: Window): number => {
    const place = request.places[placeAt.get(placeId) ?? -1];
    return place ? queueAt(place, startMs) : 0;
  };
  return byJob.flatMap((options, job) =>
    options.map(({ window, workerId, worthMinor, isPlanned }): ScheduleOption => ({
      job,
      place: placeAt.get(window.placeId) ?? 0,
      startSlot: Math.round((window.startMs - at.originMs) / at.slotMs),
      // The queue is waited through first, so that hands and bay are free that much later.
      durationMinutes: (window.endMs - window.startMs) / MS_PER_MINUTE + queueOf(window),
      crew: workerAt.get(workerId) ?? 0,
      stock: at.stocked.indexOf(window.methodId) < 0 ? null : at.stocked.indexOf(window.methodId),
      value: Math.round(worthMinor + (isPlanned ? request.prices.moveMinor : 0)),
    })),
  );
}

/**
 * The plan of all cars as a schedule: each wash that is wanted is a job; each window, by each pair of hands that is free for it, an option.
 *
 * Hands go home between two washes to change cars, so that travel between places is the way back, the rest wanted there, and the way there.
 */
export function planCase(request: PlanRequest): PlanCase {
  const originMs = Math.floor(request.nowMs / MS_PER_HOUR) * MS_PER_HOUR;
  const slotMs = PLAN_SLOT_MINUTES * MS_PER_MINUTE;
  const slotCount = Math.max(1, Math.ceil((request.horizonMs - originMs) / slotMs));
  const jobs = jobsOf(request);
  const wanted: OptionsWanted = { freeFor: freeWorkers(request), which: 'foremost' };
  const byJob = jobs.map((job) => optionsOf(request, job, wanted));
  const stocked = Object.keys(request.stock);
  const inNumbers = numbered(byJob, request, { originMs, slotMs, stocked });
  const ways = request.places.map(({ travelMinutes }) => travelMinutes);
  return {
    originMs,
    jobs,
    options: byJob.flat(),
    problem: {
      slotMinutes: PLAN_SLOT_MINUTES,
      slotCount,
      jobCount: jobs.length,
      crewCount: request.workers.length,
      capacity: roomOf(request, originMs, slotCount),
      travelMinutes: ways.map((back) => ways.map((there) => back + request.restMinutes + there)),
      stock: stocked.map((methodId) => stockLeft(request, methodId)),
      options: inNumbers,
    },
  };
}
