import { describe, expect, it } from '@jest/globals';
import { CAR_ZONES } from '../vehicle/index.js';
import { MOST_SOIL_GRADE, QUICK_LOOKS, type QuickLook, quickLook, soilByGroup } from './index.js';

const groupsAt = (look: QuickLook) =>
  soilByGroup(quickLook(look).map((seen) => ({ ...seen, origin: 'measured' })));

const flankAt = (look: QuickLook): number =>
  quickLook(look).find(({ zone, kind }) => zone === 'lower-left' && kind === 'salt-film')?.grade ?? NaN;

describe('a glance at the whole car', () => {
  it('grades film and grit of every zone, within the scale', () => {
    for (const look of QUICK_LOOKS) {
      const seen = quickLook(look);
      expect(new Set(seen.map(({ zone, kind }) => `${zone} ${kind}`)).size).toBe(2 * CAR_ZONES.length);
      for (const { grade } of seen) {
        expect(grade).toBeGreaterThanOrEqual(0);
        expect(grade).toBeLessThanOrEqual(MOST_SOIL_GRADE);
      }
    }
  });

  it('means by two weeks a light film low down, by a month a heavy one, as the scale has it', () => {
    expect(groupsAt('clean')).toEqual({ upper: 0, lower: 0, wheels: 0, arches: 0, under: 0 });
    expect(quickLook('two-weeks')).toContainEqual({ zone: 'lower-left', kind: 'salt-film', grade: 2 });
    expect(quickLook('two-weeks')).toContainEqual({ zone: 'lower-left', kind: 'grit', grade: 0 });
    expect(quickLook('month')).toContainEqual({ zone: 'lower-left', kind: 'salt-film', grade: 4 });
    expect(groupsAt('caked')).toMatchObject({ lower: 5, wheels: 5, arches: 5, under: 5 });
  });

  it('is heavier from one to the next everywhere, and heaviest where the wheels throw', () => {
    QUICK_LOOKS.slice(1).forEach((look, i) => {
      const before = groupsAt(QUICK_LOOKS[i]!);
      const now = groupsAt(look);
      expect(now.upper).toBeGreaterThanOrEqual(before.upper);
      expect(flankAt(look)).toBeGreaterThan(flankAt(QUICK_LOOKS[i]!));
      expect(now.arches).toBeGreaterThanOrEqual(now.lower);
      expect(now.lower).toBeGreaterThanOrEqual(now.upper);
    });
    const rear = quickLook('two-weeks').find(({ zone, kind }) => zone === 'rear' && kind === 'salt-film');
    expect(rear?.grade).toBe(3);
  });
});
