import type { MinutesRange } from '../quantity/index.js';
import type { SectionId, ZoneGroup } from '../vehicle/index.js';

/** Where a wash begins, or where one that is driven on ends. */
export const STAGE_IDS = ['first', 'second'] as const;
export type StageId = (typeof STAGE_IDS)[number];

/** A step in the shop's own order; what it does not say is as the method has it. */
export interface VariantStep {
  /** `id` of the step and its number among those of the same id, as `rinse-1`; `+id` for one that the method does not have. */
  readonly key: string;
  /** null: as the method has it. */
  readonly minutes: number | null;
  /** In the shop's own words; empty: none. */
  readonly note: string;
  readonly groups?: readonly ZoneGroup[];
  readonly litres?: number;
  /** How long it is to dwell; the label's longest holds all the same. */
  readonly dwell?: MinutesRange;
  /** How much of the car it is done on at once; the steps beside it with the same go round with it. */
  readonly section?: SectionId;
  /** In which place of a wash that ends in a second one; all behind the first step in the second place is done there. */
  readonly stage?: StageId;
  /** The bottle that this one step takes. */
  readonly product?: string;
  /** Parts of water to one of product. */
  readonly parts?: number;
}

/** How the shop does one method in its own way. A step in neither list stays where the method has it. */
export interface Variant {
  readonly steps: readonly VariantStep[];
  readonly leftOut: readonly string[];
}
