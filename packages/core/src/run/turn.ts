import { type Car, type Hold, isHeld, pick, wetAfter } from './hands.js';
import type { RunStep } from './run-step.js';

/** One of the two as it stands now. */
export interface CarNow {
  /** In their order; those that were left out are not among them. */
  readonly steps: readonly RunStep[];
  /** How many of them are done. */
  readonly doneCount: number;
  /** One of them is being done. */
  readonly isAtWork: boolean;
  /** What lies on it: minutes from now until it has worked, and until it has to be off. */
  readonly lying: readonly { readonly step: RunStep; readonly earliest: number; readonly latest: number }[];
}

/** Which car is next, and why. */
export interface Turn {
  readonly car: 0 | 1;
  /** It is held until this is over; else whichever is due first. */
  readonly isHeld: boolean;
  /** Minutes until what lies on the other has to come off; null: nothing does. */
  readonly otherDueMinutes: number | null;
}

/**
 * Which of two cars do the hands go to now?
 *
 * @param hold as the order of both was made
 * @returns null: both are done
 */
export function turnOf(cars: readonly [CarNow, CarNow], hold: Hold): Turn | null {
  const [a, b] = cars.map(({ steps, doneCount, lying }): Car => {
    const isWet = steps.slice(0, doneCount).reduce(wetAfter, false);
    return { left: steps.slice(doneCount), lying, isWet };
  });
  if (!a || !b || a.left.length + b.left.length === 0) return null;
  const stays = cars.findIndex(({ steps, doneCount, isAtWork }, i) => {
    const last = steps[doneCount - 1];
    const { isWet = false } = [a, b][i] ?? {};
    return isAtWork || (last !== undefined && isHeld({ step: last, next: steps[doneCount] }, isWet, hold));
  });
  const car = stays < 0 ? pick([a, b], 0, hold) : stays === 0 ? 0 : 1;
  const due = Math.min(Infinity, ...(car === 0 ? b : a).lying.map(({ latest }) => latest));
  return { car, isHeld: stays >= 0, otherDueMinutes: due === Infinity ? null : due };
}
