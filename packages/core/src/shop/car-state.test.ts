import { describe, expect, it } from '@jest/globals';
import { FACTS, ofCar, washAgo } from '../testing/facts.js';
import { BAY } from '../testing/shop.js';
import { carStateOf, KEEP_NOTHING } from './index.js';

const washedAt = (siteSoap: 'weak' | 'ordinary', placeId?: string) => {
  const bay = { ...BAY, forbids: ['no-own-foam' as const], siteSoap };
  const washes = [washAgo(24, { methodId: 'bay-touch-free', ...(placeId ? { placeId } : {}) })];
  return carStateOf({ ...ofCar({ washes }), places: [FACTS.places[0] ?? BAY, bay] }, KEEP_NOTHING);
};

describe('a car after a wash at a bay', () => {
  it('keeps more salt where the bay’s own soap is thin', () => {
    const [weak, ordinary] = [washedAt('weak', BAY.id), washedAt('ordinary', BAY.id)];
    expect(weak.washes[0]?.removes.upper).toBeLessThan(ordinary.washes[0]?.removes.upper ?? 0);
    const onDoors = ({ ledger }: typeof weak): number =>
      ledger.zones().find(({ zone }) => zone === 'lower-left')?.loadGramsPerM2 ?? NaN;
    expect(onDoors(weak)).toBeGreaterThan(onDoors(ordinary));
  });

  it('is taken as washed with one’s own foam where nobody knows the place any more', () => {
    expect(washedAt('weak').washes[0]?.removes).toEqual(washedAt('ordinary', 'gone').washes[0]?.removes);
  });
});
