import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY, type RunStep } from '@keen/core';
import { makeFormat } from '../format/format.js';
import { dwellText, facesText } from './run-words.js';

const format = makeFormat(DEFAULT_DISPLAY, 'UTC', 'en-CA');
const text = (change: Partial<NonNullable<RunStep['dwell']>> | null): string | null =>
  dwellText(
    {
      dwell: change && {
        minMinutes: 3,
        maxMinutes: 8,
        cutBy: null,
        cutAs: null,
        isTooShort: false,
        ...change,
      },
    },
    format,
  );

describe('how long a product works', () => {
  it.each([
    [null, null],
    [{}, 'dwell 3.0 min to 8.0 min'],
    [
      { cutBy: 'roof', cutAs: 'freezes', maxMinutes: 5 },
      'dwell 3.0 min to 5.0 min, cut by the roof, where it freezes',
    ],
    [{ cutBy: 'roof', maxMinutes: 5 }, 'dwell 3.0 min to 5.0 min, cut by the roof, where it dries'],
    [
      { cutBy: 'roof', cutAs: 'dries', maxMinutes: 2, isTooShort: true },
      'dries on the roof after 2.0 min, and wants 3.0 min: smaller parts, or wet it again',
    ],
    [
      { cutBy: 'roof', cutAs: 'freezes', maxMinutes: 0.1, isTooShort: true },
      'freezes on the roof at once and then does nothing: rinse warm first, or leave it out',
    ],
    [
      { cutBy: 'roof', cutAs: 'freezes', maxMinutes: 0.2, isTooShort: true },
      'freezes on the roof after 0.2 min and then does nothing: rinse warm first, or leave it out',
    ],
  ] as const)('%o', (change, expected) => {
    expect(text(change)).toBe(expected);
  });
});

it('the faces of towels are given by group, with the grade that is left', () => {
  expect(
    facesText([
      { group: 'upper', faces: 24, grade: 2.14, m2: 6 },
      { group: 'lower', faces: 13, grade: 2.8, m2: 4 },
    ]),
  ).toBe('24 on the upper body (grade 2.1) and 13 on the lower body (grade 2.8)');
});
