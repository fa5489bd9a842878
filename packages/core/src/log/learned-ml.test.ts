import { describe, expect, it } from '@jest/globals';
import { DEFAULT_HOUSE } from '../house-rules/index.js';
import type { BottleLevel } from '../kit/index.js';
import { sizeFactor } from '../method/index.js';
import { VEHICLE } from '../testing/shop.js';
import { learnedMl, type LearnMlCase } from './index.js';

const VAN = { ...VEHICLE, id: 'van', bodyClass: 'van' as const };
const level = (atMs: number, readMl: number, expectedMl = readMl): BottleLevel => ({
  atMs,
  readMl,
  expectedMl,
});
const wash = (startMs: number, ml = 40, change: object = {}): LearnMlCase['washes'][number] =>
  ({
    vehicleId: VEHICLE.id,
    status: 'done',
    startMs,
    found: { used: { products: [{ productId: 'soap', ml }] } },
    ...change,
  }) as unknown as LearnMlCase['washes'][number];

const learned = (
  levels: readonly BottleLevel[] | null,
  washes: LearnMlCase['washes'],
  carMl: number | null = null,
) =>
  learnedMl({
    products: [{ id: 'soap', carMl, levels }],
    washes,
    vehicles: [VEHICLE, VAN],
    house: DEFAULT_HOUSE,
  });

/** Full at 0; three washes later it should hold 880 mL, and holds 820. */
const LEVELS = [level(0, 1000), level(100, 820, 880)];
const THREE = [wash(10), wash(20), wash(30)];

describe('what the bottles say of a wash', () => {
  it('is mL used over mL expected, for a saloon', () => {
    expect(learned(LEVELS, THREE)).toEqual([{ productId: 'soap', cars: 3, ml: 60, countedMl: 40 }]);
  });

  it('is said after three washes between the readings', () => {
    expect(learned(LEVELS, THREE.slice(0, 2))).toEqual([]);
    expect(learned(LEVELS, [...THREE.slice(0, 2), wash(-1), wash(100)])).toEqual([]);
    expect(learned(LEVELS, [wash(0), wash(99), wash(50)])).toHaveLength(1);
  });

  it('counts done washes of known cars that used it, and no others', () => {
    const others = [
      wash(40, 40, { status: 'planned' }),
      wash(40, 40, { vehicleId: 'gone' }),
      wash(40, 40, { found: null }),
      wash(40, 40, { found: {} }),
      wash(40, 0),
      wash(40, 40, { found: { used: { products: [{ productId: 'wax', ml: 40 }] } } }),
    ];
    expect(learned(LEVELS, [...THREE, ...others])[0]?.cars).toBe(3);
    expect(learned(LEVELS, [...THREE.slice(0, 2), ...others])).toEqual([]);
  });

  it('is a saloon’s, whatever was washed', () => {
    const factor = sizeFactor(DEFAULT_HOUSE, VAN);
    const vans = [10, 20, 30].map((atMs) => wash(atMs, 40 * factor, { vehicleId: 'van' }));
    expect(learned(LEVELS, vans)).toEqual(learned(LEVELS, THREE));
    expect(factor).toBeGreaterThan(1);
  });

  it('leaves aside a span in which it was filled up, or in which nothing was expected', () => {
    const filled = [level(0, 300), level(50, 1000, 260), level(100, 880, 940)];
    expect(learned(filled, [wash(10), wash(60), wash(70), wash(80)])).toMatchObject([{ cars: 3, ml: 80 }]);
    expect(learned([level(0, 1000), level(100, 900, 1000)], THREE)).toEqual([]);
    expect(learned([level(0, 1000), level(100, 1000, 880)], THREE)).toEqual([]);
  });

  it('sums over spans', () => {
    const twice = [level(0, 1000), level(50, 900, 920), level(100, 760, 820)];
    expect(learned(twice, [wash(10), wash(20), wash(60), wash(70)])).toMatchObject([{ cars: 4, ml: 60 }]);
  });

  it('is nothing within 15 % of what is counted, which is what the shop says where it says so', () => {
    const at = (readMl: number, carMl: number | null = null) =>
      learned([level(0, 1000), level(100, readMl, 880)], THREE, carMl);
    expect(at(865)).toEqual([]);
    expect(at(863)).toMatchObject([{ ml: 46 }]);
    expect(at(897)).toMatchObject([{ ml: 34 }]);
    expect(at(895)).toEqual([]);
    expect(at(820, 60)).toEqual([]);
    expect(at(820, 40)).toMatchObject([{ ml: 60, countedMl: 40 }]);
  });

  it('is nothing of a bottle that nobody read again', () => {
    expect(learned(null, THREE)).toEqual([]);
    expect(learned([level(0, 1000)], THREE)).toEqual([]);
  });
});
