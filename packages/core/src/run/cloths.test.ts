import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { METHOD_IDS, methodOf } from '../method/index.js';
import { CLEAN } from '../soil/index.js';
import { BODY_CLASSES, byGroup, panelM2, panelsOf } from '../vehicle/index.js';
import { bodyM2, type Cloths, clothsFor, FACES_OF_A_TOWEL } from './index.js';

const SALOON = { bodyClass: 'saloon' } as const;
const at = (grade: number) => byGroup(() => grade);
const cloths = (
  methodId: string,
  soil = CLEAN,
  towels = 0,
  vehicle: { bodyClass: 'saloon' | 'van' } = SALOON,
) => clothsFor({ vehicle, method: methodOf(methodId), soil, drying: { towels } });
const facesOf = ({ faces }: Cloths, group: string): number | undefined =>
  faces.find((one) => one.group === group)?.faces;

describe('surfaces', () => {
  it.each(BODY_CLASSES)('of a %s are all in the upper or the lower body', (bodyClass) => {
    const { upper, lower } = bodyM2(bodyClass);
    const all = panelsOf(bodyClass).reduce((sum, { id }) => sum + panelM2(bodyClass, id), 0);
    expect(upper + lower).toBeCloseTo(all, 9);
    expect(lower).toBeLessThan(upper);
  });
});

describe('cloths', () => {
  it('are few in dust: a face a panel', () => {
    const few = cloths('garage-rinseless', at(1));
    // 9.64 m² at 0.7 m² a face.
    expect(facesOf(few, 'upper')).toBe(14);
    // 14 and 7 faces of the body, 8 of the wheels: 29 faces are four towels; one more for the shuts.
    expect(few.media).toEqual({ mitts: 0, foldedTowels: 5, dryingTowels: 1 });
  });

  it('are many in heavy grit: one pass a face, after what the pre-soak took', () => {
    const { faces, media } = cloths('garage-rinseless', at(4));
    const [upper, lower] = faces;
    expect(upper?.grade).toBeCloseTo(4 + Math.log2(0.8), 9);
    expect(upper?.faces).toBe(Math.ceil(9.64 / 0.15));
    // The pre-soak takes more of the lowers: half a grade.
    expect(lower?.grade).toBeCloseTo(4 + Math.log2(0.7), 9);
    expect(lower?.faces).toBe(Math.ceil(4.76 / 0.2));
    expect(media.foldedTowels).toBe(Math.ceil((65 + 24 + 16) / FACES_OF_A_TOWEL) + 1);
  });

  it('go by what is left when the towel gets there: a bay that rinses first saves towels', () => {
    expect(cloths('bay-rinse-rinseless', at(4)).media.foldedTowels).toBeLessThan(
      cloths('garage-rinseless', at(4)).media.foldedTowels,
    );
  });

  it('are a third mitt where the lowers stay heavy, and as the method has them where nothing is wiped', () => {
    expect(cloths('garage-hose', at(3)).media.mitts).toBe(2);
    expect(
      clothsFor({ vehicle: SALOON, drying: null, soil: at(5), method: methodOf('strip-reseal') }),
    ).toEqual({
      media: methodOf('strip-reseal').media,
      faces: [],
    });
    const shortcut = { ...methodOf('garage-hose'), steps: methodOf('garage-hose').steps.slice(3) };
    const { media } = clothsFor({ vehicle: SALOON, method: shortcut, soil: at(5), drying: null });
    expect(media.mitts).toBe(3);
    expect(cloths('bay-touch-free', at(5))).toEqual({ media: methodOf('bay-touch-free').media, faces: [] });
  });

  it('dry with as many towels as take the water, never fewer than the method has', () => {
    expect(cloths('bay-contact', CLEAN, 1).media.dryingTowels).toBe(2);
    expect(cloths('bay-contact', CLEAN, 5).media.dryingTowels).toBe(5);
  });

  it('never fall as soil grows, nor on a larger car', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...METHOD_IDS),
        fc.double({ min: 0, max: 5, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        (methodId, a, b) => {
          const [less, more] = [cloths(methodId, at(Math.min(a, b))), cloths(methodId, at(Math.max(a, b)))];
          const van = cloths(methodId, at(Math.max(a, b)), 0, { bodyClass: 'van' });
          expect(more.media.foldedTowels).toBeGreaterThanOrEqual(less.media.foldedTowels);
          expect(more.media.mitts).toBeGreaterThanOrEqual(less.media.mitts);
          expect(van.media.foldedTowels).toBeGreaterThanOrEqual(more.media.foldedTowels);
        },
      ),
    );
  });
});
