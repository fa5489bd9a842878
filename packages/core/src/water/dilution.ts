import { FieldError, requireInRange } from '../quantity/index.js';

const FL_OZ_PER_US_GALLON = 128;

export interface DilutionInput {
  readonly totalMl?: number;
  readonly waterMl?: number;
  readonly partsWater?: number;
  readonly percent?: number;
  readonly mlPerLitreWater?: number;
  readonly flOzPerUsGalWater?: number;
  readonly capMl?: number;
}

export interface Dilution {
  readonly productMl: number;
  readonly waterMl: number;
  readonly totalMl: number;
  readonly partsWater: number;
  readonly percent: number;
  readonly mlPerLitreWater: number;
  readonly caps: number | null;
}

function exactlyOne<K extends keyof DilutionInput>(input: DilutionInput, fields: readonly K[]): K {
  const given = fields.filter((field) => input[field] !== undefined);
  const [only] = given;
  if (only === undefined || given.length > 1) {
    const got = given.length === 0 ? 'none' : given.join(' and ');
    throw new FieldError(
      'not-exactly-one',
      given[1] ?? fields[0] ?? 'input',
      `dilution: exactly one of ${fields.join(', ')} is needed; got ${got}`,
    );
  }
  return only;
}

/** Millilitres of product to a millilitre of water. */
function productPerWater(input: DilutionInput): number {
  const field = exactlyOne(input, ['partsWater', 'percent', 'mlPerLitreWater', 'flOzPerUsGalWater']);
  const value = input[field] ?? NaN;
  // More product than water is a slip of the unit: one part to less than one part, over 50 %, over a litre a litre.
  switch (field) {
    case 'partsWater':
      requireInRange(
        'dilution',
        { partsWater: value },
        { min: 1, max: 100_000, unit: 'parts of water to one of product' },
      );
      return 1 / value;
    case 'percent':
      requireInRange('dilution', { percent: value }, { min: 0.0001, max: 50, unit: '% of the finished mix' });
      return value / (100 - value);
    case 'mlPerLitreWater':
      requireInRange(
        'dilution',
        { mlPerLitreWater: value },
        { min: 0.001, max: 1000, unit: 'mL per L of water' },
      );
      return value / 1000;
    default:
      requireInRange(
        'dilution',
        { flOzPerUsGalWater: value },
        { min: 0.0001, max: 128, unit: 'fl oz per US gallon of water' },
      );
      return value / FL_OZ_PER_US_GALLON;
  }
}

/**
 * How much product and how much water, and what would the others call that?
 *
 * @param input exactly one of totalMl (fill this bottle) or waterMl (add to this water), above 0; exactly one strength;
 * capMl of that bottle's cap if caps are wanted
 * @returns amounts in mL; 1:N, percent of the mix, mL per litre of water; caps or null
 * @throws FieldError `not-exactly-one`, or `out-of-range` for more product than water
 * @example dilution({ totalMl: 1000, partsWater: 9 }).productMl // 100
 */
export function dilution(input: DilutionInput): Dilution {
  const ratio = productPerWater(input);
  const volume = exactlyOne(input, ['totalMl', 'waterMl']);
  const volumeMl = input[volume] ?? NaN;
  requireInRange('dilution', { [volume]: volumeMl }, { min: 0.1, max: 10_000_000, unit: 'mL' });
  if (input.capMl !== undefined)
    requireInRange('dilution', { capMl: input.capMl }, { min: 0.1, max: 10_000, unit: 'mL' });
  const waterMl = volume === 'waterMl' ? volumeMl : volumeMl / (1 + ratio);
  const productMl = waterMl * ratio;
  return {
    productMl,
    waterMl,
    totalMl: waterMl + productMl,
    partsWater: 1 / ratio,
    percent: (100 * ratio) / (1 + ratio),
    mlPerLitreWater: 1000 * ratio,
    caps: input.capMl === undefined ? null : productMl / input.capMl,
  };
}
