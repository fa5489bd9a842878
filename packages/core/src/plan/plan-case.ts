import { MS_PER_DAY, MS_PER_HOUR, MS_PER_MINUTE } from '../quantity/index.js';
import type { BookedSpan } from '../booking/index.js';
import type { WashChoices } from '../house-rules/index.js';
import type { OpenSpan, Place } from '../place/index.js';
import type { ScheduleOption, ScheduleProblem } from '../schedule/index.js';
import type { Extras } from '../season/index.js';
import type { SeasonJobId } from '../vehicle/index.js';
import { failedFraction } from '../verdict/index.js';
import { startOfHourMs } from '../weather/index.js';
import type { Prices } from './data/prices.js';
import { type DuePeriod, duePeriods } from './due-periods.js';
import {
  busyOf,
  type Worker,
  workersMeet,
  type WorkerSlot,
  queueAt,
  type Span,
  spansMeet,
  stayOf,
  worksThrough,
} from './workers.js';
import type { VehicleMorning } from './vehicle-morning.js';
import type { Window } from './window.js';
import { extrasMinor } from './wash-value.js';

/** Slots of the schedule; starts lie on the hour, or a third or two thirds after it. */
export const PLAN_SLOT_MINUTES = 20;

/** A wash that stands in the plan. */
export interface PlannedSlot extends WorkerSlot {
  readonly vehicleId: string;
  readonly methodId: string;
  readonly workerId: string;
  /** Work of the season in the same visit. */
  readonly extras: readonly SeasonJobId[];
  /** What was chosen for this wash alone; absent: all is the shop's own. */
  readonly choices?: WashChoices;
}

/** A car in the plan: what it needs, how often, and when it can be had. */
export interface PlanCar extends VehicleMorning {
  readonly cadenceDays: number;
  /** By weekday, Monday first, in the shop's time; null: at any time. */
  readonly availability: readonly (OpenSpan | null)[] | null;
  /** What only this work of the season would add to a window of it. */
  readonly extrasOf: (window: Window, jobIds: readonly SeasonJobId[]) => Extras;
  /** A window of it with what was chosen for one wash. */
  readonly withChoices: (window: Window, choices: WashChoices) => Window;
}

export interface PlanRequest {
  readonly cars: readonly PlanCar[];
  readonly bookings: readonly BookedSpan[];
  /** For how many washes product is left, by method; a method that is not named has plenty. */
  readonly stock: Readonly<Partial<Record<string, number>>>;
  readonly places: readonly Place[];
  readonly workers: readonly Worker[];
  /** Locked or begun: they stay as they are, and the rest is planned round them. */
  readonly fixed: readonly PlannedSlot[];
  /** Planned, but free to be moved. */
  readonly movable: readonly PlannedSlot[];
  /** When hands are otherwise engaged. */
  readonly busy: readonly (Span & { readonly workerId: string | null })[];
  /** Room for one car more at a place than it has, for a time: what if. */
  readonly moreRoom?: readonly (Span & { readonly placeId: string })[];
  readonly prices: Prices;
  /** Between being back from one wash and setting out for the next. */
  readonly restMinutes: number;
  /** Largest share of members that a start may fail in. */
  readonly tolerableFraction: number;
  readonly timeZone: string;
  readonly nowMs: number;
  readonly horizonMs: number;
}

/** One way to do one wash of one car. */
export interface PlanOption {
  readonly vehicleId: string;
  readonly period: DuePeriod;
  readonly window: Window;
  readonly workerId: string;
  /** Mean over the members, with lateness avoided, minor units. */
  readonly worthMinor: number;
  /** It is what stands in the plan already. */
  readonly isPlanned: boolean;
}

export interface PlanJob {
  readonly vehicleId: string;
  readonly period: DuePeriod;
  /** Work of the season that was agreed on with it. */
  readonly agreed: readonly SeasonJobId[];
  /** Work of the season that is agreed on with another wash of the car: it is not done with this one. */
  readonly agreedElsewhere: readonly SeasonJobId[];
  /** The first wash of the car takes the work of the season that is due and not agreed on. */
  readonly takesDue: boolean;
}

