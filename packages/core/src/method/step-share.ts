import { shortestMinutes } from './dwell-minutes.js';
import { shareOfProduct } from './step-product.js';
import type { WashStep } from './wash-step.js';

/** A step on a share of its surface, with its share of minutes and water. */
export function ofFraction(step: WashStep, share: number): WashStep {
  // However small the share is, what was put on it has to work as long.
  const waitMinutes = Math.min(step.minutes, shortestMinutes(step));
  return {
    ...step,
    minutes: (step.minutes - waitMinutes) * share + waitMinutes,
    litres: step.litres * share,
    ...(step.mixLitres === undefined ? {} : { mixLitres: step.mixLitres * share }),
    ...(step.product ? { product: shareOfProduct(step.product, share) } : {}),
  };
}
