import { describe, expect, it } from '@jest/globals';
import { STEP_KINDS, type WashPanel, type WashStepId } from '@keen/core';
import { stripOf } from './wash-strip-view.js';

const span = (atMinute: number, dryMinute: number | null = null) => ({
  atMinute,
  startTempC: 5,
  firstIceMinute: null,
  dryMinute,
  lowestTempC: 1,
  endTempC: 1,
  endWaterGramsPerM2: 10,
  endIceGramsPerM2: 0,
});
const STEPS: readonly WashStepId[] = ['foam', 'rinse', 'towel'];
const ROOF: WashPanel = {
  panel: 'roof',
  input: {
    material: 'steel',
    tiltDeg: 3,
    absorptanceFraction: 0.5,
    climate: [],
    events: [
      { kind: 'wet', atMinute: 2, filmGramsPerM2: 60, waterTempC: 8 },
      { kind: 'wet', atMinute: 6, filmGramsPerM2: 60, waterTempC: 8 },
      { kind: 'wipe', atMinute: 12, leavesGramsPerM2: 3 },
    ],
  },
  startPanelC: 1,
  steps: [0, 1, 2],
  waits: [{ atMinute: 6, untilMinute: 12, iceMinute: 10, dryMinute: null }],
  spans: [span(2), span(6), span(12, 12.5)],
};
const strip = (change: Partial<WashPanel> = {}) =>
  stripOf([{ ...ROOF, ...change }], {
    kindOf: (step) => STEP_KINDS[STEPS[step] ?? 'shuts'],
    partOf: () => null,
  })[0];

describe('the strip of a wash', () => {
  it('is soaped, then wet, then wiped until it is dry', () => {
    expect(strip()?.stretches).toEqual([
      { state: 'soaped', fromMinute: 2, toMinute: 6 },
      { state: 'wet', fromMinute: 6, toMinute: 12 },
      { state: 'wiped', fromMinute: 12, toMinute: 12.5 },
    ]);
  });

  it.each([
    {
      why: 'freezes before the towel',
      ice: 10,
      dry: null,
      ends: [{ kind: 'ice', minute: 10, isTooSoon: true }],
    },
    {
      why: 'would freeze soon after it',
      ice: 13,
      dry: 40,
      ends: [{ kind: 'ice', minute: 13, isTooSoon: false }],
    },
    { why: 'dries before the towel', ice: null, dry: 9, ends: [{ kind: 'dry', minute: 9, isTooSoon: true }] },
    { why: 'lasts far beyond it', ice: 40, dry: null, ends: [] },
    { why: 'lasts', ice: null, dry: null, ends: [] },
  ])('marks what $why', ({ ice, dry, ends }) => {
    const waits = [{ atMinute: 6, untilMinute: 12, iceMinute: ice, dryMinute: dry }];
    expect(strip({ waits })?.ends).toEqual(ends);
  });
});
