import { FieldError, requireInRange } from '../quantity/index.js';

const WATER_HEAT_J_PER_LITRE_K = 4186;
/** Hotter than this is not for hands (judgement). */
export const HOTTEST_FOR_HANDS_C = 45;
/** Hands and cleaning both want it tepid, °C (practice notes). */
export const TEPID_C = 35;

export interface MixWaterInput {
  readonly hotC: number;
  readonly coldC: number;
  readonly targetC: number;
  readonly litres: number;
}

export interface MixedWater {
  readonly hotLitres: number;
  readonly coldLitres: number;
  /** Set where the target is too hot for hands. */
  readonly caution?: string;
}

/**
 * How much hot and how much cold for a bucket at this temperature?
 *
 * @param input temperatures 0…100 °C with coldC ≤ targetC ≤ hotC and coldC < hotC; litres above 0
 * @returns litres of each (enthalpy balance, equal heat capacity)
 * @throws FieldError naming the field
 * @example mixWater({ hotC: 60, coldC: 6, targetC: 38, litres: 10 }).hotLitres // 5.93
 */
export function mixWater({ hotC, coldC, targetC, litres }: MixWaterInput): MixedWater {
  requireInRange('mixWater', { hotC, coldC, targetC }, { min: 0, max: 100, unit: '°C' });
  requireInRange('mixWater', { litres }, { min: 0.001, max: 10_000, unit: 'L' });
  if (hotC <= coldC) {
    throw new FieldError(
      'inconsistent',
      'hotC',
      `mixWater: hotC is ${hotC}; allowed is above coldC, ${coldC} °C`,
    );
  }
  requireInRange(
    'mixWater',
    { targetC },
    { min: coldC, max: hotC, unit: '°C, between the cold and the hot' },
  );
  const hotLitres = (litres * (targetC - coldC)) / (hotC - coldC);
  const mix = { hotLitres, coldLitres: litres - hotLitres };
  return targetC > HOTTEST_FOR_HANDS_C
    ? { ...mix, caution: `over ${HOTTEST_FOR_HANDS_C} °C: not for hands, nor for cold glass` }
    : mix;
}

export interface BucketCoolingInput {
  readonly litres: number;
  readonly startC: number;
  readonly ambientC: number;
  /** Judgement: 5 for an open 10 L bucket, 1.8 with a lid. */
  readonly uaWattsPerK: number;
  readonly minutes: number;
}

/**
 * How warm is the bucket on arrival? Newton cooling; ends at 0 °C, where it would begin to freeze.
 *
 * @throws FieldError naming the field
 * @example bucketCooling({ litres: 10, startC: 45, ambientC: -10, uaWattsPerK: 1.8, minutes: 30 }).tempC // 40.9
 */
export function bucketCooling(input: BucketCoolingInput): { tempC: number } {
  const { litres, startC, ambientC, uaWattsPerK, minutes } = input;
  requireInRange('bucketCooling', { litres }, { min: 0.001, max: 10_000, unit: 'L' });
  requireInRange('bucketCooling', { startC }, { min: 0, max: 100, unit: '°C' });
  requireInRange('bucketCooling', { ambientC }, { min: -60, max: 60, unit: '°C' });
  requireInRange('bucketCooling', { uaWattsPerK }, { min: 0, max: 1000, unit: 'W/K' });
  requireInRange('bucketCooling', { minutes }, { min: 0, max: 100_000, unit: 'min' });
  const decay = Math.exp((-uaWattsPerK * minutes * 60) / (litres * WATER_HEAT_J_PER_LITRE_K));
  return { tempC: Math.max(Math.min(0, startC), ambientC + (startC - ambientC) * decay) };
}

/**
 * How warm must the bucket leave, to arrive as wanted? The same cooling read backwards.
 *
 * @param input litres, what is wanted on arrival, air on the way, UA of the bucket (W/K) and minutes on the way
 * @returns °C; may be more than water can be, where the way is too long and too cold for it
 * @throws FieldError naming the field
 * @example startForArrival({ litres: 10, wantedC: 40.9, ambientC: -10, uaWattsPerK: 1.8, minutes: 30 }) // 45.0
 */
export function startForArrival(
  input: Omit<BucketCoolingInput, 'startC'> & { readonly wantedC: number },
): number {
  const { litres, wantedC, ambientC, uaWattsPerK, minutes } = input;
  requireInRange('startForArrival', { litres }, { min: 0.001, max: 10_000, unit: 'L' });
  requireInRange('startForArrival', { wantedC }, { min: 0, max: 100, unit: '°C' });
  requireInRange('startForArrival', { ambientC }, { min: -60, max: 60, unit: '°C' });
  requireInRange('startForArrival', { uaWattsPerK }, { min: 0, max: 1000, unit: 'W/K' });
  requireInRange('startForArrival', { minutes }, { min: 0, max: 100_000, unit: 'min' });
  const decay = Math.exp((-uaWattsPerK * minutes * 60) / (litres * WATER_HEAT_J_PER_LITRE_K));
  return ambientC + (wantedC - ambientC) / decay;
}
