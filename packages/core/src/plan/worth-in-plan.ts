import { MS_PER_DAY } from '../quantity/index.js';
import type { SeasonJobId } from '../vehicle/index.js';
import { failedFraction } from '../verdict/index.js';
import type { DuePeriod } from './due-periods.js';
import type { PlanCar, PlanRequest } from './plan-request.js';
import type { Window } from './window.js';
import { busyOf } from './workers.js';

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

/** What a start is worth to the plan beside what its own wash gives and takes; minor units, the mean over the members. */
export interface PlanWorth {
  /** Lateness up to the horizon that it spares; stands in place of the lateness of the window's own value. */
  readonly lateAvoidedMinor: number;
  /** What a wash of this car takes at the least: it has to be paid some day anyway. */
  readonly dueAnywayMinor: number;
  /** A promise that is kept. */
  readonly promiseMinor: number;
  /** What it loses by not being the kind that the house wants. */
  readonly otherKindMinor: number;
  /** What is lost of all this by the members in which it fails. */
  readonly failingMinor: number;
  readonly totalMinor: number;
}

/**
 * What is a window worth to the plan, against leaving the car unwashed up to the horizon?
 *
 * @returns minor units, the mean over the members; the total with the parts that the window's own value does not have
 * Model: salt kept from eating, and lateness avoided; less what the wash takes beyond what a wash of this car takes at the least, which
 * has to be paid some day anyway, though for a wash before its date the sooner the more of it; work of the season in the same visit;
 * and a promise that is kept. Where it fails in some members, only the trouble is left of it there.
 */
export function planWorth(
  window: Window,
  { period, baselineCostMinor, cadenceDays, agreed = [] }: WorthBase,
  { prices, horizonMs, places }: Pick<PlanRequest, 'prices' | 'horizonMs' | 'places'>,
): PlanWorth {
  const daysOf = (ms: number): number => Math.max(0, ms) / MS_PER_DAY;
  const lateAvoided = daysOf(horizonMs - period.dueMs) - daysOf(window.startMs - period.dueMs);
  const earlyFraction = Math.min(1, daysOf(period.dueMs - window.startMs) / cadenceDays);
  const promiseMinor = keepsPromise(window, period, places)
    ? prices.missedBookingMinor * (lacksAgreed(window, agreed) ? PROMISE_WITHOUT_EXTRAS : 1)
    : 0;
  const lateAvoidedMinor = prices.lateMinorPerDay * lateAvoided;
  const dueAnywayMinor = baselineCostMinor * (1 - earlyFraction);
  const otherKindMinor = window.isWanted ? 0 : prices.otherKindMinor;
  const whole =
    window.value.saltMinor +
    lateAvoidedMinor +
    dueAnywayMinor -
    costMinor(window) +
    window.value.seasonMinor +
    promiseMinor -
    otherKindMinor;
  const failing = window.failures ? failedFraction(window.failures) : 0;
  const failingMinor = failing * (whole + prices.conditionMinor);
  return {
    lateAvoidedMinor,
    dueAnywayMinor,
    promiseMinor,
    otherKindMinor,
    failingMinor,
    totalMinor: whole - failingMinor,
  };
}

/** Is the car ready and home again by then? */
export const keepsPromise = (
  window: Window,
  { readyByMs }: DuePeriod,
  places: PlanRequest['places'],
): boolean => readyByMs !== null && busyOf(window, places).toMs <= readyByMs;

/** What a car's windows are calculated from in one of its periods. */
export const worthBase = (car: PlanCar, period: DuePeriod): WorthBase => ({
  period,
  baselineCostMinor: baselineCostMinor(car.windows),
  cadenceDays: car.cadenceDays,
});
