import { describe, expect, it } from '@jest/globals';
import { EMPTY_PRICE_LIST, type PriceList, quote } from './index.js';

const LIST: PriceList = {
  methods: { 'bay-contact': { saloon: 4500, van: 6000 } },
  extras: { underbody: 2000 },
};
const asked = { methodId: 'bay-contact', bodyClass: 'van', extras: [], costMinor: 2100 } as const;

describe('a quote', () => {
  it('goes by method and body', () => {
    expect(quote(LIST, asked)).toMatchObject({ totalMinor: 6000, leftMinor: 3900 });
    expect(quote(LIST, { ...asked, bodyClass: 'saloon' }).totalMinor).toBe(4500);
  });

  it('has a line for each part', () => {
    const { lines, totalMinor } = quote(LIST, { ...asked, extras: ['underbody'] });
    expect(lines.map(({ priceMinor }) => priceMinor)).toEqual([6000, 2000]);
    expect(totalMinor).toBe(8000);
  });

  it.each([
    { why: 'no such body', change: { bodyClass: 'suv' } },
    { why: 'no such method', change: { methodId: 'waterless' } },
    { why: 'an extra without a price', change: { extras: ['polish'] } },
  ] as const)('has no sum where a part has no price: $why', ({ change }) => {
    expect(quote(LIST, { ...asked, ...change })).toMatchObject({ totalMinor: null, leftMinor: null });
  });

  it('knows nothing from an empty list', () => {
    expect(quote(EMPTY_PRICE_LIST, asked).lines).toEqual([
      { what: { kind: 'method', methodId: 'bay-contact' }, priceMinor: null },
    ]);
  });

  it('may leave less than nothing', () => {
    expect(quote(LIST, { ...asked, costMinor: 7000 }).leftMinor).toBe(-1000);
  });
});
