import type { MinutesRange } from '../quantity/index.js';
import type { ProductRole } from '../protection/index.js';

/** Out of what a product comes on to the car. */
export type MixInto = 'foamer' | 'sprayer' | 'bucket' | 'neat';

/** Why this product and no other. */
export type ProductReason =
  /** The shop says so in its house rules. */
  | 'chosen'
  /** The kit holds no other for this step. */
  | 'only-one'
  /** Made for the step, and the only one of its kind. */
  | 'meant'
  /** Of several of its kind the mildest. */
  | 'mildest'
  /** What is made for the step would wear what lies there, or is acid. */
  | 'gentler'
  /** The one before it does not work in that cold. */
  | 'cold'
  /** It stands in for one that the kit does not hold. */
  | 'stand-in'
  /** The kit holds none: a typical label. */
  | 'typical'
  /** The soap that comes out of the place's own lance or machine. */
  | 'site';

/** What a step puts on the car, by the label of its bottle, and how much of it. */
export interface StepProduct {
  readonly from: 'kit' | 'typical' | 'site';
  /** Of the bottle; null: typical, or the site's. */
  readonly id: string | null;
  readonly name: string | null;
  readonly role: ProductRole;
  readonly because: ProductReason;
  readonly inUsePh: number;
  /** Of the label; null: the label is silent. */
  readonly dwell: MinutesRange | null;
  /** Below this it does not work, °C; null: the label is silent. */
  readonly lowestWorkC: number | null;
  readonly capMl: number | null;
  readonly into: MixInto;
  /** Parts of water to one of product; 0: neat. */
  readonly parts: number;
  /** The strongest that the label allows, as parts of water. */
  readonly fewestParts: number;
  /** Finished mix for this step, and product in it, mL. */
  readonly mixMl: number;
  readonly productMl: number;
  /** What arrives on the panel where the lance thins the bottle, %; null: as mixed, or not measured. */
  readonly panelPercent: number | null;
  /** What the shop's foamer, sprayer or bucket holds, mL; null: the kit does not say. */
  readonly vesselMl: number | null;
  /** Of the product used, minor units. */
  readonly costMinor: number;
  /** Without it the method is not done at all. */
  readonly isEssential: boolean;
  /** The shop says how strong it is mixed for this step. */
  readonly hasOwnParts?: boolean;
}

/** What of it goes on with a share of its step. */
export const shareOfProduct = (product: StepProduct, share: number): StepProduct => ({
  ...product,
  mixMl: product.mixMl * share,
  productMl: product.productMl * share,
  costMinor: product.costMinor * share,
});

/** In-use pH from and to which a product counts as alkali or acid (judgement). */
export const ALKALI_PH = 9.5;
export const ACID_PH = 5;

/** It hurts what it stays on. */
export const isStrong = (inUsePh: number): boolean => inUsePh >= ALKALI_PH || inUsePh <= ACID_PH;
