import { describe, expect, it } from '@jest/globals';
import { DEFAULT_HOUSE } from '../house-rules/index.js';
import { methodWith } from '../testing/shop.js';
import type { SoilKind, ZoneSoil } from '../soil/index.js';
import type { CarZone } from '../vehicle/index.js';
import { leftOn } from './index.js';

const on = (kind: SoilKind, grade: number, ...zones: CarZone[]): ZoneSoil[] =>
  zones.map((zone) => ({ zone, kind, grade, origin: 'estimated' }));
const BAY = methodWith('bay-contact');

describe('what a wash leaves on this car', () => {
  it('is nothing on a car that has nothing of it, whatever the method leaves', () => {
    expect(leftOn([], methodWith('garage-rinseless'))).toEqual([]);
    expect(leftOn(on('iron', 1, 'wheels-left'), BAY)).toEqual([]);
  });

  it('tells where it is, heaviest first, with the step that takes it off', () => {
    const soil = [...on('iron', 1.5, 'wheels-left', 'wheels-right'), ...on('scale', 3, 'roof')];
    expect(leftOn(soil, BAY)).toEqual([
      { leftover: 'scale', grade: 3, zones: ['roof'], origin: 'estimated', step: null },
      {
        leftover: 'iron',
        grade: 1.5,
        zones: ['wheels-left', 'wheels-right'],
        origin: 'estimated',
        step: { id: 'iron', groups: ['wheels'] },
      },
    ]);
  });

  it('is no more what one of its steps is for', () => {
    const variants = { 'bay-contact': { steps: [{ key: '+iron', minutes: null, note: '' }], leftOut: [] } };
    const method = methodWith('bay-contact', { house: { ...DEFAULT_HOUSE, variants } });
    expect(leftOn(on('iron', 4, 'wheels-left'), method)).toEqual([]);
  });

  it('offers no product that nothing of the method rinses off', () => {
    const [bugs] = leftOn(on('bugs', 3, 'front'), methodWith('waterless'));
    expect(bugs).toMatchObject({ leftover: 'bugs', step: null });
    const [iron] = leftOn(on('iron', 3, 'wheels-left'), methodWith('garage-rinseless'));
    expect(iron).toMatchObject({ leftover: 'iron', step: null });
    const [tar] = leftOn(on('tar', 3, 'lower-left'), methodWith('garage-rinseless'));
    expect(tar?.step).toEqual({ id: 'tar', groups: ['lower'] });
  });

  it('counts a place that the method does not reach by its film', () => {
    const soil = [...on('salt-film', 4, 'arches-left'), ...on('salt-film', 1, 'underbody')];
    expect(leftOn(soil, methodWith('garage-rinseless')).map(({ leftover }) => leftover)).toEqual(['arches']);
  });

  it('counts the film that is left after the wash, not the one before it', () => {
    const touchFree = methodWith('bay-touch-free');
    expect(leftOn(on('salt-film', 2, 'roof'), touchFree)).toEqual([]);
    const [film] = leftOn(on('salt-film', 5, 'roof'), touchFree);
    expect(film?.leftover).toBe('film');
    expect(film?.grade).toBeLessThan(5);
  });

  it('says that it was seen only where all of it was', () => {
    const [seen] = leftOn(
      [{ zone: 'front', kind: 'tar', grade: 2, origin: 'measured' }],
      methodWith('bay-touch-free'),
    );
    expect(seen?.origin).toBe('measured');
  });
});
