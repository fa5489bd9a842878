import { MS_PER_HOUR } from '../quantity/index.js';
import { describe, expect, it } from '@jest/globals';
import { roadTreatments, roundHours, type Treatment } from './index.js';

const at = (hour: number, gramsPerM2: number, change: Partial<Treatment> = {}): Treatment => ({
  atMs: hour * MS_PER_HOUR,
  roadClass: 'main',
  agent: 'NaCl',
  gramsPerM2,
  ...change,
});
/** Every fifth hour, as a main road is treated in lasting frost. */
const LIKELY = Array.from({ length: 12 }, (_, i) => at(i * 5, 14));
const hours = (told: readonly Treatment[]): [number, number][] =>
  roadTreatments(told, LIKELY, 'main').map(({ atMs, gramsPerM2 }) => [atMs / MS_PER_HOUR, gramsPerM2]);

describe('what lies on a road, told and estimated', () => {
  it('is the estimate where nobody tells anything', () => {
    expect(hours([])).toEqual(LIKELY.map(({ atMs }) => [atMs / MS_PER_HOUR, 14]));
    expect(roundHours('main')).toBe(5);
  });

  it('counts an announced round once', () => {
    // Announced for hour 57: the estimated round of hour 55 is that one.
    expect(hours([at(57, 17)]).slice(-2)).toEqual([
      [50, 14],
      [57, 17],
    ]);
  });

  it('keeps the estimate of the past beside a single bulletin', () => {
    expect(hours([at(30, 20)])).toEqual([
      ...[0, 5, 10, 15, 20, 25].map((hour) => [hour, 14]),
      [30, 20],
      ...[35, 40, 45, 50, 55].map((hour) => [hour, 14]),
    ]);
  });

  it.each([
    { gapHours: 36, between: 0, why: 'a service that goes on: silence is no round' },
    { gapHours: 37, between: 5, why: 'too long a silence: the estimate speaks again' },
  ])('between two bulletins $gapHours h apart: $why', ({ gapHours, between }) => {
    const found = hours([at(2, 9), at(2 + gapHours, 9)]);
    const inside = found.filter(([hour, grams]) => grams === 14 && hour > 2 && hour < 2 + gapHours);
    expect(inside).toHaveLength(between);
  });

  it('gives way only within the interval of the class, and to bulletins of that class', () => {
    expect(hours([at(4.99, 9)]).map(([hour]) => hour)).toEqual([
      4.99, 10, 15, 20, 25, 30, 35, 40, 45, 50, 55,
    ]);
    expect(
      hours([at(5, 9)])
        .map(([hour]) => hour)
        .slice(0, 3),
    ).toEqual([0, 5, 10]);
    expect(hours([at(5, 9, { roadClass: 'town' })])).toHaveLength(12);
  });
});