/** A plan to be made: the problem in numbers, and what its numbers stand for. */
export interface PlanCase {
  readonly problem: ScheduleProblem;
  readonly options: readonly PlanOption[];
  readonly jobs: readonly PlanJob[];
  readonly originMs: number;
}

/** What a wash takes: all but the salt that it saves, its lateness and work of the season; minor units, positive. */
const costMinor = ({ value }: Window): number =>
  value.saltMinor + value.lateMinor + value.seasonMinor - value.totalMinor;

/** By the windows of a car; each of its washes asks again. */
const usuals = new WeakMap<readonly Window[], number>();

/** What a wash of this car takes at the least, as the forecast has it; such a wash has to be paid some day. */
export function baselineCostMinor(windows: readonly Window[]): number {
  const known = usuals.get(windows) ?? leastTaken(windows);
  usuals.set(windows, known);
  return known;
}

function leastTaken(windows: readonly Window[]): number {
  const whole = windows.filter(({ isWash }) => isWash);
  const wanted = whole.filter(({ isWanted }) => isWanted);
  const from = wanted.length > 0 ? wanted : whole;
  return from.length > 0 ? Math.min(...from.map(costMinor)) : 0;
}

/** What the worth of a car's windows is calculated from. */
export interface WorthBase {
  readonly period: DuePeriod;
  readonly baselineCostMinor: number;
  readonly cadenceDays: number;
  /** Work of the season that was agreed on with it. */
  readonly agreed?: readonly SeasonJobId[];
}

/** What is left of a kept promise where work that was agreed on with it is not done (judgement). */
const PROMISE_WITHOUT_EXTRAS = 0.5;

const lacksAgreed = ({ extras }: Window, agreed: readonly SeasonJobId[]): boolean =>
  agreed.some((id) => !extras.jobIds.includes(id));

/**
 * What is a window worth to the plan, against leaving the car unwashed up to the horizon?
 *
 * @returns minor units, the mean over the members
 * Model: salt kept from eating, and lateness avoided; less what the wash takes beyond what a wash of this car takes at the least, which
 * has to be paid some day anyway, though for a wash before its date the sooner the more of it; work of the season in the same visit;
 * and a promise that is kept. Where it fails in some members, only the trouble is left of it there.
 */
export function worthInPlan(
  window: Window,
  { period, baselineCostMinor, cadenceDays, agreed = [] }: WorthBase,
  { prices, horizonMs, places }: Pick<PlanRequest, 'prices' | 'horizonMs' | 'places'>,
): number {
  const daysOf = (ms: number): number => Math.max(0, ms) / MS_PER_DAY;
  const lateAvoided = daysOf(horizonMs - period.dueMs) - daysOf(window.startMs - period.dueMs);
  const earlyFraction = Math.min(1, daysOf(period.dueMs - window.startMs) / cadenceDays);
  const promiseMinor = keepsPromise(window, period, places)
    ? prices.missedBookingMinor * (lacksAgreed(window, agreed) ? PROMISE_WITHOUT_EXTRAS : 1)
    : 0;
  const whole =
    window.value.saltMinor +
    prices.lateMinorPerDay * lateAvoided +
    baselineCostMinor * (1 - earlyFraction) -
    costMinor(window) +
    window.value.seasonMinor +
    promiseMinor -
    (window.isWanted ? 0 : prices.otherKindMinor);
  const failing = window.failures ? failedFraction(window.failures) : 0;
  return (1 - failing) * whole - failing * prices.conditionMinor;
}

/** Is the car ready and home again by then? */
const keepsPromise = (window: Window, { readyByMs }: DuePeriod, places: PlanRequest['places']): boolean =>
  readyByMs !== null && busyOf(window, places).toMs <= readyByMs;

