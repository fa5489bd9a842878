import { FieldError, requireInRange } from '../quantity/index.js';

export interface BottleMixInput {
  readonly bottleMl: number;
  /** Of each product N of 1:N as if it stood alone in the bottle. */
  readonly partsWater: readonly number[];
}

/** What goes into one bottle. */
export interface BottleMix {
  /** In the order of the products. */
  readonly productMl: readonly number[];
  readonly waterMl: number;
  /** Of each in the finished mix. */
  readonly percent: readonly number[];
}

const MOST_PRODUCTS = 6;

/**
 * Several products in one bottle: how much of each, and how much water?
 *
 * @param input size of the bottle, mL, and the strength of each product
 * @returns mL of each, mL of water to the brim
 * Model: each is measured for the whole bottle, and water fills what is left
 * @throws FieldError `out-of-range`, or `inconsistent` where they leave no room for water
 * @example bottleMix({ bottleMl: 1000, partsWater: [9, 19] }).waterMl // 850
 */
export function bottleMix({ bottleMl, partsWater }: BottleMixInput): BottleMix {
  requireInRange('bottleMix', { bottleMl }, { min: 10, max: 1_000_000, unit: 'mL' });
  const count = partsWater.length;
  requireInRange(
    'bottleMix',
    { 'partsWater.length': count },
    { min: 1, max: MOST_PRODUCTS, unit: 'products' },
  );
  partsWater.forEach((parts, i) =>
    requireInRange('bottleMix', { [`partsWater.${i}`]: parts }, { min: 1, max: 100_000, unit: 'N of 1:N' }),
  );
  const productMl = partsWater.map((parts) => bottleMl / (1 + parts));
  const waterMl = bottleMl - productMl.reduce((sum, ml) => sum + ml, 0);
  if (waterMl < 0)
    throw new FieldError(
      'inconsistent',
      'partsWater',
      `bottleMix: partsWater leaves no room for water in ${bottleMl} mL; ${-waterMl} mL too much`,
    );
  return { productMl, waterMl, percent: productMl.map((ml) => (100 * ml) / bottleMl) };
}
