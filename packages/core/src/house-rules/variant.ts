/** A step in the shop's own order. */
export interface VariantStep {
  /** `id` of the step and its number among those of the same id, as `rinse-1`; `+id` for one that the method does not have. */
  readonly key: string;
  /** null: as the method has it. */
  readonly minutes: number | null;
  /** In the shop's own words; empty: none. */
  readonly note: string;
}

/** How the shop does one method in its own way. A step in neither list stays where the method has it. */
export interface Variant {
  readonly steps: readonly VariantStep[];
  readonly leftOut: readonly string[];
}
