import { numberOf } from '../../parts/number-text.js';
import type { Typed, ProductDraft, StrengthWay } from './product-draft.js';

const ML_PER_LITRE = 1000;

const FL_OZ_PER_GAL = 128;

/** Parts of water to one of product; null where nothing whole is typed. */
export function partsOf(typed: Typed, way: StrengthWay): number | null {
  const value = numberOf(typed);
  if (value === null || value <= 0) return null;
  switch (way) {
    case 'parts':
      return exact(value);
    case 'percent':
      return value >= 100 ? 0 : exact((100 - value) / value);
    case 'mlPerLitre':
      return exact(ML_PER_LITRE / value);
    case 'flOzPerGal':
      return exact(FL_OZ_PER_GAL / value);
  }
}

/** Without the noise of binary digits, so that a strength said in another way and back is what it was. */
const exact = (value: number): number => Math.round(value * 1e6) / 1e6;

export const rounded = (value: number): number => Math.round(value * 1000) / 1000;

/** The same strength said in another way, unrounded: it is shown to three places. */
export function inWay(parts: number, way: StrengthWay): number {
  switch (way) {
    case 'parts':
      return exact(parts);
    case 'percent':
      return 100 / (1 + parts);
    case 'mlPerLitre':
      return ML_PER_LITRE / parts;
    case 'flOzPerGal':
      return FL_OZ_PER_GAL / parts;
  }
}

/** What is typed, said in another way; what is no strength stays as it is. */
export function sayStrengths(draft: ProductDraft, way: StrengthWay): Partial<ProductDraft> {
  const other = (typed: Typed): Typed => {
    const parts = partsOf(typed, draft.way);
    return parts === null ? typed : inWay(parts, way);
  };
  return { way, usual: other(draft.usual), strongest: other(draft.strongest), weakest: other(draft.weakest) };
}

export const orEmpty = (value: number | null): Typed => value ?? '';
