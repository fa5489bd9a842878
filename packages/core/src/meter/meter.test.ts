import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { meter, type MeterInput, sessionMinor } from './index.js';

const TARIFF = {
  startPriceMinor: 300,
  startSeconds: 240,
  blockPriceMinor: 50,
  blockSeconds: 30,
  pausable: false,
};

describe('sessionMinor', () => {
  it.each([
    { seconds: 0, minor: 0, why: 'a session of nothing is not paid' },
    { seconds: 240, minor: 300, why: 'the start price covers its seconds' },
    { seconds: 241, minor: 350, why: 'a block begun is a block paid' },
    { seconds: 270, minor: 350, why: 'to its last second' },
    { seconds: 271, minor: 400, why: 'and the next' },
  ])('$seconds s: $why', ({ seconds, minor }) => {
    expect(sessionMinor(TARIFF, seconds)).toBe(minor);
  });
});

describe('meter', () => {
  it('runs on through a short gap and stops over a long one', () => {
    const plan = meter({ ...TARIFF, stepSeconds: [120, 60, 200], gapSeconds: [20, 900] });
    expect(plan.stopAfter).toEqual([1]);
    expect(plan.cheapestMinor).toBe(600);
    expect(plan.runThroughMinor).toBe(300 + Math.ceil((1300 - 240) / 30) * 50);
    expect(plan.stopEachMinor).toBe(900);
  });

  it('counts only the steps where paid seconds are kept over a pause', () => {
    const plan = meter({ ...TARIFF, pausable: true, stepSeconds: [120, 120], gapSeconds: [3600] });
    expect(plan.cheapestMinor).toBe(300);
    expect(plan.stopAfter).toEqual([0]);
  });

  it('does not start a step of no seconds', () => {
    expect(meter({ ...TARIFF, stepSeconds: [0, 100], gapSeconds: [500] })).toMatchObject({
      stopEachMinor: 300,
      cheapestMinor: 300,
    });
  });

  /** Every way to stop or run on, tried one by one. */
  function byHand(input: MeterInput): number {
    const gaps = input.gapSeconds.length;
    let best = Infinity;
    for (let mask = 0; mask < 2 ** gaps; mask += 1) {
      let minor = 0;
      let seconds = input.stepSeconds[0] ?? 0;
      let worked = seconds > 0;
      for (let gap = 0; gap < gaps; gap += 1) {
        const step = input.stepSeconds[gap + 1] ?? 0;
        if (mask & (1 << gap)) {
          minor += worked ? sessionMinor(input, seconds) : 0;
          seconds = step;
          worked = step > 0;
        } else {
          seconds += (input.gapSeconds[gap] ?? 0) + step;
          worked ||= step > 0;
        }
      }
      best = Math.min(best, minor + (worked ? sessionMinor(input, seconds) : 0));
    }
    return best;
  }

  it('finds the cheapest of all ways', () => {
    const seconds = fc.integer({ min: 0, max: 400 });
    fc.assert(
      fc.property(
        fc.array(seconds, { minLength: 1, maxLength: 7 }),
        fc.array(seconds, { minLength: 6, maxLength: 6 }),
        (stepSeconds, gaps) => {
          const input = { ...TARIFF, stepSeconds, gapSeconds: gaps.slice(0, stepSeconds.length - 1) };
          expect(meter(input).cheapestMinor).toBe(byHand(input));
        },
      ),
    );
  });

  it('refuses gaps that do not fit the steps', () => {
    expect(() => meter({ ...TARIFF, stepSeconds: [1, 2], gapSeconds: [] })).toThrow(
      expect.objectContaining({ field: 'gapSeconds' }),
    );
    expect(() => meter({ ...TARIFF, stepSeconds: [1, -2], gapSeconds: [3] })).toThrow(
      expect.objectContaining({ field: 'stepSeconds.1' }),
    );
  });
});
