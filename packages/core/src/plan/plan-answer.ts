import { MS_PER_HOUR } from '../quantity/index.js';
import { countBits, failedMask } from '../verdict/index.js';
import type { DuePeriod } from './due-periods.js';
import { canBeHad } from './plan-case.js';
import { keepsBooking } from './plan-jobs.js';
import type { PlanCase, PlanJob, PlannedSlot, PlanOption, PlanRequest } from './plan-request.js';
import { hasRoom } from './plan-room.js';
import { windowAt, withoutExtras, workCase } from './planned-window.js';
import { planWorth, worthBase } from './worth-in-plan.js';
import { Around, isSameJob } from './around-plan.js';
import type {
  PricedOption,
  Fallback,
  PlanChoice,
  UnplannedReason,
  Unplanned,
  FixedState,
  PlanAnswer,
} from './plan-made.js';

const ALTERNATIVES = 3;

/** Starts of one place and method nearer than this are the same choice. */
const APART_MS = 4 * MS_PER_HOUR;

function alternativesTo(choice: PlanOption, around: Around): PricedOption[] {
  const priced = around
    .of(choice.vehicleId, choice.period)
    .filter((option) => option !== choice)
    .map((option) => ({ option, ...around.costMinor(option, choice.worthMinor) }))
    .sort((a, b) => a.costMinor - b.costMinor);
  const kept: PlanOption[] = [choice];
  return priced
    .filter(({ option }) => {
      const isNew = kept.every(
        ({ window }) =>
          window.placeId !== option.window.placeId ||
          window.methodId !== option.window.methodId ||
          Math.abs(window.startMs - option.window.startMs) >= APART_MS,
      );
      if (isNew) kept.push(option);
      return isNew;
    })
    .slice(0, ALTERNATIVES)
    .map(({ option, costMinor, pushesOut }) => ({
      window: option.window,
      workerId: option.workerId,
      costMinor,
      pushesOut,
    }));
}

/** The later window that is worth most over the members in which the first one fails, and that is free in this plan. */
function fallbackOf(choice: PlanOption, around: Around): Fallback | null {
  const failures = choice.window.failures;
  const first = failures ? failedMask(failures) : 0;
  const later = around
    .of(choice.vehicleId, choice.period)
    .filter(({ window }) => window.startMs >= choice.window.endMs)
    .filter((option) => around.inTheWay(option).length === 0)
    .map((option) => {
      const own = option.window.failures ? failedMask(option.window.failures) : 0;
      const saves = first === 0 ? 1 : countBits(first & ~own) / countBits(first);
      return { option, saves };
    })
    .sort((a, b) => b.saves * b.option.worthMinor - a.saves * a.option.worthMinor);
  const [best] = later;
  if (!best || best.saves === 0) return null;
  return { window: best.option.window, workerId: best.option.workerId, savesFraction: best.saves };
}

function reasonFor(
  vehicleId: string,
  period: DuePeriod,
  { request, around }: { readonly request: PlanRequest; readonly around: Around },
): UnplannedReason {
  const car = request.cars.find((candidate) => candidate.vehicleId === vehicleId);
  const windows = (car?.windows ?? []).filter(
    ({ startMs, isWash }) => isWash && startMs >= period.fromMs && startMs < period.toMs,
  );
  if (windows.length === 0) return { kind: 'no-window', limiting: car?.refusals[0]?.limiting ?? null };
  const shares = windows.map(({ blockedFraction }) => blockedFraction ?? 0);
  const failingFraction = Math.min(...shares);
  if (failingFraction > request.tolerableFraction) return { kind: 'members', failingFraction };
  const there = car ? windows.map((window) => withoutExtras(window, workCase(car, request))) : windows;
  if (car && there.every((window) => !canBeHad(car, window, request))) return { kind: 'car-away' };
  if (there.every((window) => !hasRoom(request, window))) return { kind: 'room' };
  const options = around.of(vehicleId, period);
  if (options.length === 0) return { kind: 'workers' };
  const [usedUp] = options;
  if (usedUp && options.every(({ window }) => around.stockLeft(window.methodId) <= 0))
    return { kind: 'no-product', methodId: usedUp.window.methodId };
  const bestMinor = Math.max(...options.map(({ worthMinor }) => worthMinor));
  if (bestMinor <= 0) return { kind: 'not-worth', bestMinor };
  return {
    kind: 'pushed-out',
    costMinor: Math.min(...options.map((option) => around.costMinor(option, 0).costMinor)),
  };
}

/** A wash that stays where it is, with what it is worth there now. */
function fixedState(slot: PlannedSlot, request: PlanRequest): FixedState {
  const car = request.cars.find(({ vehicleId }) => vehicleId === slot.vehicleId);
  const window = car ? (windowAt(car.windows, slot, workCase(car, request)) ?? null) : null;
  const kept = request.bookings.find((booking) => keepsBooking(slot, booking, request.places));
  const period = {
    index: 0,
    dueMs: car?.due.dueMs ?? 0,
    fromMs: request.nowMs,
    toMs: request.horizonMs,
    bookingId: kept?.id ?? null,
    readyByMs: kept?.readyByMs ?? null,
    methodId: null,
  };
  const agreed = kept?.extras ?? [];
  const worth = car && window && planWorth(window, { ...worthBase(car, period), agreed }, request);
  return { slot, window, worthMinor: worth?.totalMinor ?? null };
}

/** Why a wash that is due is not in the plan, and from when on that hurts. */
function unplannedOf({ vehicleId, period }: PlanJob, request: PlanRequest, around: Around): Unplanned {
  const due = request.cars.find((car) => car.vehicleId === vehicleId)?.due;
  const reason = reasonFor(vehicleId, period, { request, around });
  const hurtsMs = period.readyByMs ?? Math.min(period.dueMs, due?.deadlineMs ?? Infinity);
  return { vehicleId, period, reason, hurtsMs };
}

/**
 * A schedule as people read it: what is done when and what else could be, what to fall back on, and why the rest is left.
 *
 * @param chosen option indexes of the case
 */
export function planAnswer(request: PlanRequest, made: PlanCase, chosen: readonly number[]): PlanAnswer {
  const around = new Around(request, made, chosen);
  const choices = around.options.flatMap((choice): PlanChoice[] => {
    const { vehicleId, period, window, workerId } = choice;
    const car = request.cars.find((one) => one.vehicleId === vehicleId);
    if (!car) return [];
    const agreed = made.jobs.find((candidate) => isSameJob(candidate, choice))?.agreed ?? [];
    const fallback = fallbackOf(choice, around);
    return [
      {
        vehicleId,
        period,
        window,
        workerId,
        worth: planWorth(window, { ...worthBase(car, period), agreed }, request),
        missingExtras: agreed.filter((id) => !window.extras.jobIds.includes(id)),
        fallback,
        alternatives: alternativesTo(choice, around),
      },
    ];
  });
  const unplanned = made.jobs
    .filter((job) => !around.options.some((option) => isSameJob(option, job)))
    .map((job) => unplannedOf(job, request, around));
  const fixed = request.fixed.map((slot) => fixedState(slot, request));
  const kept = around.options.filter(({ isPlanned }) => isPlanned).length;
  return { choices, fixed, unplanned, steadyMinor: kept * request.prices.moveMinor };
}