/** What it takes to price a window again when its work of the season changes. */
export type WorkCase = Pick<PlanCar, 'extrasOf' | 'withChoices'> & Pick<PlanRequest, 'prices'>;

export const workCase = (
  { extrasOf, withChoices }: PlanCar,
  { prices }: Pick<PlanRequest, 'prices'>,
): WorkCase => ({ extrasOf, withChoices, prices });

/**
 * The same start with only some of its work of the season.
 *
 * @param jobIds those that stay, if they go with this start at all
 * @returns its end, minutes and worth as they are with that work alone; paint that a strip leaves bare is paid for unless it is coated again
 */
export function withExtras(
  window: Window,
  jobIds: readonly SeasonJobId[],
  { extrasOf, prices }: WorkCase,
): Window {
  const before = window.extras;
  const left = before.jobIds.filter((id) => jobIds.includes(id));
  if (left.length === before.jobIds.length) return window;
  const extras = extrasOf(window, left);
  const { value } = window;
  const seasonMinor = extrasMinor(extras, prices, window.coldMinorPerMinute);
  const wasCoated = before.jobIds.includes('re-coat') && !extras.jobIds.includes('re-coat');
  const bareMinor = window.leavesBare && wasCoated ? prices.bareMinor : 0;
  return {
    ...window,
    endMs: window.endMs - (before.minutes - extras.minutes) * MS_PER_MINUTE,
    extras,
    value: {
      ...value,
      seasonMinor,
      paintMinor: value.paintMinor - bareMinor,
      totalMinor: value.totalMinor - value.seasonMinor + seasonMinor - bareMinor,
    },
  };
}

/** The same start as a plain wash. */
export const withoutExtras = (window: Window, shop: WorkCase): Window => withExtras(window, [], shop);

const sameStart = (window: Window, slot: PlannedSlot): boolean =>
  window.placeId === slot.placeId && window.methodId === slot.methodId && window.startMs === slot.startMs;

/** A start of a planned wash's own method with what was chosen for that wash; any other as it is. */
function withOwnChoices(
  window: Window,
  { methodId, choices }: Pick<PlannedSlot, 'methodId' | 'choices'>,
  shop: WorkCase,
): Window {
  return choices && methodId === window.methodId ? shop.withChoices(window, choices) : window;
}

/** The window of a planned wash with its own work of the season: its own start, or that of its hour begun when it is planned. */
export function windowAt(windows: readonly Window[], slot: PlannedSlot, shop: WorkCase): Window | undefined {
  const there = windows.filter(
    ({ placeId, methodId, startMs }) =>
      placeId === slot.placeId &&
      methodId === slot.methodId &&
      startMs <= slot.startMs &&
      startOfHourMs(startMs) === startOfHourMs(slot.startMs),
  );
  const found = there.at(-1);
  const hour = found && withExtras(withOwnChoices(found, slot, shop), slot.extras, shop);
  const laterMs = slot.startMs - (hour?.startMs ?? 0);
  return hour && { ...hour, startMs: slot.startMs, endMs: hour.endMs + laterMs };
}

/** Windows of planned washes that do not begin when a window does. */
const plannedWindows = (
  windows: readonly Window[],
  planned: readonly PlannedSlot[],
  shop: WorkCase,
): Window[] =>
  planned
    .filter((slot) => !windows.some((window) => sameStart(window, slot)))
    .flatMap((slot) => windowAt(windows, slot, shop) ?? []);

