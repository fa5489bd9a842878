import { describe, expect, it } from '@jest/globals';
import { CLEAN } from '../soil/index.js';
import { BAY } from '../testing/shop.js';
import { handNeed } from './hand-need.js';

const offers = (...methodIds: string[]) => [
  { ...BAY, methods: methodIds.map((methodId) => ({ methodId, priceMinor: 0 })) },
];
/** It takes off grade 4 on body and wheels. */
const TOUCH_FREE = offers('bay-touch-free', 'bay-contact');

describe('whether a car needs a hand again', () => {
  it.each([
    { lower: 3, when: 'not-yet' },
    { lower: 3.5, when: 'soon' },
    { lower: 4, when: 'soon' },
    { lower: 4.5, when: 'now' },
  ])('lower body at grade $lower: $when', ({ lower, when }) => {
    expect(handNeed({ ...CLEAN, lower }, TOUCH_FREE)).toEqual({
      group: 'lower',
      grade: lower,
      takesGrade: 4,
      when,
    });
  });

  it('is the part that is nearest to it, by the best touch-free wash of the shop', () => {
    const soil = { ...CLEAN, upper: 3, wheels: 3 };
    expect(handNeed(soil, offers('touchless-automatic'))).toMatchObject({ group: 'wheels', takesGrade: 3 });
    expect(handNeed(soil, offers('touchless-automatic', 'bay-touch-free'))?.takesGrade).toBe(4);
  });

  it('is never for arches and underbody, where no hand goes', () => {
    expect(handNeed({ ...CLEAN, arches: 5, under: 5, upper: 1 }, TOUCH_FREE)?.group).toBe('upper');
  });

  it('is not known where the shop has no touch-free wash, and a flush between washes is none', () => {
    expect(handNeed(CLEAN, offers('bay-contact', 'salt-flush'))).toBeNull();
    expect(handNeed(CLEAN, [])).toBeNull();
  });
});
