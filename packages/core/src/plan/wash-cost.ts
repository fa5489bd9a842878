import { meter, type MeterPlan } from '../meter/index.js';
import type { Method, WashStep } from '../method/index.js';
import type { Place } from '../place/index.js';

/** Money of one wash, minor units. */
export interface WashCost {
  readonly visitMinor: number;
  /** Paid seconds, stopped where that is cheapest. */
  readonly meterMinor: number;
  readonly productMinor: number;
  readonly totalMinor: number;
  /** How the meter is best run; null where there is none or nothing runs on it. */
  readonly meter: MeterPlan | null;
}

/** Seconds on the meter in the order of the steps, and the unpaid seconds between them. */
export function meterRuns(steps: readonly Pick<WashStep, 'minutes' | 'onMeter'>[]): {
  stepSeconds: number[];
  gapSeconds: number[];
} {
  const stepSeconds: number[] = [];
  const gapSeconds: number[] = [];
  let gap = 0;
  let running = false;
  for (const { minutes, onMeter } of steps) {
    if (onMeter && running) stepSeconds[stepSeconds.length - 1] = (stepSeconds.at(-1) ?? 0) + minutes * 60;
    else if (onMeter) {
      if (stepSeconds.length > 0) gapSeconds.push(gap);
      stepSeconds.push(minutes * 60);
    } else if (running) gap = minutes * 60;
    else gap += minutes * 60;
    running = onMeter;
  }
  return { stepSeconds, gapSeconds };
}

/** What of a place decides the price. */
export type CostPlace = Pick<Place, 'methods' | 'tariff' | 'finish'>;

/** A method at a place is asked for at each of its starts. */
const costs = new WeakMap<Method, WeakMap<CostPlace, WashCost>>();

/**
 * What does this wash cost here?
 *
 * @returns the price of the visit, with that of the second place where the wash ends in one, the cheapest way to run the meter over the method's paid steps, and product
 */
export function washCost(place: CostPlace, method: Method): WashCost {
  const ofMethod = costs.get(method) ?? new WeakMap<CostPlace, WashCost>();
  costs.set(method, ofMethod);
  const cost = ofMethod.get(place) ?? costOf(place, method);
  ofMethod.set(place, cost);
  return cost;
}

function costOf(place: CostPlace, method: Method): WashCost {
  const hereMinor = place.methods.find(({ methodId }) => methodId === method.id)?.priceMinor ?? 0;
  const endsThere = method.steps.some(({ isElsewhere }) => isElsewhere);
  const visitMinor = hereMinor + (endsThere ? (place.finish?.priceMinor ?? 0) : 0);
  const runs = meterRuns(method.steps);
  const plan = place.tariff && runs.stepSeconds.length > 0 ? meter({ ...place.tariff, ...runs }) : null;
  const meterMinor = plan?.cheapestMinor ?? 0;
  const { productMinor } = method;
  return {
    visitMinor,
    meterMinor,
    productMinor,
    meter: plan,
    totalMinor: visitMinor + meterMinor + productMinor,
  };
}

/** What a wash takes in all, as it is done. */
export interface WashTotals {
  /** Arrival to leaving. */
  readonly minutes: number;
  readonly moneyMinor: number;
  readonly litres: number;
}

/** Minutes, money and litres of a wash: every screen that tells them reads these. */
export const washTotals = (place: CostPlace, method: Method): WashTotals => ({
  minutes: method.minutes,
  moneyMinor: washCost(place, method).totalMinor,
  litres: method.litres,
});
