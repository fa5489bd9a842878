import { isStrong } from './step-product.js';
import type { WashStep } from './wash-step.js';

/**
 * How long may what this step puts on stay there, minutes? By the bottle's label; strong products without one as is usual for the step;
 * null: it may stay, or its place sees to it.
 */
export function longestMinutes({ product, dwell }: Pick<WashStep, 'product' | 'dwell'>): number | null {
  if (!product || product.from === 'site') return null;
  return product.dwell?.maxMinutes ?? (isStrong(product.inUsePh) ? (dwell?.maxMinutes ?? null) : null);
}

/** How long must it stay to work, minutes? By the label, strong products without one as is usual for the step; 0: it works as it is rubbed in. */
export function shortestMinutes({
  product,
  dwell,
  contact,
}: Pick<WashStep, 'product' | 'dwell' | 'contact'>): number {
  if (!product || product.from === 'site' || contact) return 0;
  return product.dwell?.minMinutes ?? (isStrong(product.inUsePh) ? (dwell?.minMinutes ?? 0) : 0);
}
