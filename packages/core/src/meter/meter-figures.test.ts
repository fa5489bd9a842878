import { describe, expect, it } from '@jest/globals';
import { meter, sessionMinor } from './index.js';

/** 3.00 for the first 5 minutes, then 0.75 a minute. */
const TARIFF = {
  startPriceMinor: 300,
  startSeconds: 300,
  blockPriceMinor: 75,
  blockSeconds: 60,
  pausable: false,
};

describe('a meter worked out on paper', () => {
  it.each([
    { minutes: 17, minor: 1200, why: 'twelve blocks to the second, not thirteen' },
    { minutes: 17.01, minor: 1275, why: 'a thirteenth begun' },
    { minutes: 5, minor: 300, why: 'the start price alone' },
    { minutes: 0.1 * 3 + 4.7, minor: 300, why: 'what only sums of fractions go over is not over' },
  ])('$minutes min: $why', ({ minutes, minor }) => {
    expect(sessionMinor(TARIFF, minutes * 60)).toBe(minor);
  });

  it('of two ways at one price takes the one with fewer stops', () => {
    // Run through: 300 + 4 × 75 = 600. Stopped: 2 × 300 = 600.
    const tie = meter({ ...TARIFF, stepSeconds: [300, 200], gapSeconds: [40] });
    expect(tie).toEqual({
      runThroughSeconds: 540,
      runThroughMinor: 600,
      stopEachMinor: 600,
      cheapestMinor: 600,
      stopAfter: [],
    });
  });

  it('stops where that saves the smallest coin, and only there', () => {
    expect(meter({ ...TARIFF, stepSeconds: [300, 200, 60], gapSeconds: [41, 10] })).toMatchObject({
      cheapestMinor: 600,
      stopAfter: [0],
      stopEachMinor: 900,
    });
  });

  it('runs on over two steps in a row that need no water, for a start price less', () => {
    const plan = meter({ ...TARIFF, stepSeconds: [240, 0, 0, 240], gapSeconds: [30, 30, 30] });
    expect(plan.cheapestMinor).toBe(600);
    expect(plan.stopEachMinor).toBe(600);
    const long = meter({ ...TARIFF, stepSeconds: [240, 0, 0, 240], gapSeconds: [300, 30, 30] });
    expect(long.cheapestMinor).toBe(600);
    expect(long.runThroughMinor).toBe(300 + 9 * 75);
  });

  it('asks nothing for steps that use no water at all', () => {
    expect(meter({ ...TARIFF, stepSeconds: [0, 0], gapSeconds: [600] })).toMatchObject({
      cheapestMinor: 0,
      stopEachMinor: 0,
      runThroughMinor: 675,
    });
    expect(meter({ ...TARIFF, stepSeconds: [0], gapSeconds: [] }).stopAfter).toEqual([]);
  });

  it.each([
    ['startPriceMinor', { startPriceMinor: -1 }],
    ['startPriceMinor', { startPriceMinor: 1_000_001 }],
    ['blockPriceMinor', { blockPriceMinor: -1 }],
    ['startSeconds', { startSeconds: 86_401 }],
    ['blockSeconds', { blockSeconds: 0.5 }],
    ['stepSeconds.length', { stepSeconds: [], gapSeconds: [] }],
    ['stepSeconds.0', { stepSeconds: [86_401], gapSeconds: [] }],
    ['gapSeconds.0', { stepSeconds: [1, 1], gapSeconds: [-1] }],
    ['gapSeconds', { stepSeconds: [1, 1], gapSeconds: [1, 1] }],
  ])('refuses %s outside its range', (field, change) => {
    expect(() => meter({ ...TARIFF, stepSeconds: [60], gapSeconds: [], ...change })).toThrow(
      expect.objectContaining({ field }),
    );
  });

  it.each([
    { startPriceMinor: 0, blockPriceMinor: 0, startSeconds: 0, blockSeconds: 1 },
    { startPriceMinor: 1_000_000, blockPriceMinor: 1_000_000, startSeconds: 86_400, blockSeconds: 86_400 },
  ])('takes the ends of each range', (tariff) => {
    expect(() =>
      meter({ ...tariff, pausable: false, stepSeconds: [0, 86_400], gapSeconds: [86_400] }),
    ).not.toThrow();
  });
});
