import { describe, expect, it } from '@jest/globals';
import { freezeCare } from './index.js';

const ids = (overnightC: number | null): string[] => freezeCare(overnightC).map(({ id }) => id);

describe('freeze care tonight', () => {
  it.each([
    { overnightC: 2, why: 'no frost', count: 0 },
    { overnightC: 0, why: 'at freezing', count: 0 },
    { overnightC: -0.1, why: 'just below', count: 4 },
    { overnightC: -1, why: 'at the limit of the wipers', count: 4 },
    { overnightC: -1.5, why: 'the wipers too', count: 5 },
    { overnightC: -9, why: 'everything', count: 7 },
    { overnightC: null, why: 'nobody knows the night', count: 7 },
  ])('at $overnightC °C: $why', ({ overnightC, count }) => {
    expect(freezeCare(overnightC)).toHaveLength(count);
  });

  it('wants more the colder it gets, and says how far beyond', () => {
    expect(ids(-9)).toEqual(expect.arrayContaining(ids(-1.5)));
    expect(freezeCare(-4).find(({ id }) => id === 'wipers')?.beyondK).toBe(3);
  });
});
