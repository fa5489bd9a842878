import { type Gear, type GearKind, isForPaint, type Kit } from './product.js';
import type { WashUse } from './wash-use.js';

/** What a wash really took out of the kit; giving it back gives back so much, and no more. */
export interface KitTaken {
  readonly products: readonly { readonly productId: string; readonly ml: number }[];
  /** Clean cloths that were soiled. */
  readonly cloths: readonly { readonly gearId: string; readonly count: number }[];
  readonly filters: readonly { readonly gearId: string; readonly litres: number }[];
}

export const NOTHING_TAKEN: KitTaken = Object.freeze({ products: [], cloths: [], filters: [] });

/** Clean cloths of a kind, one row after the other, as far as they reach. */
function clothsOf(gear: readonly Gear[], kind: GearKind, wanted: number): KitTaken['cloths'] {
  let left = wanted;
  return gear
    .filter((row) => row.kind === kind && isForPaint(row))
    .flatMap(({ id, cleanCount }) => {
      const count = Math.min(left, cleanCount);
      left -= count;
      return count > 0 ? [{ gearId: id, count }] : [];
    });
}

/** Water goes through one filter: the first of its kind that is not spent, or the last of all. */
function filterOf(gear: readonly Gear[], kind: GearKind, litres: number): KitTaken['filters'] {
  const all = gear.filter((row) => row.kind === kind);
  const used =
    all.find(({ lifeLitres, litresUsed }) => lifeLitres === null || litresUsed < lifeLitres) ?? all.at(-1);
  return used && litres > 0 ? [{ gearId: used.id, litres }] : [];
}

/**
 * What can this wash take out of the kit?
 *
 * @param kit as it is now, without what was removed from it
 * @param use what it wants
 * @returns of each bottle and cloth no more than there is; water by one filter of each kind
 */
export function takenFrom({ products, gear }: Kit, use: WashUse): KitTaken {
  return {
    products: use.products.flatMap(({ productId, ml }) => {
      const leftMl = products.find(({ id }) => id === productId)?.leftMl ?? 0;
      const taken = Math.min(ml, leftMl);
      return taken > 0 ? [{ productId, ml: taken }] : [];
    }),
    cloths: [
      ...clothsOf(gear, 'folded-towel', use.foldedTowels),
      ...clothsOf(gear, 'drying-towel', use.dryingTowels),
      ...clothsOf(gear, 'mitt', use.mitts),
    ],
    filters: [...filterOf(gear, 'inline-filter', use.tapLitres), ...filterOf(gear, 'resin', use.resinLitres)],
  };
}

/** The kit once all of this has come back; cloths are no more than there are. */
export const givenBack = (
  { products, gear }: Kit,
  { products: bottles, cloths, filters }: KitTaken,
): Kit => ({
  products: products.map((bottle) => ({
    ...bottle,
    leftMl: bottle.leftMl + (bottles.find(({ productId }) => productId === bottle.id)?.ml ?? 0),
  })),
  gear: gear.map((row) => ({
    ...row,
    cleanCount: Math.min(
      row.count,
      row.cleanCount + (cloths.find(({ gearId }) => gearId === row.id)?.count ?? 0),
    ),
    litresUsed: Math.max(0, row.litresUsed - (filters.find(({ gearId }) => gearId === row.id)?.litres ?? 0)),
  })),
});
