import { describe, expect, it } from '@jest/globals';
import { MS_PER_HOUR } from '../quantity/index.js';
import { FACTS, NOW_MS, ofCar, washAgo } from '../testing/facts.js';
import { BAY } from '../testing/shop.js';
import { carStateOf, KEEP_NOTHING } from './index.js';

const washedAt = (siteSoap: 'weak' | 'ordinary', placeId?: string) => {
  const bay = { ...BAY, forbids: ['no-own-foam' as const], siteSoap };
  const washes = [washAgo(24, { methodId: 'bay-touch-free', ...(placeId ? { placeId } : {}) })];
  return carStateOf({ ...ofCar({ washes }), places: [FACTS.places[0] ?? BAY, bay] }, KEEP_NOTHING);
};

const DAYS = 24 * MS_PER_HOUR;
const before = (daysAgo: number, isKnown: boolean) =>
  carStateOf(ofCar({ washes: [], washedBefore: { atMs: NOW_MS - daysAgo * DAYS, isKnown } }), KEEP_NOTHING);

describe('a car without a wash in its log', () => {
  const saltOf = ({ ledger }: ReturnType<typeof before>): number =>
    ledger.zones().reduce((sum, { loadGramsPerM2 }) => sum + loadGramsPerM2, 0);

  it('is as salty and as long unwashed as what was told of its last wash makes it, known or assumed', () => {
    const [never, long, short] = [
      carStateOf(ofCar({ washes: [], washedBefore: null }), KEEP_NOTHING),
      before(7, true),
      before(1, false),
    ];
    expect(saltOf(short)).toBeLessThan(saltOf(long));
    expect(saltOf(long)).toBeLessThan(saltOf(never));
    expect(short.soilByGroup.lower).toBeLessThan(never.soilByGroup.lower);
    expect(never.lastWashMs).toBeNull();
    expect(long.lastWashMs).toBe(NOW_MS - 7 * DAYS);
    expect(long.target.used).toBeCloseTo(7, 1);
  });

  it('knows its last wash where its keeper told it, or the log has one', () => {
    expect(before(7, true).isLastWashKnown).toBe(true);
    expect(before(7, false).isLastWashKnown).toBe(false);
    expect(carStateOf(ofCar({ washes: [], washedBefore: null }), KEEP_NOTHING).isLastWashKnown).toBe(false);
    const logged = ofCar({
      washes: [washAgo(48)],
      washedBefore: { atMs: NOW_MS - 7 * DAYS, isKnown: false },
    });
    const state = carStateOf(logged, KEEP_NOTHING);
    expect(state.isLastWashKnown).toBe(true);
    expect(state.lastWashMs).toBeGreaterThan(NOW_MS - 3 * DAYS);
  });

  it('lays no coat that nobody told of', () => {
    expect(before(7, true).washes[0]?.laid).toEqual([]);
  });
});

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
