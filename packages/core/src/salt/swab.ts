import { requireInRange } from '../quantity/index.js';

/** kg·m⁻²·S⁻¹, ISO 8502-9: conductivity of mixed salts taken as chloride. */
const SALT_PER_CONDUCTANCE = 5;

export interface SwabInput {
  /** Rise over the clean water, µS/cm. */
  readonly deltaMicroSiemensPerCm: number;
  readonly volumeMl: number;
  readonly areaMm2: number;
}

/**
 * How much salt did the patch lift?
 *
 * @returns chloride-equivalent surface density, mg/m²
 * Source: ISO 8502-6 (patch) and -9 (conductometric): ρ = c·V·Δγ/A.
 * @throws FieldError naming the field
 * @example swab({ deltaMicroSiemensPerCm: 10, volumeMl: 15, areaMm2: 1250 }).mgPerM2 // 60
 */
export function swab({ deltaMicroSiemensPerCm, volumeMl, areaMm2 }: SwabInput): { mgPerM2: number } {
  requireInRange('swab', { deltaMicroSiemensPerCm }, { min: 0, max: 200_000, unit: 'µS/cm' });
  requireInRange('swab', { volumeMl }, { min: 0.1, max: 10_000, unit: 'mL' });
  requireInRange('swab', { areaMm2 }, { min: 1, max: 10_000_000, unit: 'mm²' });
  const siemensPerM = deltaMicroSiemensPerCm * 1e-4;
  const kgPerM2 = (SALT_PER_CONDUCTANCE * volumeMl * 1e-6 * siemensPerM) / (areaMm2 * 1e-6);
  return { mgPerM2: kgPerM2 * 1e6 };
}
