import { describe, expect, it } from '@jest/globals';
import { EMPTY_PRICE_LIST, MOST_MINOR } from '@keen/core';
import {
  checkedProducts,
  checkedStock,
  checkedVariants,
  merged,
  mergedPrices,
  mergedTemplates,
} from './shop-lists.js';

/** The field that is refused; null: nothing is. */
function refused(work: () => unknown): string | null {
  try {
    work();
    return null;
  } catch (error) {
    return (error as { response: { error: { field: string } } }).response.error.field;
  }
}

describe('what is counted by method', () => {
  it('is whole washes of methods that there are', () => {
    expect(checkedStock({ 'bay-contact': 3, waterless: 0 })).toEqual({ 'bay-contact': 3, waterless: 0 });
    expect(checkedStock({ waterless: 100_000 })).toEqual({ waterless: 100_000 });
  });

  it.each([-1, 0.5, 100_001, '3', null, Number.NaN])('is refused as %p', (value) => {
    expect(refused(() => checkedStock({ waterless: value }))).toBe('stock.waterless');
  });

  it('is refused for a method that is none', () => {
    expect(refused(() => checkedStock({ sandblast: 1 }))).toBe('stock.sandblast');
  });
});

describe('the shop’s own way of a method', () => {
  const variant = (change: object) => ({ 'bay-contact': { steps: [], leftOut: [], ...change } });
  const step = (change: object) => variant({ steps: [{ key: 'rinse-0', ...change }] });

  it('is kept with what was not said left as it ships', () => {
    expect(checkedVariants(step({}))).toEqual(
      variant({ steps: [{ key: 'rinse-0', minutes: null, note: '' }] }),
    );
    const all = variant({
      steps: [
        { key: '+iron', minutes: 240, note: 'x'.repeat(200) },
        { key: '+rinse-12', minutes: 0.1, note: '' },
      ],
      leftOut: ['shuts-0'],
    });
    expect(checkedVariants(all)).toEqual(all);
  });

  it.each([
    { change: variant({}), methodId: 'sandblast', field: 'house.variants.sandblast' },
    { change: { 'bay-contact': [] }, field: 'house.variants.bay-contact' },
    { change: { 'bay-contact': null }, field: 'house.variants.bay-contact' },
    { change: variant({ steps: {} }), field: 'house.variants.bay-contact.steps' },
    { change: variant({ leftOut: 'rinse-0' }), field: 'house.variants.bay-contact.leftOut' },
    {
      change: variant({ steps: Array(61).fill({ key: 'rinse-0' }) }),
      field: 'house.variants.bay-contact.steps',
    },
    { change: variant({ steps: ['rinse-0'] }), field: 'house.variants.bay-contact.steps.0' },
    { change: step({ key: 'Rinse' }), field: 'house.variants.bay-contact.steps.0.key' },
    { change: step({ key: 7 }), field: 'house.variants.bay-contact.steps.0.key' },
    { change: step({ key: '++rinse' }), field: 'house.variants.bay-contact.steps.0.key' },
    { change: step({ minutes: 0 }), field: 'house.variants.bay-contact.steps.0.minutes' },
    { change: step({ minutes: 240.1 }), field: 'house.variants.bay-contact.steps.0.minutes' },
    { change: step({ minutes: '4' }), field: 'house.variants.bay-contact.steps.0.minutes' },
    { change: step({ note: 'x'.repeat(201) }), field: 'house.variants.bay-contact.steps.0.note' },
    { change: step({ note: 4 }), field: 'house.variants.bay-contact.steps.0.note' },
    { change: variant({ leftOut: ['shuts-123'] }), field: 'house.variants.bay-contact.leftOut.0' },
  ])('is refused by $field', ({ change, methodId, field }) => {
    const given = methodId ? { [methodId]: change['bay-contact'] } : change;
    expect(refused(() => checkedVariants(given))).toBe(field);
  });

  it('tells each step once, and leaves out none that it tells', () => {
    const twice = variant({ steps: [{ key: 'rinse-0' }, { key: 'foam-0' }, { key: 'rinse-0' }] });
    expect(refused(() => checkedVariants(twice))).toBe('house.variants.bay-contact.steps.2.key');
    const both = variant({ steps: [{ key: 'rinse-0' }], leftOut: ['rinse-0'] });
    expect(refused(() => checkedVariants(both))).toBe('house.variants.bay-contact.steps.0.key');
  });

  it('has sixty steps at most', () => {
    const steps = Array.from({ length: 60 }, (_, i) => ({ key: `rinse-${i}` }));
    expect(checkedVariants(variant({ steps }))['bay-contact']?.steps).toHaveLength(60);
  });
});

