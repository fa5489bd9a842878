import { describe, expect, it } from '@jest/globals';
import {
  bucketCooling,
  dilution,
  hardness,
  type HardnessUnit,
  mixWater,
  panelImpact,
  residue,
  resinLife,
} from './index.js';

describe('hardness', () => {
  it.each([
    { unit: 'gpg', value: 1, mgPerLitre: 17.118 },
    { unit: 'dH', value: 1, mgPerLitre: 17.848 },
    { unit: 'fH', value: 1, mgPerLitre: 10 },
    { unit: 'clark', value: 1, mgPerLitre: 14.254 },
    { unit: 'mmolPerLitre', value: 1, mgPerLitre: 100.09 },
  ] as const)('1 $unit', ({ unit, value, mgPerLitre }) => {
    expect(hardness({ value, unit }).mgPerLitreCaCO3).toBeCloseTo(mgPerLitre, 3);
  });

  it.each([
    { value: 60, class: 'soft' },
    { value: 60.1, class: 'moderately-hard' },
    { value: 120, class: 'moderately-hard' },
    { value: 120.1, class: 'hard' },
    { value: 180, class: 'hard' },
    { value: 180.1, class: 'very-hard' },
  ])('$value mg/L is $class', ({ value, class: expected }) => {
    expect(hardness({ value, unit: 'mgPerLitreCaCO3' }).class).toBe(expected);
  });

  it('comes back to itself through every unit', () => {
    const all = hardness({ value: 312, unit: 'mgPerLitreCaCO3' });
    for (const unit of ['gpg', 'dH', 'fH', 'clark', 'mmolPerLitre'] satisfies HardnessUnit[]) {
      expect(hardness({ value: all[unit], unit }).mgPerLitreCaCO3).toBeCloseTo(312, 6);
    }
  });

  it('refuses a negative hardness by name', () => {
    expect(() => hardness({ value: -1, unit: 'dH' })).toThrow(expect.objectContaining({ field: 'value' }));
  });
});

describe('dilution: the sums that people get wrong', () => {
  it('1 oz to 2 gal is 256:1', () => {
    expect(dilution({ waterMl: 2 * 3785.41, flOzPerUsGalWater: 0.5 }).partsWater).toBeCloseTo(256, 6);
  });

  it('a 3 gal bucket at 256:1 takes 1.5 oz: 1.5 caps of an ounce, 3 caps of half an ounce', () => {
    const flOzMl = 29.5735;
    const bucket = { waterMl: 3 * 128 * flOzMl, partsWater: 256 };
    expect(dilution({ ...bucket, capMl: flOzMl }).caps).toBeCloseTo(1.5, 6);
    expect(dilution({ ...bucket, capMl: flOzMl / 2 }).caps).toBeCloseTo(3, 6);
  });

  it('100 mL + 900 mL is 1:9 and 10 %, not 10:1', () => {
    expect(dilution({ totalMl: 1000, percent: 10 })).toMatchObject({
      productMl: 100,
      waterMl: 900,
      partsWater: 9,
    });
  });

  it('says the same mix in every way of speaking', () => {
    const said = dilution({ totalMl: 750, partsWater: 15 });
    expect(dilution({ totalMl: 750, percent: said.percent }).productMl).toBeCloseTo(said.productMl, 9);
    expect(dilution({ totalMl: 750, mlPerLitreWater: said.mlPerLitreWater }).productMl).toBeCloseTo(
      said.productMl,
      9,
    );
    expect(dilution({ totalMl: 750, flOzPerUsGalWater: 128 / 15 }).productMl).toBeCloseTo(said.productMl, 9);
  });

  it.each([
    {
      why: 'two strengths',
      input: { totalMl: 1, partsWater: 9, percent: 10 },
      code: 'not-exactly-one',
      field: 'percent',
    },
    { why: 'no strength', input: { totalMl: 1 }, code: 'not-exactly-one', field: 'partsWater' },
    {
      why: 'two volumes',
      input: { totalMl: 1, waterMl: 1, percent: 10 },
      code: 'not-exactly-one',
      field: 'waterMl',
    },
    {
      why: 'more product than water',
      input: { totalMl: 1000, partsWater: 0.1 },
      code: 'out-of-range',
      field: 'partsWater',
    },
    {
      why: 'more product than water',
      input: { totalMl: 1000, percent: 51 },
      code: 'out-of-range',
      field: 'percent',
    },
    {
      why: 'a cap of nothing',
      input: { totalMl: 1000, percent: 5, capMl: 0 },
      code: 'out-of-range',
      field: 'capMl',
    },
  ])('refuses $why', ({ input, code, field }) => {
    expect(() => dilution(input)).toThrow(expect.objectContaining({ code, field }));
  });
});

