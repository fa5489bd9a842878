import { describe, expect, it } from '@jest/globals';
import type { ZoneSoil } from '../soil/index.js';
import { type ByGroup, CAR_ZONES } from '../vehicle/index.js';
import { BAY } from '../testing/shop.js';
import { handNeed } from './hand-need.js';

const offers = (...methodIds: string[]) => [
  { ...BAY, methods: methodIds.map((methodId) => ({ methodId, priceMinor: 0 })) },
];
/** Film of these grades, everything else clean. */
const soil = (grades: Partial<ByGroup>, origin: ZoneSoil['origin'] = 'estimated'): ZoneSoil[] =>
  CAR_ZONES.map(({ zone, group }) => ({ zone, kind: 'salt-film', grade: grades[group] ?? 0, origin }));
/** It takes off grade 4 on body and wheels. */
const TOUCH_FREE = offers('bay-touch-free', 'bay-contact');

describe('whether a car needs a hand again', () => {
  it.each([
    { lower: 3, when: 'not-yet' },
    { lower: 3.5, when: 'soon' },
    { lower: 4, when: 'soon' },
    { lower: 4.5, when: 'now' },
  ])('lower body at grade $lower: $when', ({ lower, when }) => {
    expect(handNeed(soil({ lower }), TOUCH_FREE)).toEqual({
      group: 'lower',
      grade: lower,
      origin: 'estimated',
      takesGrade: 4,
      when,
    });
  });

  it('is the part that is nearest to it, by the best touch-free wash of the shop', () => {
    const dirty = soil({ upper: 3, wheels: 3 });
    expect(handNeed(dirty, offers('touchless-automatic'))).toMatchObject({ group: 'wheels', takesGrade: 3 });
    expect(handNeed(dirty, offers('touchless-automatic', 'bay-touch-free'))?.takesGrade).toBe(4);
  });

  it('says whether somebody saw it', () => {
    expect(handNeed(soil({ lower: 4 }, 'measured'), TOUCH_FREE)?.origin).toBe('measured');
  });

  it('is never for arches and underbody, where no hand goes', () => {
    expect(handNeed(soil({ arches: 5, under: 5, upper: 1 }), TOUCH_FREE)?.group).toBe('upper');
  });

  it('is not known where the shop has no touch-free wash, and a flush between washes is none', () => {
    expect(handNeed(soil({}), offers('bay-contact', 'salt-flush'))).toBeNull();
    expect(handNeed(soil({}), [])).toBeNull();
  });
});
