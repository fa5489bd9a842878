import type { HouseRules } from '../house-rules/index.js';
import type { BottleLevel, Product } from '../kit/index.js';
import { sizeFactor } from '../method/index.js';
import type { Vehicle } from '../vehicle/index.js';
import type { WashRecord } from './wash-record.js';

/** What the levels that were read off a bottle say of one saloon, beside what the shop counts. */
export interface LearnedMl {
  readonly productId: string;
  /** Washes between the readings that used it. */
  readonly cars: number;
  readonly ml: number;
  readonly countedMl: number;
}

export interface LearnMlCase {
  readonly products: readonly Pick<Product, 'id' | 'carMl' | 'levels'>[];
  readonly washes: readonly Pick<WashRecord, 'vehicleId' | 'status' | 'startMs' | 'found'>[];
  readonly vehicles: readonly (Pick<Vehicle, 'bodyClass'> & { readonly id: string })[];
  readonly house: Pick<HouseRules, 'numbers'>;
}

/** Fewer washes than this say nothing yet, and what differs by less is the same (judgement). */
const FEWEST_CARS = 3;
const DIFFERS_FRACTION = 0.15;

/** Between two readings: what was used and what the washes should have taken, mL; null where it was filled up, or nothing was used. */
function between(before: BottleLevel, after: BottleLevel): { usedMl: number; expectedMl: number } | null {
  const usedMl = before.readMl - after.readMl;
  const expectedMl = before.readMl - after.expectedMl;
  return usedMl > 0 && expectedMl > 0 ? { usedMl, expectedMl } : null;
}

function learnedOf(
  { id, carMl, levels }: LearnMlCase['products'][number],
  of: LearnMlCase,
): LearnedMl | null {
  let usedMl = 0;
  let expectedMl = 0;
  const onSaloon: number[] = [];
  (levels ?? []).forEach((after, i, all) => {
    const before = all[i - 1];
    const spent = before && between(before, after);
    if (!before || !spent) return;
    usedMl += spent.usedMl;
    expectedMl += spent.expectedMl;
    for (const { vehicleId, status, startMs, found } of of.washes) {
      const ml = found?.used?.products.find(({ productId }) => productId === id)?.ml ?? 0;
      const vehicle = of.vehicles.find((one) => one.id === vehicleId);
      if (status !== 'done' || !vehicle || ml <= 0 || startMs < before.atMs || startMs >= after.atMs)
        continue;
      onSaloon.push(ml / sizeFactor(of.house, vehicle));
    }
  });
  if (onSaloon.length < FEWEST_CARS) return null;
  const expectedOnSaloon = onSaloon.reduce((sum, ml) => sum + ml, 0) / onSaloon.length;
  const ml = Math.max(1, Math.round((expectedOnSaloon * usedMl) / expectedMl));
  const countedMl = carMl ?? expectedOnSaloon;
  if (Math.abs(ml - countedMl) < DIFFERS_FRACTION * countedMl) return null;
  return { productId: id, cars: onSaloon.length, ml, countedMl };
}

/**
 * Which bottles empty faster or slower than this shop counts?
 *
 * @param of bottles with the levels that were read, the washes, the cars and the house
 * @returns bottles with at least three washes between readings that differ by 15 % or more, with the mL of neat product for one saloon; spans in
 * which a bottle was filled up do not count
 * Model: mL used over mL expected, times the mL expected for a saloon; fewest washes and what counts as a difference are
 * judgement
 */
export const learnedMl = (of: LearnMlCase): LearnedMl[] =>
  of.products.map((product) => learnedOf(product, of)).filter((one) => one !== null);
