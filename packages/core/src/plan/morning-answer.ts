import type { Fallback, PlanAnswer, PricedOption, UnplannedReason } from './plan-made.js';
import type { NearWay } from '../verdict/index.js';
import type { VehicleMorning } from './vehicle-morning.js';
import type { Window } from './window.js';
import type { PlanWorth } from './worth-in-plan.js';

export interface VehicleAnswer extends Omit<VehicleMorning, 'windows'> {
  readonly standing: 'due' | 'soon' | 'not-due' | 'no-window';
  /** The window that the plan gives it; null if it is not due or the plan has none for it. */
  readonly best: Window | null;
  /** What that window is worth to the plan; null without one. */
  readonly worth: PlanWorth | null;
  readonly workerId: string | null;
  /** Next best, with what the plan would lose by each. */
  readonly alternatives: readonly PricedOption[];
  readonly fallback: Fallback | null;
  /** Why it is due and has no window. */
  readonly reason: UnplannedReason | null;
  /** What comes nearest to a wash where it is due and has none; else empty. */
  readonly nearest: readonly NearWay[];
}

const MOST_NEAREST = 3;

/** The worthiest start of each place and method, soonest first; where there is none, what comes nearest to one. */
function nearestOf(windows: readonly Window[], misses: readonly NearWay[]): readonly NearWay[] {
  const best = windows.filter(
    ({ placeId, methodId, isWash }, i) =>
      isWash && windows.findIndex((one) => one.placeId === placeId && one.methodId === methodId) === i,
  );
  if (best.length === 0) return misses;
  return best
    .slice(0, MOST_NEAREST)
    .toSorted((a, b) => a.startMs - b.startMs)
    .map(({ placeId, methodId, startMs, wayId, verdict, limiting }) => ({
      placeId,
      methodId,
      startMs,
      wayId,
      verdict,
      limiting,
    }));
}

const SOON_DAYS = 2;

function standingOf({ due }: VehicleMorning, horizonMs: number): 'due' | 'soon' | 'not-due' {
  if (due.daysLate >= 0) return 'due';
  return due.daysLate > -SOON_DAYS && due.dueMs < horizonMs ? 'soon' : 'not-due';
}

/**
 * The morning's answer for each car, out of the one plan for all of them.
 *
 * @param mornings one for each vehicle
 * @returns the latest first
 */
export function morningAnswers(
  mornings: readonly VehicleMorning[],
  plan: PlanAnswer,
  horizonMs: number,
): VehicleAnswer[] {
  return [...mornings]
    .sort((a, b) => b.due.daysLate - a.due.daysLate)
    .map(({ windows, ...morning }): VehicleAnswer => {
      const ofCar = ({ vehicleId }: { vehicleId: string }): boolean => vehicleId === morning.vehicleId;
      const promised = [...plan.choices, ...plan.unplanned].some(
        (one) => ofCar(one) && one.period.bookingId !== null,
      );
      const standing = promised ? 'due' : standingOf({ windows: [], ...morning }, horizonMs);
      const choice = standing === 'not-due' ? undefined : plan.choices.find(ofCar);
      const isWanting = standing !== 'not-due' && !choice;
      return {
        ...morning,
        standing: isWanting ? 'no-window' : standing,
        best: choice?.window ?? null,
        worth: choice?.worth ?? null,
        workerId: choice?.workerId ?? null,
        alternatives: choice?.alternatives ?? [],
        fallback: choice?.fallback ?? null,
        nearest: isWanting ? nearestOf(windows, morning.nearest) : [],
        reason: isWanting ? (plan.unplanned.find(ofCar)?.reason ?? null) : null,
      };
    });
}
