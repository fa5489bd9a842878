import { MS_PER_HOUR } from '../quantity/index.js';
import type { Finding } from '../rules/index.js';
import { countBits, failedMask } from '../verdict/index.js';
import type { DuePeriod } from './due-periods.js';
import type { SeasonJobId } from '../vehicle/index.js';
import { busyOf, workersMeet, type Span, spansMeet, stayOf } from './workers.js';
import { canBeHad } from './plan-case.js';
import { keepsBooking } from './plan-jobs.js';
import type { PlanCase, PlannedSlot, PlanOption, PlanRequest } from './plan-request.js';
import { hasRoom, mostAtOnce, roomAt } from './plan-room.js';
import { windowAt, withoutExtras, workCase } from './planned-window.js';
import { type PlanWorth, planWorth, worthBase } from './worth-in-plan.js';
import type { Window } from './window.js';

/** Another way to do a wash, and what the plan would lose by it, minor units. */
export interface PricedOption {
  readonly window: Window;
  readonly workerId: string;
  readonly costMinor: number;
  /** Cars whose planned washes would have to give way. */
  readonly pushesOut: readonly string[];
}

/** What to turn to if the weather closes the window. */
export interface Fallback {
  readonly window: Window;
  readonly workerId: string;
  /** Share of the members in which the first window fails and this one holds; 1 where the first fails in none. */
  readonly savesFraction: number;
}

export interface PlanChoice {
  readonly vehicleId: string;
  readonly period: DuePeriod;
  readonly window: Window;
  readonly workerId: string;
  readonly worth: PlanWorth;
  /** Work of the season that was agreed on with it and does not go at that start. */
  readonly missingExtras: readonly SeasonJobId[];
  readonly fallback: Fallback | null;
  readonly alternatives: readonly PricedOption[];
}

/** Why a wash that is wanted is not in the plan. */
export type UnplannedReason =
  | { readonly kind: 'no-window'; readonly limiting: Finding | null }
  | { readonly kind: 'members'; readonly failingFraction: number }
  | { readonly kind: 'workers' }
  /** Washes that stay where they are fill the place. */
  | { readonly kind: 'room' }
  | { readonly kind: 'car-away' }
  | { readonly kind: 'no-product'; readonly methodId: string }
  | { readonly kind: 'not-worth'; readonly bestMinor: number }
  | { readonly kind: 'pushed-out'; readonly costMinor: number };

export interface Unplanned {
  readonly vehicleId: string;
  readonly period: DuePeriod;
  readonly reason: UnplannedReason;
  /** From then on it is late, or may not wait any longer. */
  readonly hurtsMs: number;
}

/** A wash that stays where it is, as the weather has it now. */
export interface FixedState {
  readonly slot: PlannedSlot;
  /** null: it does not go there any more, or the forecast does not reach. */
  readonly window: Window | null;
  readonly worthMinor: number | null;
}

export interface PlanAnswer {
  readonly choices: readonly PlanChoice[];
  readonly fixed: readonly FixedState[];
  readonly unplanned: readonly Unplanned[];
  /** What the schedule counts for leaving planned washes where they are, minor units; no part of what they are worth. */
  readonly steadyMinor: number;
}

interface Chosen {
  readonly option: PlanOption;
  /** When its hands are busy with it, and when its place is. */
  readonly busy: Span;
  readonly there: Span;
}

const jobKey = ({ vehicleId, period }: Pick<PlanOption, 'vehicleId' | 'period'>): string =>
  `${period.index} ${vehicleId}`;

/** What the choices of a plan are weighed against: options in the way, and room. */
class Around {
  readonly options: readonly PlanOption[];
  private readonly chosen: readonly Chosen[];
  private readonly ofJob = new Map<string, PlanOption[]>();

  constructor(
    private readonly request: PlanRequest,
    made: PlanCase,
    chosen: readonly number[],
  ) {
    this.options = chosen.flatMap((index) => made.options[index] ?? []);
    this.chosen = this.options.map((option) => ({
      option,
      busy: busyOf(option.window, request.places),
      there: stayOf(option.window, request.places),
    }));
    for (const option of made.options) {
      const known = this.ofJob.get(jobKey(option));
      if (known) known.push(option);
      else this.ofJob.set(jobKey(option), [option]);
    }
  }

  /** Chosen washes of other jobs that could not stand beside an option: those of its hands, and the least of those that fill its place. */
  inTheWay(option: PlanOption): PlanOption[] {
    const { places, restMinutes } = this.request;
    const { placeId } = option.window;
    const busy = busyOf(option.window, places);
    const stay = stayOf(option.window, places);
    const out: PlanOption[] = [];
    const beside: Chosen[] = [];
    for (const other of this.chosen) {
      if (isSameJob(other.option, option)) continue;
      if (other.option.workerId === option.workerId && workersMeet(busy, other.busy, restMinutes))
        out.push(other.option);
      else if (other.option.window.placeId === placeId && spansMeet(stay, other.there)) beside.push(other);
    }
    if (beside.length === 0) return out;
    const room = roomAt(this.request, placeId, stay) - 1;
    const fixed = this.request.fixed.filter((slot) => slot.placeId === placeId);
    const fixedSpans = fixed.map((slot) => stayOf(slot, places));
    beside.sort((a, b) => b.option.worthMinor - a.option.worthMinor);
    const standing = [...fixedSpans];
    for (const other of beside) {
      if (mostAtOnce([...standing, other.there], stay) <= room) standing.push(other.there);
      else out.push(other.option);
    }
    return out;
  }

  /** What the plan would lose by taking an option instead of what it has for that job. */
  costMinor(option: PlanOption, insteadMinor: number): { costMinor: number; pushesOut: string[] } {
    const out = this.inTheWay(option);
    const lost = out.reduce((sum, { worthMinor }) => sum + worthMinor, 0);
    return {
      costMinor: insteadMinor - option.worthMinor + lost,
      pushesOut: [...new Set(out.map(({ vehicleId }) => vehicleId))],
    };
  }

  /** Washes of a method for which product is left beside this plan. */
  stockLeft(methodId: string): number {
    const { stock, fixed } = this.request;
    const uses = [...fixed, ...this.options.map(({ window }) => window)];
    return (stock[methodId] ?? Infinity) - uses.filter((one) => one.methodId === methodId).length;
  }

  of(vehicleId: string, period: DuePeriod): readonly PlanOption[] {
    return this.ofJob.get(jobKey({ vehicleId, period })) ?? [];
  }
}

const isSameJob = (
  a: Pick<PlanOption, 'vehicleId' | 'period'>,
  b: Pick<PlanOption, 'vehicleId' | 'period'>,
): boolean => a.vehicleId === b.vehicleId && a.period.index === b.period.index;

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
    .map(({ vehicleId, period }): Unplanned => {
      const due = request.cars.find((car) => car.vehicleId === vehicleId)?.due;
      const reason = reasonFor(vehicleId, period, { request, around });
      const hurtsMs = period.readyByMs ?? Math.min(period.dueMs, due?.deadlineMs ?? Infinity);
      return { vehicleId, period, reason, hurtsMs };
    });
  const fixed = request.fixed.map((slot): FixedState => {
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
  });
  const kept = around.options.filter(({ isPlanned }) => isPlanned).length;
  return { choices, fixed, unplanned, steadyMinor: kept * request.prices.moveMinor };
}
