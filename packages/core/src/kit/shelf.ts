import { firstOfKind, type Kit, type Product } from './product.js';

/** What of a bottle decides how a car is washed: its label and its price, not how full it is. */
const LABEL = [
  'id',
  'name',
  'role',
  'inUsePh',
  'usualParts',
  'fewestParts',
  'mostParts',
  'capMl',
  'carMl',
  'dwell',
  'lowestWorkC',
  'bottleMl',
  'priceMinor',
] as const satisfies readonly (keyof Product)[];

/** A bottle as a wash reads it. */
export interface ShelfBottle extends Pick<Product, (typeof LABEL)[number]> {
  readonly isEmpty: boolean;
}

const shelfBottle = (product: Product): ShelfBottle => {
  const label = Object.fromEntries(LABEL.map((field) => [field, product[field]]));
  return { ...(label as unknown as Pick<Product, (typeof LABEL)[number]>), isEmpty: product.leftMl <= 0 };
};

/** A bottle, sprayer or bucket that mixes are made in. */
export interface Vessel {
  readonly volumeMl: number;
  /** All that leaves while it is drawn, litres; null: not measured, or it puts out what is in it. */
  readonly outputLitres: number | null;
}

export type VesselKind = 'foamer' | 'sprayer' | 'bucket';

/** What of the kit decides how a car is washed: the same after every wash that empties no bottle. */
export interface Shelf {
  readonly bottles: readonly ShelfBottle[];
  readonly vessels: Readonly<Record<VesselKind, Vessel | null>>;
}

export const EMPTY_SHELF: Shelf = Object.freeze({
  bottles: [],
  vessels: { foamer: null, sprayer: null, bucket: null },
});

function vesselOf(kit: Kit, kind: VesselKind | 'lance'): Vessel | null {
  const gear = firstOfKind(kit, kind);
  return gear?.volumeMl ? { volumeMl: gear.volumeMl, outputLitres: gear.outputLitresPerBottle } : null;
}

/** What a wash reads of the kit. */
export const shelfOf = (kit: Kit): Shelf => ({
  bottles: kit.products.map(shelfBottle),
  vessels: {
    foamer: vesselOf(kit, 'foamer') ?? vesselOf(kit, 'lance'),
    sprayer: vesselOf(kit, 'sprayer'),
    bucket: vesselOf(kit, 'bucket'),
  },
});

/**
 * The same bottles with their prices only as far as these decide which one is taken: by rank. It names what does not rest on money; what
 * is made of it knows none.
 */
export function withoutPrices({ bottles, vessels }: Shelf): Shelf {
  const perMl = ({ priceMinor, bottleMl }: ShelfBottle): number => priceMinor / bottleMl;
  const inOrder = [...new Set(bottles.map(perMl))].sort((a, b) => a - b);
  return {
    vessels,
    bottles: bottles.map((bottle) =>
      bottle.bottleMl > 0
        ? { ...bottle, priceMinor: inOrder.indexOf(perMl(bottle)) * bottle.bottleMl }
        : bottle,
    ),
  };
}
