import { describe, expect, it } from '@jest/globals';
import {
  DEFAULT_DISPLAY,
  PACK_ITEMS,
  RUN_CAUTIONS,
  RUN_REASONS,
  type StepDwell,
  WASH_STEP_IDS,
} from '@keen/core';
import { makeFormat } from '../../format/format.js';
import { CAUTION_TEXTS, dwellText, PACK_NAMES, REASON_TEXTS, RUN_STEP_NAMES } from '../../words/run-words.js';
import { barShare, edgeScaleMinutes } from './run-view.js';

const format = makeFormat(DEFAULT_DISPLAY, 'UTC', 'en-CA');
const DWELL: StepDwell = { fromMinutes: 3, toMinutes: 8, cutBy: null, cutAs: null, isTooShort: false };

describe('the words of a dwell', () => {
  it.each([
    { change: {}, text: 'dwell 3.0 min to 8.0 min' },
    {
      change: { toMinutes: 5, cutBy: 'roof', cutAs: 'freezes' },
      text: 'dwell 3.0 min to 5.0 min, cut by the roof, where it freezes',
    },
    {
      change: { toMinutes: 2, cutBy: 'left', cutAs: 'dries', isTooShort: true },
      text: 'dries on the left flank after 2.0 min, and wants 3.0 min: smaller parts, or wet it again',
    },
  ] as const)('$text', ({ change, text }) => {
    expect(dwellText({ dwell: { ...DWELL, ...change } }, format)).toBe(text);
  });

  it('are none where nothing dwells', () => {
    expect(dwellText({ dwell: null }, format)).toBeNull();
  });
});

describe('the words of a sheet', () => {
  it('are there for each step, reason, caution and thing to pack', () => {
    expect(Object.keys(RUN_STEP_NAMES).sort()).toEqual([...WASH_STEP_IDS].sort());
    expect(Object.keys(REASON_TEXTS).sort()).toEqual([...RUN_REASONS].sort());
    expect(Object.keys(CAUTION_TEXTS).sort()).toEqual([...RUN_CAUTIONS].sort());
    expect(Object.keys(PACK_NAMES).sort()).toEqual([...PACK_ITEMS].sort());
  });
});

describe('the bars of the wet edge', () => {
  it('are as long as the slowest panel takes, within ten minutes and an hour', () => {
    const scale = (...minutes: (number | null)[]) =>
      edgeScaleMinutes(minutes.map((one) => ({ minutes: one })));
    expect([scale(2, 4), scale(2, 25), scale(2, 400), scale(null)]).toEqual([10, 25, 60, 10]);
  });

  it('are full where a panel stays wet, and never more than full', () => {
    expect([barShare(null, 10), barShare(5, 10), barShare(50, 10)]).toEqual([1, 0.5, 1]);
  });
});
