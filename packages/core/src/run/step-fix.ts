import type { StepProduct, WashStep } from '../method/index.js';
import type { StepFault } from './steps-around.js';

/** A change of the order that mends a fault of one of its steps. */
export type StepFix =
  /** Clear water over it before the next one. */
  | { readonly kind: 'rinse-behind' }
  /** Clear water between it and what lies under it. */
  | { readonly kind: 'rinse-before' }
  /** Dried with a towel first. */
  | { readonly kind: 'dry-before' }
  /** Mixed no stronger than this, parts of water to one of product. */
  | { readonly kind: 'weaken'; readonly parts: number }
  /** The bottle that the program would take. */
  | { readonly kind: 'own-choice' }
  /** Where the way has it. */
  | { readonly kind: 'any-place' }
  | { readonly kind: 'leave-out' };

const TENTHS = 10;

/** Parts in the bottle from which no more than the label allows arrives on the panel. */
function allowedParts({ parts, panelPercent, fewestParts }: StepProduct): number {
  const thins = panelPercent === null ? 1 : 100 / (1 + parts) / panelPercent;
  return Math.max(0, Math.ceil(((fewestParts + 1) / thins - 1) * TENTHS - 1e-6) / TENTHS);
}

/** What would mend this fault? null: nothing that the order of the steps could. */
export function stepFix(
  fault: StepFault,
  { product, ownBottle, ownStage }: Pick<WashStep, 'product' | 'ownBottle' | 'ownStage'>,
): StepFix | null {
  switch (fault.kind) {
    case 'not-rinsed':
      return { kind: 'rinse-behind' };
    case 'acid-over-alkali':
    case 'alkali-over-acid':
      return { kind: 'rinse-before' };
    case 'wet-paint':
      return { kind: 'dry-before' };
    case 'too-strong':
      return product ? { kind: 'weaken', parts: allowedParts(product) } : null;
    case 'smears':
      return { kind: 'weaken', parts: fault.usualParts };
    case 'meets':
    case 'too-cold':
      return ownBottle === undefined ? null : { kind: 'own-choice' };
    case 'driven-back':
    case 'needs-first-place':
    case 'not-rinsed-here':
      return ownStage === undefined ? null : { kind: 'any-place' };
    case 'forbidden':
      return { kind: 'leave-out' };
    default:
      return null;
  }
}
