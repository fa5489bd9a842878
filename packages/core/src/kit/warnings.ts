import { isWorn } from './cloth-wear.js';
import { CLOTH_KINDS, type Gear, type Kit, type Product } from './product.js';

/** What is to be seen to this evening. */
export interface KitWarnings {
  readonly low: readonly Product[];
  /** Stands in the van and does not bear the night. */
  readonly freezing: readonly Product[];
  /** Filters and resin that are nearly spent; litresLeft 0: spent. */
  readonly spent: readonly { readonly gear: Gear; readonly litresLeft: number }[];
  /** Cloths of which more are soiled than clean. */
  readonly laundry: readonly Gear[];
  /** Cloths whose pile is worn for what they still touch. */
  readonly worn: readonly Gear[];
  /** Household towels where no other cloth is owned: their loops and hems scratch. */
  readonly scratching: readonly Gear[];
  /** Dish soap where no car shampoo is owned: wax goes with it. */
  readonly stripping: readonly Product[];
  /** Coldest air outdoors until the next morning, °C; null: not known. */
  readonly coldestC: number | null;
}

/** From this share of its life on a filter is reported (judgement). */
const NEARLY_SPENT_FRACTION = 0.85;
const CAR_TOWELS: ReadonlySet<Gear['kind']> = new Set(['folded-towel', 'drying-towel']);
const CAR_SOAPS: ReadonlySet<Product['role']> = new Set(['shampoo', 'rinseless', 'residue-free-soap']);

/**
 * What of the kit is to be seen to before tomorrow?
 *
 * @param coldestC coldest air outdoors until then; null: not known, and nothing is said of freezing
 * @returns what is low, what freezes in the van (taken to be as cold as the air outdoors), what is nearly spent, what is to be laundered, what scratches or
 * strips where nothing better is owned
 */
export function kitWarnings({ products, gear }: Kit, coldestC: number | null): KitWarnings {
  return {
    low: products.filter(({ leftMl, lowMl }) => leftMl <= lowMl),
    freezing: products.filter(
      ({ keptIn, lowestStoreC, leftMl }) =>
        keptIn === 'van' &&
        leftMl > 0 &&
        lowestStoreC !== null &&
        coldestC !== null &&
        coldestC < lowestStoreC,
    ),
    spent: gear.flatMap((one) => {
      if (one.lifeLitres === null || one.litresUsed < NEARLY_SPENT_FRACTION * one.lifeLitres) return [];
      return [{ gear: one, litresLeft: Math.max(0, one.lifeLitres - one.litresUsed) }];
    }),
    laundry: gear.filter(({ kind, count, cleanCount }) => CLOTH_KINDS.has(kind) && cleanCount * 2 < count),
    worn: gear.filter(isWorn),
    scratching: gear.some(({ kind }) => CAR_TOWELS.has(kind))
      ? []
      : gear.filter(({ kind }) => kind === 'household-towel'),
    stripping: products.some(({ role }) => CAR_SOAPS.has(role))
      ? []
      : products.filter(({ role }) => role === 'household-soap'),
    coldestC,
  };
}