/** When a span of work can be done by whom; asked for the same spans by many cars. */
function freeWorkers(request: PlanRequest): (span: Span) => readonly Worker[] {
  const known = new Map<string, readonly Worker[]>();
  return (span) => {
    const key = `${span.fromMs} ${span.toMs}`;
    const before = known.get(key);
    if (before) return before;
    const free = request.workers.filter((worker) => {
      const engaged = request.busy.filter(({ workerId }) => workerId === null || workerId === worker.id);
      const own = request.fixed.filter(({ workerId }) => workerId === worker.id);
      return (
        worksThrough(worker, span, request.timeZone) &&
        !engaged.some((other) => spansMeet(span, other)) &&
        !own.some((slot) => workersMeet(span, busyOf(slot, request.places), request.restMinutes))
      );
    });
    known.set(key, free);
    return free;
  };
}

/** What a car's windows are calculated from in one of its periods. */
export const worthBase = (car: PlanCar, period: DuePeriod): WorthBase => ({
  period,
  baselineCostMinor: baselineCostMinor(car.windows),
  cadenceDays: car.cadenceDays,
});

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

/** Washes of a place that stand fixed, each from coming to leaving. */
const fixedAt = ({ fixed, places }: PlanRequest, placeId: string): Span[] =>
  fixed.filter((slot) => slot.placeId === placeId).map((slot) => stayOf(slot, places));

/** Is there room for one car more beside the washes that stand fixed? */
export function hasRoom(request: PlanRequest, window: Window): boolean {
  const stay = stayOf(window, request.places);
  return mostAtOnce(fixedAt(request, window.placeId), stay) < roomAt(request, window.placeId, stay);
}

/** Cars that a place has room for over the whole of a span. */
export function roomAt(
  { places, moreRoom = [] }: PlanRequest,
  placeId: string,
  { fromMs, toMs }: Span,
): number {
  const own = places.find(({ id }) => id === placeId)?.carsAtOnce ?? 1;
  const more = moreRoom.filter(
    (room) => room.placeId === placeId && room.fromMs <= fromMs && room.toMs >= toMs,
  );
  return own + more.length;
}

/** How many of these spans overlap at the busiest instant within a span. */
export function mostAtOnce(spans: readonly Span[], within: Span): number {
  const touching = spans.filter((span) => spansMeet(span, within));
  // The busiest instant is the beginning of one of them, or of the span itself.
  const begins = touching.map(({ fromMs }) => Math.max(fromMs, within.fromMs));
  return begins.reduce(
    (most, atMs) =>
      Math.max(most, touching.filter(({ fromMs, toMs }) => fromMs <= atMs && atMs < toMs).length),
    0,
  );
}

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
    const worthMinor = worthInPlan(window, base, request);
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

/** Room at each place and slot, less what stands fixed there. */
function roomOf(request: PlanRequest, originMs: number, slotCount: number): number[][] {
  const slotMs = PLAN_SLOT_MINUTES * MS_PER_MINUTE;
  const more = request.moreRoom ?? [];
  return request.places.map(({ id, carsAtOnce }) => {
    const room = Array<number>(slotCount).fill(carsAtOnce);
    const change = (fromMs: number, toMs: number, by: number): void => {
      const from = Math.max(0, Math.floor((fromMs - originMs) / slotMs));
      const to = Math.min(slotCount, Math.ceil((toMs - originMs) / slotMs));
      for (let at = from; at < to; at += 1) room[at] = Math.max(0, (room[at] ?? 0) + by);
    };
    for (const { placeId, fromMs, toMs } of more) if (placeId === id) change(fromMs, toMs, 1);
    for (const { fromMs, toMs } of fixedAt(request, id)) change(fromMs, toMs, -1);
    return room;
  });
}

/** Uses of a method that are left once the washes that stand fixed are done. */
function stockLeft({ stock, fixed }: PlanRequest, methodId: string): number {
  const taken = fixed.filter((slot) => slot.methodId === methodId).length;
  return Math.max(0, (stock[methodId] ?? 0) - taken);
}