describe('panelImpact', () => {
  it('6 % by hand sprayer is 60 mL made up to 1 L', () => {
    expect(panelImpact({ panelPercent: 6, applicator: 'hand-sprayer', bottleMl: 1000 })).toMatchObject({
      possible: true,
      productMl: 60,
      waterMl: 940,
    });
  });

  it('a lance that draws 1:10 needs 60 % in the bottle', () => {
    expect(
      panelImpact({ panelPercent: 6, applicator: 'lance', bottleMl: 1000, outputLitresPerBottle: 10 })
        .bottlePercent,
    ).toBeCloseTo(60, 9);
  });

  it('says how strong it can get where the wish cannot be met', () => {
    expect(
      panelImpact({ panelPercent: 6, applicator: 'lance', bottleMl: 1000, outputLitresPerBottle: 20 }),
    ).toEqual({
      possible: false,
      bottlePercent: null,
      productMl: null,
      waterMl: null,
      highestPanelPercent: 5,
    });
  });

  it('needs the output of a lance', () => {
    expect(() => panelImpact({ panelPercent: 6, applicator: 'lance', bottleMl: 1000 })).toThrow(
      expect.objectContaining({ code: 'missing-field', field: 'outputLitresPerBottle' }),
    );
  });
});

describe('buckets', () => {
  it('mixes by heat: the heat of the mix is that of its parts', () => {
    const { hotLitres, coldLitres } = mixWater({ hotC: 60, coldC: 6, targetC: 38, litres: 12 });
    expect(hotLitres + coldLitres).toBeCloseTo(12, 9);
    expect(hotLitres * 60 + coldLitres * 6).toBeCloseTo(12 * 38, 9);
  });

  it('warns above what hands stand, and not at it', () => {
    expect(mixWater({ hotC: 60, coldC: 6, targetC: 45, litres: 1 }).caution).toBeUndefined();
    expect(mixWater({ hotC: 60, coldC: 6, targetC: 45.1, litres: 1 }).caution).toMatch(/not for hands/);
  });

  it('refuses a target that the waters cannot reach', () => {
    expect(() => mixWater({ hotC: 40, coldC: 6, targetC: 41, litres: 1 })).toThrow(
      expect.objectContaining({ field: 'targetC' }),
    );
    expect(() => mixWater({ hotC: 6, coldC: 6, targetC: 6, litres: 1 })).toThrow(
      expect.objectContaining({ field: 'hotC' }),
    );
  });

  it('cools by Newton: half the excess after its half-life, less with a lid', () => {
    const halfLifeMinutes = (Math.log(2) * 10 * 4186) / 5 / 60;
    const open = bucketCooling({
      litres: 10,
      startC: 50,
      ambientC: 10,
      uaWattsPerK: 5,
      minutes: halfLifeMinutes,
    }).tempC;
    expect(open).toBeCloseTo(30, 6);
    expect(
      bucketCooling({ litres: 10, startC: 50, ambientC: 10, uaWattsPerK: 1.8, minutes: halfLifeMinutes })
        .tempC,
    ).toBeGreaterThan(open);
  });
});

describe('residue and resin', () => {
  it('a gram of film is a millilitre', () => {
    expect(residue({ tdsMgPerLitre: 300, filmGramsPerM2: 60 }).mgPerM2).toBeCloseTo(18, 9);
  });

  it('counts resin by litres and hardness, never below none left', () => {
    const resin = { resinLitres: 5, capacityGramsPerLitre: 23, tdsMgPerLitre: 230 };
    expect(resinLife(resin)).toEqual({ litresTotal: 500, litresLeft: 500 });
    expect(resinLife({ ...resin, usedLitres: 120 }).litresLeft).toBeCloseTo(380, 9);
    expect(resinLife({ ...resin, usedLitres: 900 }).litresLeft).toBe(0);
  });
});
