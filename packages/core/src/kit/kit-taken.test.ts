import { describe, expect, it } from '@jest/globals';
import { type Gear, takenFrom, type WashUse } from './index.js';

const gear = (id: string, kind: Gear['kind'], change: Partial<Gear> = {}): Gear => ({
  id,
  name: id,
  kind,
  count: 10,
  cleanCount: 10,
  volumeMl: null,
  outputLitresPerBottle: null,
  lifeLitres: null,
  litresUsed: 0,
  notes: '',
  ...change,
});
const NO_USE: WashUse = {
  products: [],
  foldedTowels: 0,
  dryingTowels: 0,
  mitts: 0,
  tapLitres: 0,
  resinLitres: 0,
};
const products = [{ id: 'p', leftMl: 40 }] as unknown as Parameters<typeof takenFrom>[0]['products'];

describe('what a wash takes out of the kit', () => {
  it.each([
    { wants: 39, ml: [39], why: 'less than there is' },
    { wants: 40, ml: [40], why: 'all that there is' },
    { wants: 41, ml: [40], why: 'no more than there is' },
    { wants: 0, ml: [], why: 'nothing' },
  ])('$why', ({ wants, ml }) => {
    const { products: taken } = takenFrom(
      { products, gear: [] },
      { ...NO_USE, products: [{ productId: 'p', ml: wants }] },
    );
    expect(taken.map((one) => one.ml)).toEqual(ml);
  });

  it('is nothing of a bottle that was removed', () => {
    const use = { ...NO_USE, products: [{ productId: 'gone', ml: 10 }] };
    expect(takenFrom({ products, gear: [] }, use).products).toEqual([]);
  });

  it('is clean cloths of its kind, one heap after the other', () => {
    const heaps = [
      gear('a', 'folded-towel', { cleanCount: 3 }),
      gear('b', 'drying-towel', { cleanCount: 9 }),
      gear('c', 'folded-towel', { cleanCount: 4 }),
      gear('m', 'mitt', { cleanCount: 0 }),
    ];
    const { cloths } = takenFrom(
      { products: [], gear: heaps },
      { ...NO_USE, foldedTowels: 5, dryingTowels: 2, mitts: 2 },
    );
    expect(cloths).toEqual([
      { gearId: 'a', count: 3 },
      { gearId: 'c', count: 2 },
      { gearId: 'b', count: 2 },
    ]);
  });

  it.each([
    { why: 'the first that is not spent', used: [99.9, 0], taken: 'a' },
    { why: 'not one that is spent', used: [100, 0], taken: 'b' },
    { why: 'the last of all where all are', used: [100, 120], taken: 'b' },
  ])('goes through one filter: $why', ({ used, taken }) => {
    const filters = used.map((litresUsed, i) =>
      gear('ab'[i] ?? '', 'inline-filter', { lifeLitres: 100, litresUsed }),
    );
    const found = takenFrom({ products: [], gear: filters }, { ...NO_USE, tapLitres: 12 }).filters;
    expect(found).toEqual([{ gearId: taken, litres: 12 }]);
  });

  it('charges the tap’s filter and the resin each for its own litres', () => {
    const both = [gear('f', 'inline-filter'), gear('r', 'resin')];
    expect(
      takenFrom({ products: [], gear: both }, { ...NO_USE, tapLitres: 30, resinLitres: 12 }).filters,
    ).toEqual([
      { gearId: 'f', litres: 30 },
      { gearId: 'r', litres: 12 },
    ]);
    expect(takenFrom({ products: [], gear: both }, { ...NO_USE, tapLitres: 30 }).filters).toHaveLength(1);
  });
});
