import { describe, expect, it } from '@jest/globals';
import { DEFAULT_HOUSE } from '../house-rules/index.js';
import { shelfOf } from '../kit/index.js';
import { DEFAULT_LIMITS } from '../rules/index.js';
import { BAY, bottle, VEHICLE } from '../testing/shop.js';
import { equippedMethod, methodsByCold, methodsInWays } from './index.js';

const FOAM = bottle({
  role: 'alkaline-pre-wash',
  inUsePh: 10,
  usualParts: 9,
  fewestParts: 4,
  lowestWorkC: -5,
});
const SOAP = bottle({ usualParts: 400, fewestParts: 100 });
const of = {
  vehicle: VEHICLE,
  house: DEFAULT_HOUSE,
  limits: DEFAULT_LIMITS,
  shelf: shelfOf({ products: [FOAM, SOAP, bottle({ role: 'wheel-cleaner', lowestWorkC: 2 })], gear: [] }),
};
const foamOf = (placeC: number | null) =>
  methodsByCold(of)('bay-touch-free', placeC).steps.find(({ id }) => id === 'foam')?.product;

describe('a method by the cold', () => {
  it.each([
    { placeC: null, role: 'alkaline-pre-wash', because: 'meant' },
    { placeC: -5, role: 'alkaline-pre-wash', because: 'meant' },
    { placeC: -5.1, role: 'shampoo', because: 'cold' },
  ])('foams at $placeC °C with $role', ({ placeC, role, because }) => {
    expect(foamOf(placeC)).toMatchObject({ role, because });
  });

  it('is made once for each cold that changes a bottle, and no oftener', () => {
    const methods = methodsByCold(of);
    const at = (placeC: number) => methods('bay-touch-free', placeC);
    expect(at(6)).toBe(at(20));
    expect(at(0)).not.toBe(at(6));
    expect(at(-4)).toBe(at(0));
    expect(at(-8)).not.toBe(at(-4));
    expect(at(-8)).toEqual(equippedMethod('bay-touch-free', { ...of, placeC: -8 }));
  });

  it.each([
    { placeC: null, bucketC: 38 },
    { placeC: 14.9, bucketC: 38 },
    { placeC: 15, bucketC: 20 },
    { placeC: 30, bucketC: 20 },
  ])('at $placeC °C has its buckets at $bucketC', ({ placeC, bucketC }) => {
    expect(methodsByCold(of)('garage-rinseless', placeC).bucketC).toBe(bucketC);
    expect(methodsByCold(of)('bay-touch-free', placeC).bucketC).toBeNull();
  });

  it('tells warm air from air that nobody knows, in whichever order they are asked for', () => {
    const methods = methodsByCold(of);
    const known = methods('garage-rinseless', 20);
    expect(methods('garage-rinseless', null)).not.toBe(known);
    expect(methods('garage-rinseless', 16)).toBe(known);
    expect(methods('bay-touch-free', 20)).toBe(methods('bay-touch-free', null));
  });

  it('is done in the way that is given, else in the usual one', () => {
    const methodOf = methodsInWays(of);
    expect(methodOf('bay-contact', {}, { place: BAY }).wayId).toBe('whole');
    const parts = methodOf('bay-contact', { wayId: 'touch-two-panels', placeC: -8 }, { place: BAY });
    expect(parts.wayId).toBe('touch-two-panels');
    expect(parts.steps.find(({ id }) => id === 'foam')?.product?.role).toBe('shampoo');
    expect(methodOf('bay-contact', { wayId: 'touch-two-panels', placeC: -9 }, { place: BAY })).toBe(parts);
  });
});
