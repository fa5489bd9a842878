import { FieldError, requireInRange } from '../quantity/index.js';

export interface MixedInput {
  /** Put in. */
  readonly productMl: number;
  /** Into so much water. */
  readonly waterMl: number;
  /** What it should be, N of 1:N. */
  readonly wantedPartsWater?: number;
}

/** What a mix that somebody made is, and what makes it what it should be. */
export interface Mixed {
  readonly partsWater: number;
  readonly percent: number;
  readonly totalMl: number;
  readonly compared: 'as-wanted' | 'stronger' | 'weaker' | 'not-compared';
  /** Water to add so that it is as wanted; 0: none. */
  readonly addWaterMl: number;
  /** Product to add so that it is as wanted; 0: none. */
  readonly addProductMl: number;
}

/** Nobody measures a bottle more closely. */
const CLOSE_ENOUGH_FRACTION = 0.02;
/** More product than water is neat use, or litres typed for millilitres. */
const ML_PER_LITRE = 1000;

function requireSameUnit({ productMl, waterMl }: MixedInput): void {
  if (productMl <= waterMl) return;
  const meantMl = waterMl * ML_PER_LITRE;
  const hint = productMl <= meantMl ? ` Was ${meantMl} mL (${waterMl} L) meant?` : '';
  throw new FieldError(
    'inconsistent',
    'waterMl',
    `mixed: waterMl is ${waterMl} mL, less than the ${productMl} mL of product that went in.${hint}`,
  );
}

/**
 * I put this much product in that much water: what is it, and what should it be?
 *
 * @param input mL of product, mL of water it went into, and the strength wanted if there is one
 * @returns 1:N, percent of the mix, and the water or the product to add for the wanted strength
 * @throws FieldError `out-of-range`, or `inconsistent` where less water than product was typed, with what was probably meant
 * @example mixed({ productMl: 350, waterMl: 3000, wantedPartsWater: 10 }).addWaterMl // 500
 */
export function mixed(input: MixedInput): Mixed {
  const { productMl, waterMl, wantedPartsWater } = input;
  requireInRange('mixed', { productMl }, { min: 0.1, max: 1_000_000, unit: 'mL' });
  requireInRange('mixed', { waterMl }, { min: 0.1, max: 10_000_000, unit: 'mL' });
  requireSameUnit(input);
  const partsWater = waterMl / productMl;
  const base = { partsWater, percent: 100 / (1 + partsWater), totalMl: productMl + waterMl };
  if (wantedPartsWater === undefined)
    return { ...base, compared: 'not-compared', addWaterMl: 0, addProductMl: 0 };
  requireInRange('mixed', { wantedPartsWater }, { min: 1, max: 100_000, unit: 'N of 1:N' });
  const off = partsWater / wantedPartsWater - 1;
  if (Math.abs(off) <= CLOSE_ENOUGH_FRACTION)
    return { ...base, compared: 'as-wanted', addWaterMl: 0, addProductMl: 0 };
  return off < 0
    ? { ...base, compared: 'stronger', addWaterMl: productMl * wantedPartsWater - waterMl, addProductMl: 0 }
    : { ...base, compared: 'weaker', addWaterMl: 0, addProductMl: waterMl / wantedPartsWater - productMl };
}
