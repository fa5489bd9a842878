import { describe, expect, it } from '@jest/globals';
import { EMPTY_PRICE_LIST, MOST_MINOR } from '@keen/core';
import { refused } from '../testing/refused-field.js';
import { checkedProducts, checkedStock, merged, mergedPrices, mergedTemplates } from './shop-lists.js';

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
