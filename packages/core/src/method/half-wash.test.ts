import { describe, expect, it } from '@jest/globals';
import { inWay, type Method, METHODS, shopMethod, washedBy, wayOf, waysOf } from './index.js';
import { DEFAULT_HOUSE } from '../house-rules/index.js';
import { VEHICLE } from '../testing/shop.js';

const method = (id: string): Method => shopMethod(id, DEFAULT_HOUSE, VEHICLE);
const half = (id: string, wayId: 'lower-only' | 'upper-only'): Method => {
  const whole = method(id);
  return inWay(whole, wayOf(whole, wayId));
};
const idsOf = ({ steps }: Method): string[] => [...new Set(steps.map(({ id }) => id))];

describe('half of the car alone', () => {
  it('leaves the other half as it is, and takes no more off its own than the whole wash does', () => {
    const whole = method('bay-contact');
    const lower = half('bay-contact', 'lower-only');
    expect(lower.removes).toEqual({ ...whole.removes, upper: 0 });
    const upper = half('bay-contact', 'upper-only');
    expect(upper.removes).toEqual({ upper: whole.removes.upper, lower: 0, wheels: 0, arches: 0, under: 0 });
  });

  it('is no wash of the cadence, cleans honestly only what it reaches, and says what it leaves', () => {
    const lower = half('garage-rinseless', 'lower-only');
    expect(lower).toMatchObject({ scope: 'in-between', ceilingGrade: { upper: 0, lower: 3 } });
    expect(lower.leaves).toContain('uppers');
    const upper = half('garage-rinseless', 'upper-only');
    expect(upper).toMatchObject({ scope: 'in-between', ceilingGrade: { upper: 3, lower: 0, wheels: 0 } });
    expect(upper.leaves).toEqual(expect.arrayContaining(['lowers', 'underbody', 'arches']));
  });

  it('does what lies under the car with the lower half, and nothing of it with the upper', () => {
    expect(idsOf(half('bay-touch-free', 'lower-only'))).toEqual(idsOf(method('bay-touch-free')));
    expect(idsOf(half('bay-touch-free', 'upper-only'))).toEqual([
      'foam',
      'rinse',
      'final-rinse',
      'blow',
      'towel',
    ]);
  });

  it('takes for both halves of the body what the whole takes: minutes of the hand, litres of its water', () => {
    const of = (one: Method, read: 'minutes' | 'litres'): number =>
      one.steps.filter(({ id }) => id === 'contact').reduce((sum, step) => sum + step[read], 0);
    for (const read of ['minutes', 'litres'] as const)
      expect(
        of(half('bay-contact', 'lower-only'), read) + of(half('bay-contact', 'upper-only'), read),
      ).toBeCloseTo(of(method('bay-contact'), read), 6);
  });

  it('goes by parts where the method does', () => {
    const lower = half('garage-rinseless', 'lower-only');
    const parts = lower.steps.flatMap(({ part }) => part ?? []);
    expect(parts).toContain('left-flank');
    expect(parts).not.toContain('top');
  });

  it('is the last of the ways, and there is none for a machine, a strip, a flush or what only wipes the upper half', () => {
    expect(
      waysOf(method('bay-contact'))
        .map(({ id }) => id)
        .slice(-2),
    ).toEqual(['lower-only', 'upper-only']);
    const halves = Object.fromEntries(
      METHODS.map(({ id }) => [
        id,
        waysOf(method(id))
          .filter(({ only }) => only !== null)
          .map(({ only }) => only),
      ]),
    );
    expect(halves).toMatchObject({
      'touchless-automatic': [],
      'salt-flush': [],
      'strip-reseal': [],
      'pre-coating': [],
      waterless: ['upper'],
      'drive-hose': ['lower', 'upper'],
    });
  });

  it('is known of a done wash by its way', () => {
    const whole = method('drive-hose');
    expect(washedBy(whole, 'lower-only').removes.upper).toBe(0);
    expect(washedBy(whole, 'dry-one-side')).toBe(whole);
    expect(washedBy(whole, null)).toBe(whole);
  });
});
