import { describe, expect, it } from '@jest/globals';
import { bottleMix, dilution, mixed } from './index.js';

describe('I put this much in that much', () => {
  it('is shown as a ratio and a percentage, the inverse of a dilution', () => {
    const made = dilution({ totalMl: 1000, partsWater: 9 });
    expect(mixed(made)).toMatchObject({ compared: 'not-compared', totalMl: 1000 });
    expect(mixed(made).partsWater).toBeCloseTo(9, 9);
    expect(mixed(made).percent).toBeCloseTo(10, 9);
  });

  it.each([
    { productMl: 350, waterMl: 3000, compared: 'stronger', addWaterMl: 500, addProductMl: 0 },
    { productMl: 100, waterMl: 3000, compared: 'weaker', addWaterMl: 0, addProductMl: 200 },
    { productMl: 300, waterMl: 3059, compared: 'as-wanted', addWaterMl: 0, addProductMl: 0 },
    { productMl: 300, waterMl: 3061, compared: 'weaker', addWaterMl: 0, addProductMl: 6.1 },
    { productMl: 300, waterMl: 2939, compared: 'stronger', addWaterMl: 61, addProductMl: 0 },
  ])('$productMl in $waterMl for 1:10 is $compared', ({ compared, addWaterMl, addProductMl, ...put }) => {
    const found = mixed({ ...put, wantedPartsWater: 10 });
    expect(found.compared).toBe(compared);
    expect(found.addWaterMl).toBeCloseTo(addWaterMl, 9);
    expect(found.addProductMl).toBeCloseTo(addProductMl, 9);
    const then = {
      productMl: put.productMl + found.addProductMl,
      waterMl: put.waterMl + found.addWaterMl,
      wantedPartsWater: 10,
    };
    expect(mixed(then).compared).toBe('as-wanted');
  });

  it('asks for what was meant where litres were typed for millilitres', () => {
    expect(() => mixed({ productMl: 350, waterMl: 3 })).toThrow(
      expect.objectContaining({
        field: 'waterMl',
        message: expect.stringContaining('Was 3000 mL (3 L) meant?'),
      }),
    );
    expect(() => mixed({ productMl: 5000, waterMl: 3 })).toThrow(
      expect.objectContaining({ message: expect.not.stringContaining('meant') }),
    );
    expect(() => mixed({ productMl: 0, waterMl: 3 })).toThrow(
      expect.objectContaining({ field: 'productMl' }),
    );
  });
});

describe('several products in one bottle', () => {
  it('are each measured for the whole bottle', () => {
    const { productMl, waterMl, percent } = bottleMix({ bottleMl: 1000, partsWater: [9, 19] });
    expect(productMl.map((ml) => Math.round(ml * 1e6) / 1e6)).toEqual([100, 50]);
    expect(waterMl).toBeCloseTo(850, 9);
    expect(percent[1]).toBeCloseTo(5, 9);
    const alone = bottleMix({ bottleMl: 750, partsWater: [9] });
    expect(alone.waterMl).toBeCloseTo(dilution({ totalMl: 750, partsWater: 9 }).waterMl, 9);
  });

  it.each([
    { bottleMl: 9, partsWater: [9], field: 'bottleMl' },
    { bottleMl: 1000, partsWater: [], field: 'partsWater.length' },
    { bottleMl: 1000, partsWater: [9, 0.5], field: 'partsWater.1' },
    { bottleMl: 1000, partsWater: [1, 1, 1], field: 'partsWater' },
  ])('are refused by $field', ({ field, ...input }) => {
    expect(() => bottleMix(input)).toThrow(expect.objectContaining({ field }));
  });
});
