import { type Car, type Hold, inOneGo, pick, type SharedStep, worked } from './hands.js';
import type { RunStep } from './run-step.js';

export interface SideBySide {
  readonly steps: readonly SharedStep[];
  readonly minutes: number;
}

/**
 * In which order does one pair of hands wash two cars that stand side by side?
 *
 * @param first steps of the one car, in their order
 * @param second steps of the other
 * @param hold when the hands stay with a car
 * @returns every step of both, each car's own order kept: while a product works on one the other is worked on, and what has lain
 * longest comes off first; a paid run of a meter is never left for the other car; minutes in all
 * Model: list scheduling by readiness, then by the latest end of what lies on the car (judgement); dwell as the sheets have it
 */
export function sideBySide(
  first: readonly RunStep[],
  second: readonly RunStep[],
  hold: Hold = 'meter',
): SideBySide {
  let cars: readonly [Car, Car] = [
    { left: first, lying: [], isWet: false },
    { left: second, lying: [], isWet: false },
  ];
  const steps: SharedStep[] = [];
  let now = 0;
  while (cars[0].left.length + cars[1].left.length > 0) {
    const which = pick(cars, now, hold);
    for (let go = inOneGo(cars[which], hold); go > 0; go -= 1) {
      const did = worked(cars[which], now);
      if (!did) break;
      steps.push({ car: which, ...did.shared });
      cars = which === 0 ? [did.car, cars[1]] : [cars[0], did.car];
      now = did.shared.fromMinute + did.shared.minutes;
    }
  }
  return { steps, minutes: now };
}
