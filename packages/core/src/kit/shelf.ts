import { firstOfKind, type Kit, type Product } from './product.js';

/** A bottle as a wash reads it: its label and its price, not how full it is. */
export interface ShelfBottle extends Pick<
  Product,
  | 'id'
  | 'name'
  | 'role'
  | 'inUsePh'
  | 'usualParts'
  | 'fewestParts'
  | 'mostParts'
  | 'capMl'
  | 'carMl'
  | 'dwell'
  | 'lowestWorkC'
  | 'bottleMl'
  | 'priceMinor'
> {
  readonly isEmpty: boolean;
}

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
  bottles: kit.products.map(
    ({
      leftMl,
      id,
      name,
      role,
      inUsePh,
      usualParts,
      fewestParts,
      mostParts,
      capMl,
      carMl,
      dwell,
      lowestWorkC,
      bottleMl,
      priceMinor,
    }): ShelfBottle => ({
      id,
      name,
      role,
      inUsePh,
      usualParts,
      fewestParts,
      mostParts,
      capMl,
      carMl,
      dwell,
      lowestWorkC,
      bottleMl,
      priceMinor,
      isEmpty: leftMl <= 0,
    }),
  ),
  vessels: {
    foamer: vesselOf(kit, 'foamer') ?? vesselOf(kit, 'lance'),
    sprayer: vesselOf(kit, 'sprayer'),
    bucket: vesselOf(kit, 'bucket'),
  },
});