/** Does a wash that stands fixed keep a promise: begun when the car is there, by the method agreed on, and home again in time? */
export const keepsBooking = (
  slot: Pick<PlannedSlot, 'vehicleId' | 'methodId'> & WorkerSlot,
  booking: Pick<BookedSpan, 'vehicleId' | 'fromMs' | 'readyByMs' | 'methodId'>,
  places: PlanRequest['places'],
): boolean =>
  slot.vehicleId === booking.vehicleId &&
  slot.startMs >= booking.fromMs &&
  busyOf(slot, places).toMs <= booking.readyByMs &&
  (booking.methodId === null || booking.methodId === slot.methodId);

/** Bookings of a car that no fixed wash keeps, in order. */
function openBookings({ bookings, fixed, nowMs, places }: PlanRequest, vehicleId: string): BookedSpan[] {
  return bookings
    .filter((booking) => booking.vehicleId === vehicleId && booking.readyByMs > nowMs)
    .filter((booking) => !fixed.some((slot) => keepsBooking(slot, booking, places)))
    .sort((a, b) => a.readyByMs - b.readyByMs);
}

/** Washes that a car needs: those that are promised, and those of its cadence that no promise and no fixed wash comes near. */
function jobsOf(request: PlanRequest): PlanJob[] {
  return request.cars.flatMap((car) => {
    const { vehicleId, due, cadenceDays } = car;
    const booked = openBookings(request, vehicleId).filter(({ fromMs }) => fromMs < request.horizonMs);
    const promised = booked.map(({ id, fromMs, readyByMs, methodId }, i): DuePeriod => ({
      index: -1 - i,
      dueMs: due.dueMs,
      fromMs: Math.max(request.nowMs, fromMs),
      toMs: Math.min(request.horizonMs, readyByMs),
      bookingId: id,
      readyByMs,
      methodId,
    }));
    const fixed = request.fixed.filter((slot) => slot.vehicleId === vehicleId);
    const standing = [
      ...fixed.map((slot) => ({ fromMs: slot.startMs, toMs: slot.endMs })),
      ...booked.map(({ fromMs, readyByMs }) => ({ fromMs, toMs: readyByMs })),
    ];
    const own = duePeriods({ dueMs: due.dueMs, cadenceDays }, request, standing);
    const periods = [...promised, ...own];
    const first = periods.reduce<DuePeriod | null>(
      (best, period) => (best && comesFirst(best, period) ? best : period),
      null,
    );
    return periods.map((period): PlanJob => {
      const agreed = booked.find(({ id }) => id === period.bookingId)?.extras ?? [];
      const agreedElsewhere = booked.flatMap(({ id, extras }) => (id === period.bookingId ? [] : extras));
      return { vehicleId, period, agreed, agreedElsewhere, takesDue: period === first };
    });
  });
}

/** Of two washes of a car, the one that is wanted by the earlier end. */
const comesFirst = (a: DuePeriod, b: DuePeriod): boolean =>
  a.toMs < b.toMs || (a.toMs === b.toMs && a.index < b.index);

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
  const placeAt = new Map(request.places.map(({ id }, index) => [id, index]));
  const workerAt = new Map(request.workers.map(({ id }, index) => [id, index]));
  const stocked = Object.keys(request.stock);
  const queueOf = ({ placeId, startMs }: Window): number => {
    const place = request.places.find(({ id }) => id === placeId);
    return place ? queueAt(place, startMs) : 0;
  };
  const inNumbers = byJob.flatMap((options, job) =>
    options.map(({ window, workerId, worthMinor, isPlanned }): ScheduleOption => ({
      job,
      place: placeAt.get(window.placeId) ?? 0,
      startSlot: Math.round((window.startMs - originMs) / slotMs),
      // The queue is waited through first, so that hands and bay are free that much later.
      durationMinutes: (window.endMs - window.startMs) / MS_PER_MINUTE + queueOf(window),
      crew: workerAt.get(workerId) ?? 0,
      stock: stocked.indexOf(window.methodId) < 0 ? null : stocked.indexOf(window.methodId),
      value: Math.round(worthMinor + (isPlanned ? request.prices.moveMinor : 0)),
    })),
  );
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
