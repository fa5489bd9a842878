import { describe, expect, it } from '@jest/globals';
import { DEFAULT_HOUSE } from '../house-rules/index.js';
import { METHODS, shopMethod, type WashStepId, wetUnder } from './index.js';

const BODY = ['upper', 'lower'] as const;
const steps = (...ids: WashStepId[]) => ids.map((id) => ({ id, groups: BODY }));

describe('what wants dry paint', () => {
  it.each([
    { ids: ['rinse', 'seal'], wet: 0 },
    { ids: ['rinse', 'blow', 'seal'], wet: null },
    { ids: ['rinse', 'blow', 'seal', 'towel'], wet: 0 },
    { ids: ['rinse', 'towel', 'seal'], wet: null },
    { ids: ['rinse', 'towel', 'rinse', 'polish'], wet: 2 },
    { ids: ['seal'], wet: null },
    { ids: ['rinseless', 'top-up'], wet: 0 },
    { ids: ['spray-wipe', 'seal'], wet: null },
    { ids: ['machine-jets', 'machine-blower', 'tyres'], wet: null },
  ] as const)('stands on wet paint in $ids: $wet', ({ ids, wet }) => {
    const list = steps(...ids);
    const at = list.findIndex(({ id }) => ['seal', 'polish', 'top-up', 'tyres'].includes(id));
    expect(wetUnder(list)[at]).toBe(wet);
  });

  it('asks only of the same part and the same zones', () => {
    const on = (id: WashStepId, part: 'left-side' | 'right-side') => ({ id, groups: BODY, part });
    expect(wetUnder([on('rinse', 'left-side'), on('seal', 'right-side')])).toEqual([null, null]);
    expect(wetUnder([on('rinse', 'left-side'), on('seal', 'left-side')])).toEqual([null, 0]);
    expect(wetUnder([{ id: 'rinse', groups: ['wheels'] }, ...steps('seal')])).toEqual([null, null]);
  });

  it('is left alone by what is meant for wet paint', () => {
    expect(wetUnder(steps('rinse', 'wet-seal', 'foam-seal', 'rinse', 'dry-seal'))).toEqual(
      Array.from({ length: 5 }, () => null),
    );
  });

  it('is dry in every method as it ships', () => {
    for (const { id } of METHODS)
      expect(wetUnder(shopMethod(id, DEFAULT_HOUSE).steps).every((under) => under === null)).toBe(true);
  });
});
