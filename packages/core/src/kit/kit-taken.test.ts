import { describe, expect, it } from '@jest/globals';
import type { Method } from '../method/index.js';
import type { Place } from '../place/index.js';
import { piece, WATER } from '../testing/shop.js';
import { type Gear, givenBack, takenFrom, washUse, type WashUse } from './index.js';

const gear = (id: string, kind: Gear['kind'], change: Partial<Gear> = {}): Gear =>
  piece({ id, name: id, kind, count: 10, cleanCount: 10, ...change });
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

describe('the water of a wash', () => {
  const steps = [
    { id: 'rinse', litres: 30 },
    { id: 'contact', litres: 12 },
    { id: 'final-rinse', litres: 20 },
  ] as unknown as Method['steps'];
  const media = { mitts: 2, foldedTowels: 5, dryingTowels: 1 };
  const at = (kind: Place['kind'], finalRinse: Place['finalRinse']) => {
    const { tapLitres, resinLitres } = washUse({ steps, media }, [], { kind, finalRinse });
    return { tapLitres, resinLitres };
  };

  it.each([
    {
      kind: 'garage',
      rinse: null,
      is: { tapLitres: 62, resinLitres: 0 },
      why: 'all through the tap’s filter',
    },
    {
      kind: 'garage',
      rinse: WATER,
      is: { tapLitres: 42, resinLitres: 20 },
      why: 'the last through the resin',
    },
    { kind: 'drive', rinse: WATER, is: { tapLitres: 42, resinLitres: 20 }, why: 'as in the garage' },
    { kind: 'heated-unit', rinse: null, is: { tapLitres: 62, resinLitres: 0 }, why: 'as in the garage' },
    {
      kind: 'self-serve-bay',
      rinse: WATER,
      is: { tapLitres: 0, resinLitres: 0 },
      why: 'the site’s own water',
    },
    { kind: 'automatic-bay', rinse: null, is: { tapLitres: 0, resinLitres: 0 }, why: 'the site’s own water' },
  ] as const)('$kind: $why', ({ kind, rinse, is }) => {
    expect(at(kind, rinse)).toEqual(is);
  });

  it('goes beside the cloths that the wash soils', () => {
    expect(washUse({ steps, media }, [], { kind: 'self-serve-bay', finalRinse: null })).toMatchObject(media);
  });
});

describe('a filter', () => {
  const resin = (id: string, lifeLitres: number | null, litresUsed: number): Gear =>
    ({ id, kind: 'resin', lifeLitres, litresUsed }) as Gear;
  const use = { products: [], foldedTowels: 0, dryingTowels: 0, mitts: 0, tapLitres: 0, resinLitres: 8 };
  const by = (...gear: Gear[]) => takenFrom({ products: [], gear }, use).filters;

  it('whose life nobody knows is used as long as it is there', () => {
    expect(by(resin('a', null, 9000), resin('b', 100, 0))).toEqual([{ gearId: 'a', litres: 8 }]);
  });

  it('gives way to the next at its last litre', () => {
    expect(by(resin('a', 100, 99), resin('b', 100, 0))[0]?.gearId).toBe('a');
    expect(by(resin('a', 100, 100), resin('b', 100, 0))[0]?.gearId).toBe('b');
    expect(by(resin('a', 100, 100), resin('b', 100, 100))[0]?.gearId).toBe('b');
  });

  it('that is not owned takes nothing, nor does no water', () => {
    expect(by()).toEqual([]);
    expect(takenFrom({ products: [], gear: [resin('a', 9, 0)] }, { ...use, resinLitres: 0 }).filters).toEqual(
      [],
    );
  });
});

describe('a kit that gets back what was taken', () => {
  const kit = {
    products,
    gear: [gear('t', 'folded-towel', { cleanCount: 9 }), gear('f', 'resin', { litresUsed: 5 })],
  };

  it('has it all again, and no more cloths than it owns nor a filter newer than new', () => {
    const back = givenBack(kit, {
      products: [
        { productId: 'p', ml: 12 },
        { productId: 'gone', ml: 3 },
      ],
      cloths: [{ gearId: 't', count: 4 }],
      filters: [{ gearId: 'f', litres: 8 }],
    });
    expect(back.products.map(({ id, leftMl }) => [id, leftMl])).toEqual([['p', 52]]);
    expect(back.gear.map(({ cleanCount, litresUsed }) => [cleanCount, litresUsed])).toEqual([
      [10, 0],
      [10, 0],
    ]);
  });

  it('is as it was where what it could give comes back', () => {
    const use = { ...NO_USE, foldedTowels: 3, resinLitres: 7, products: [{ productId: 'p', ml: 30 }] };
    const taken = takenFrom(kit, use);
    const after = {
      products: products.map((one) => ({ ...one, leftMl: one.leftMl - 30 })),
      gear: [gear('t', 'folded-towel', { cleanCount: 6 }), gear('f', 'resin', { litresUsed: 12 })],
    };
    expect(givenBack(after, taken)).toEqual(kit);
  });
});
