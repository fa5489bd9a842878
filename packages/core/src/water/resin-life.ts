import { requireInRange } from '../quantity/index.js';

export interface ResinInput {
  readonly resinLitres: number;
  /** As CaCO₃; a mixed bed holds about 23 (maker's data, judgement). */
  readonly capacityGramsPerLitre: number;
  readonly tdsMgPerLitre: number;
  readonly usedLitres?: number;
}

/**
 * How much more water will this resin demineralise?
 *
 * @returns litres in all and left; 0 left once spent
 * @throws FieldError naming the field
 * @example resinLife({ resinLitres: 5, capacityGramsPerLitre: 23, tdsMgPerLitre: 312 }).litresTotal // 368.6
 */
export function resinLife(input: ResinInput): { litresTotal: number; litresLeft: number } {
  const { resinLitres, capacityGramsPerLitre, tdsMgPerLitre, usedLitres = 0 } = input;
  requireInRange('resinLife', { resinLitres }, { min: 0.01, max: 1000, unit: 'L' });
  requireInRange('resinLife', { capacityGramsPerLitre }, { min: 0.1, max: 100, unit: 'g/L' });
  requireInRange('resinLife', { tdsMgPerLitre }, { min: 0.1, max: 100_000, unit: 'mg/L' });
  requireInRange('resinLife', { usedLitres }, { min: 0, max: 1e9, unit: 'L' });
  const litresTotal = (resinLitres * capacityGramsPerLitre * 1000) / tdsMgPerLitre;
  return { litresTotal, litresLeft: Math.max(0, litresTotal - usedLitres) };
}