describe('the bottle of a step', () => {
  it('is any id, of a kind of step that there is', () => {
    expect(checkedProducts({ foam: 'x'.repeat(100) })).toEqual({ foam: 'x'.repeat(100) });
    expect(refused(() => checkedProducts({ sand: 'x' }))).toBe('house.products.sand');
  });

  it.each(['', 'x'.repeat(101), 7, null])('is refused as %p', (value) => {
    expect(refused(() => checkedProducts({ foam: value }))).toBe('house.products.foam');
  });
});

describe('a list of which some rows change', () => {
  const before = { a: 1, b: 2 };
  const asNumbers = (rows: Readonly<Record<string, unknown>>) => rows as Partial<typeof before>;

  it('keeps what is not named, takes out what is null, changes the rest', () => {
    expect(merged(before, undefined, asNumbers)).toBe(before);
    expect(merged(before, {}, asNumbers)).toEqual(before);
    expect(merged(before, { a: null }, asNumbers)).toEqual({ b: 2 });
    expect(merged(before, { b: 9, a: null }, asNumbers)).toEqual({ b: 9 });
  });

  it('asks only about what stays', () => {
    const asked: unknown[] = [];
    merged(before, { a: null, b: 9 }, (rows) => {
      asked.push(rows);
      return {};
    });
    expect(asked).toEqual([{ b: 9 }]);
  });
});

describe('what customers pay', () => {
  const before = {
    ...EMPTY_PRICE_LIST,
    methods: { 'bay-contact': { saloon: 4000, van: 7000 }, waterless: { saloon: 1000 } },
    extras: { underbody: 1500 },
  };

  it('changes row by row, and a price that is null is off the list', () => {
    const after = mergedPrices(before, {
      methods: { 'bay-contact': { van: null, hatch: 3500 } },
      extras: { underbody: null, decontaminate: 9000 },
    });
    expect(after).toEqual({
      methods: { 'bay-contact': { saloon: 4000, hatch: 3500 }, waterless: { saloon: 1000 } },
      extras: { decontaminate: 9000 },
    });
    expect(mergedPrices(before, {})).toEqual(before);
    expect(mergedPrices(before, { methods: { 'salt-flush': { saloon: MOST_MINOR } } }).methods).toMatchObject(
      {
        'salt-flush': { saloon: MOST_MINOR },
      },
    );
  });

  it.each([
    { given: { methods: [] }, field: 'priceList.methods' },
    { given: { extras: 5 }, field: 'priceList.extras' },
    { given: { methods: { sandblast: {} } }, field: 'priceList.methods.sandblast' },
    { given: { methods: { waterless: 5 } }, field: 'priceList.methods.waterless' },
    { given: { methods: { waterless: { tank: 5 } } }, field: 'priceList.methods.waterless.tank' },
    { given: { methods: { waterless: { saloon: -5 } } }, field: 'priceList.methods.waterless.saloon' },
    {
      given: { methods: { waterless: { saloon: MOST_MINOR + 1 } } },
      field: 'priceList.methods.waterless.saloon',
    },
    { given: { extras: { hoovering: 5 } }, field: 'priceList.extras.hoovering' },
    { given: { extras: { underbody: 0.5 } }, field: 'priceList.extras.underbody' },
  ])('is refused by $field', ({ given, field }) => {
    expect(refused(() => mergedPrices(before, given))).toBe(field);
  });
});

describe('the shop’s own words', () => {
  it('replace what was said of their kind, and go back to what ships where they are empty', () => {
    const before = { booked: 'Old.', moved: 'Moved.' };
    expect(mergedTemplates(before, undefined)).toEqual(before);
    expect(mergedTemplates(before, { booked: 'New.' })).toEqual({ booked: 'New.', moved: 'Moved.' });
    expect(mergedTemplates(before, { booked: ' \n' })).toEqual({ moved: 'Moved.' });
    expect(mergedTemplates({}, { booked: 'x'.repeat(2000) }).booked).toHaveLength(2000);
  });

  it.each([
    { given: { shouted: 'x' }, field: 'templates.shouted' },
    { given: { booked: 7 }, field: 'templates.booked' },
    { given: { booked: 'x'.repeat(2001) }, field: 'templates.booked' },
  ])('are refused by $field', ({ given, field }) => {
    expect(refused(() => mergedTemplates({}, given))).toBe(field);
  });
});
