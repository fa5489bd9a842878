import { describe, expect, it } from '@jest/globals';
import { DEFAULT_HOUSE } from '../house-rules/index.js';
import { atFittings, fittingsOf, type Method, PLAIN_FITTINGS, shopMethod } from './index.js';

const car = { delicateWheels: false, bodyClass: 'saloon', protection: 'wax', protections: [] } as const;
const method = (id: string): Method => shopMethod(id, DEFAULT_HOUSE, car);
const idsOf = ({ steps }: Method): string[] => steps.map(({ id }) => id);

describe('what a place makes of a method', () => {
  it('is nothing where it has nothing out of the ordinary', () => {
    const plain = method('bay-contact');
    expect(atFittings(plain, PLAIN_FITTINGS)).toBe(plain);
  });

  it('takes foam from the site’s lance, on the meter, where one’s own is forbidden', () => {
    const plain = method('bay-contact');
    const there = atFittings(plain, { ...PLAIN_FITTINGS, allowsOwnFoam: false });
    const foamed = plain.steps.find(({ id }) => id === 'foam')?.minutes ?? NaN;
    expect(there.needs).not.toContain('own-foam');
    expect(there.steps.find(({ id }) => id === 'foam')?.onMeter).toBe(true);
    expect(there.meterSeconds).toBeCloseTo(plain.meterSeconds + 60 * foamed, 6);
    expect(there.minutes).toBeCloseTo(plain.minutes, 6);
  });

  it('fills buckets from the gun before the first paid step, as warm as its water is, and pays for it', () => {
    const plain = method('bay-contact');
    const there = atFittings(plain, { ...PLAIN_FITTINGS, gunC: 34 });
    const at = idsOf(there).indexOf('fill-buckets');
    expect(there.steps[at + 1]?.onMeter).toBe(true);
    expect(there.steps.slice(0, at).some(({ onMeter }) => onMeter)).toBe(false);
    // Twenty litres at nine a minute.
    expect(there.minutes - plain.minutes).toBeCloseTo(20 / 9, 1);
    expect(there.meterSeconds - plain.meterSeconds).toBeCloseTo((60 * 20) / 9, 0);
    expect(there).toMatchObject({ bucketC: 34, fillsBuckets: true });
    expect(there.litres).toBe(plain.litres);
  });

  it('fills nothing where no bucket is needed, or none is one’s own', () => {
    const gun = { ...PLAIN_FITTINGS, gunC: 34 };
    expect(idsOf(atFittings(method('bay-touch-free'), gun))).not.toContain('fill-buckets');
    expect(idsOf(atFittings(method('touchless-automatic'), gun))).not.toContain('fill-buckets');
  });

  it('covers the car beside it first, where a mist could reach it; a jet is not covered but refused', () => {
    const beside = { ...PLAIN_FITTINGS, hasNeighbour: true };
    const plain = method('garage-rinseless');
    const there = atFittings(plain, beside);
    expect(idsOf(there)[0]).toBe('shield-neighbour');
    expect(there.minutes - plain.minutes).toBeGreaterThanOrEqual(5);
    expect(there.minutes - plain.minutes).toBeLessThanOrEqual(10);
    expect(atFittings(method('garage-hose'), beside)).toEqual(method('garage-hose'));
  });

  it('is read from the place, ordinary where it does not say', () => {
    const water = {
      name: 'Bay',
      hardnessMgPerLitre: 90,
      tdsMgPerLitre: 140,
      tempC: 31,
      origin: 'default',
    } as const;
    expect(fittingsOf({ forbids: [], washWater: water })).toEqual(PLAIN_FITTINGS);
    expect(
      fittingsOf({
        forbids: ['no-own-foam', 'neighbour-close'],
        washWater: water,
        siteSoap: 'weak',
        bucketWater: 'gun',
      }),
    ).toEqual({ siteSoap: 'weak', allowsOwnFoam: false, gunC: 31, hasNeighbour: true });
  });
});
