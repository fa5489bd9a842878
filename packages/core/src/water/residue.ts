import { requireInRange } from '../quantity/index.js';

/**
 * What stays on the paint when this film dries unwiped?
 *
 * @param input tdsMgPerLitre 0…100 000; filmGramsPerM2 0…5000 (a gram of film is a millilitre)
 * @returns mg/m²
 * @throws FieldError naming the field
 * @example residue({ tdsMgPerLitre: 300, filmGramsPerM2: 60 }) // { mgPerM2: 18 }
 */
export function residue(input: { readonly tdsMgPerLitre: number; readonly filmGramsPerM2: number }): {
  mgPerM2: number;
} {
  requireInRange('residue', { tdsMgPerLitre: input.tdsMgPerLitre }, { min: 0, max: 100_000, unit: 'mg/L' });
  requireInRange('residue', { filmGramsPerM2: input.filmGramsPerM2 }, { min: 0, max: 5000, unit: 'g/m²' });
  return { mgPerM2: (input.tdsMgPerLitre * input.filmGramsPerM2) / 1000 };
}
