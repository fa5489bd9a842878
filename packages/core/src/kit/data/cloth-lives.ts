import type { GearKind } from '../product.js';

/** So often a cloth is laundered before its pile is worn and it is no more for paint (judgement; those that see grit go sooner). */
export const CLOTH_LIVES: Readonly<Partial<Record<GearKind, number>>> = {
  'folded-towel': 60,
  'drying-towel': 80,
  'household-towel': 20,
  mitt: 40,
  sponge: 30,
};
