import { describe, expect, it } from '@jest/globals';
import { piece } from '../testing/shop.js';
import { cleanOf, demoted, type Gear, isWorn, kitWarnings, laundered, takenFrom } from './index.js';

const towels = (change: Partial<Gear> = {}): Gear =>
  piece({ id: 't', name: 'Towels', kind: 'folded-towel', count: 20, cleanCount: 5, ...change });

describe('cloths that age', () => {
  it.each([
    { launderedTimes: 59, duty: 'paint', worn: false },
    { launderedTimes: 60, duty: 'paint', worn: true },
    { launderedTimes: 60, duty: 'sills', worn: false },
    { launderedTimes: 90, duty: 'sills', worn: true },
    { launderedTimes: 119, duty: 'wheels', worn: false },
    { launderedTimes: 120, duty: 'wheels', worn: true },
  ] as const)('laundered $launderedTimes times, for $duty: worn is $worn', ({ worn, ...change }) => {
    expect(isWorn(towels(change))).toBe(worn);
  });

  it('are not worn where nobody counted, and a bucket never is', () => {
    expect(isWorn(towels())).toBe(false);
    expect(isWorn(towels({ kind: 'bucket', launderedTimes: 500 }))).toBe(false);
  });

  it('go down from paint to sills, to wheels, to the rags', () => {
    expect(demoted(towels())).toBe('sills');
    expect(demoted(towels({ duty: 'sills' }))).toBe('wheels');
    expect(demoted(towels({ duty: 'wheels' }))).toBeNull();
  });

  it('are as much older by a load as there were soiled ones in it', () => {
    expect(laundered(towels({ launderedTimes: 7 }))).toEqual({ cleanCount: 20, launderedTimes: 7.75 });
    expect(laundered(towels({ cleanCount: 20 }))).toEqual({ cleanCount: 20, launderedTimes: 0 });
    expect(laundered(towels({ count: 0, cleanCount: 0 })).launderedTimes).toBe(0);
  });

  it('count for a wash only while they may touch paint', () => {
    const gear = [towels(), towels({ id: 'old', duty: 'wheels', cleanCount: 9 })];
    expect(cleanOf({ gear }, 'folded-towel')).toBe(5);
    const use = { products: [], foldedTowels: 8, dryingTowels: 0, mitts: 0, tapLitres: 0, resinLitres: 0 };
    expect(takenFrom({ products: [], gear }, use).cloths).toEqual([{ gearId: 't', count: 5 }]);
  });

  it('are named among what is to be seen to', () => {
    const old = towels({ launderedTimes: 61 });
    expect(kitWarnings({ products: [], gear: [old, towels({ id: 'new' })] }, null).worn).toEqual([old]);
  });
});
