import type { Method, WashStep } from '../method/index.js';
import type { Place } from '../place/index.js';
import type { Mix } from './mix.js';
import { productUse } from './mix.js';

/** What one wash takes out of the kit. */
export interface WashUse {
  readonly products: readonly { readonly productId: string; readonly ml: number }[];
  readonly foldedTowels: number;
  readonly dryingTowels: number;
  readonly mitts: number;
  /** Through the shop's own filter, and through its own resin, litres. */
  readonly tapLitres: number;
  readonly resinLitres: number;
}

const OWN_TAPS: ReadonlySet<Place['kind']> = new Set(['garage', 'drive', 'heated-unit']);

/**
 * What does this wash take out of the kit?
 *
 * @param method its steps that are done, and its cloths
 * @param mixes of those steps
 * @returns mL by product, cloths that are soiled, litres through own filters; at a paying place the water is the site's
 */
export function washUse(
  { steps, media }: Pick<Method, 'media'> & { readonly steps: readonly Pick<WashStep, 'id' | 'litres'>[] },
  mixes: readonly Mix[],
  place: Pick<Place, 'kind' | 'finalRinse'>,
): WashUse {
  const isOwn = OWN_TAPS.has(place.kind);
  const litresOf = (isLast: boolean): number =>
    steps.reduce((sum, { id, litres }) => sum + ((id === 'final-rinse') === isLast ? litres : 0), 0);
  const lastLitres = litresOf(true);
  return {
    products: productUse(mixes),
    ...media,
    tapLitres: isOwn ? litresOf(false) + (place.finalRinse ? 0 : lastLitres) : 0,
    resinLitres: isOwn && place.finalRinse ? lastLitres : 0,
  };
}
