import type { Fallback, PlanAnswer, PricedOption, UnplannedReason } from './plan-answer.js';
import type { VehicleMorning, Window } from './vehicle-morning.js';

export interface VehicleAnswer extends Omit<VehicleMorning, 'windows'> {
  readonly standing: 'due' | 'soon' | 'not-due' | 'no-window';
  /** The window that the plan gives it; null if it is not due or the plan has none for it. */
  readonly best: Window | null;
  readonly handsId: string | null;
  /** Next best, with what the plan would lose by each. */
  readonly alternatives: readonly PricedOption[];
  readonly fallback: Fallback | null;
  /** Why it is due and has no window. */
  readonly reason: UnplannedReason | null;
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
    .map(({ windows: _windows, ...morning }): VehicleAnswer => {
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
        handsId: choice?.handsId ?? null,
        alternatives: choice?.alternatives ?? [],
        fallback: choice?.fallback ?? null,
        reason: isWanting ? (plan.unplanned.find(ofCar)?.reason ?? null) : null,
      };
    });
}
