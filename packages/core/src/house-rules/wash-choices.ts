import type { BottlesByStep, HouseRules } from './data/house-rules.js';
import type { Variant } from './variant.js';

/** What somebody chose for one wash alone. */
export interface WashChoices {
  /** Bottles by step. */
  readonly products?: BottlesByStep;
  /** Its steps: order, minutes, zones, litres, dwell, bottles, strength. */
  readonly variant?: Variant;
}

/** The house as it is in one wash: what was chosen for it alone comes before the shop's own. */
export function withChoices(
  house: HouseRules,
  methodId: string,
  { products, variant }: WashChoices = {},
): HouseRules {
  if (!products && !variant) return house;
  return {
    ...house,
    ...(products ? { products: { ...house.products, ...products } } : {}),
    ...(variant ? { variants: { ...house.variants, [methodId]: variant } } : {}),
  };
}

/** The choices that there are; absent: none. */
export function choicesOf({ products, variant }: WashChoices): WashChoices | undefined {
  const hasProducts = products && Object.keys(products).length > 0;
  if (!hasProducts && !variant) return undefined;
  return { ...(hasProducts ? { products } : {}), ...(variant ? { variant } : {}) };
}
