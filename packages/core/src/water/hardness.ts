import { FieldError, requireInRange } from '../quantity/index.js';

/** mg/L as CaCO₃ in one unit. Definitions of the units; the degree values as rounded by DIN and BS practice. */
export const HARDNESS_UNITS = {
  mgPerLitreCaCO3: 1,
  gpg: 17.118,
  dH: 17.848,
  fH: 10,
  clark: 14.254,
  mmolPerLitre: 100.09,
} as const;

export type HardnessUnit = keyof typeof HARDNESS_UNITS;
export type HardnessClass = 'soft' | 'moderately-hard' | 'hard' | 'very-hard';
export type HardnessInAllUnits = { readonly [unit in HardnessUnit]: number };
export interface Hardness extends HardnessInAllUnits {
  readonly class: HardnessClass;
}

/** Upper ends of the classes, mg/L CaCO₃. US Geological Survey water-hardness classes. */
const CLASSES = [
  { upToMgPerLitre: 60, class: 'soft' },
  { upToMgPerLitre: 120, class: 'moderately-hard' },
  { upToMgPerLitre: 180, class: 'hard' },
] as const;

/**
 * How hard is this water, in whatever unit my neighbour speaks?
 *
 * @param input value 0…10 000 mg/L CaCO₃ once converted; unit
 * @returns the same hardness in six units, and its class
 * @throws FieldError naming the field
 * @example hardness({ value: 312, unit: 'mgPerLitreCaCO3' }).gpg // 18.23
 */
export function hardness({ value, unit }: { value: number; unit: HardnessUnit }): Hardness {
  if (!Object.hasOwn(HARDNESS_UNITS, unit)) {
    throw new FieldError(
      'unknown-name',
      'unit',
      `hardness: unit is ${unit}; allowed is ${Object.keys(HARDNESS_UNITS).join(', ')}`,
    );
  }
  requireInRange('hardness', { value }, { min: 0, max: 10_000 / HARDNESS_UNITS[unit], unit });
  const mgPerLitre = value * HARDNESS_UNITS[unit];
  return {
    mgPerLitreCaCO3: mgPerLitre,
    gpg: mgPerLitre / HARDNESS_UNITS.gpg,
    dH: mgPerLitre / HARDNESS_UNITS.dH,
    fH: mgPerLitre / HARDNESS_UNITS.fH,
    clark: mgPerLitre / HARDNESS_UNITS.clark,
    mmolPerLitre: mgPerLitre / HARDNESS_UNITS.mmolPerLitre,
    class: CLASSES.find((row) => mgPerLitre <= row.upToMgPerLitre)?.class ?? 'very-hard',
  };
}
