import { describe, expect, it } from '@jest/globals';
import {
  DEFAULT_DISPLAY,
  type Mix,
  PACK_ITEMS,
  STEP_CAUTIONS,
  STEP_REASONS,
  type StepDwell,
  type StepFault,
  WASH_STEP_IDS,
  type WashRecord,
} from '@keen/core';
import { makeFormat } from '../../format/format.js';
import { faultText, mixName, mixText } from '../../words/mix-words.js';
import { CAUTION_TEXTS, dwellText, PACK_NAMES, RUN_STEP_NAMES } from '../../words/run-words.js';
import { REASON_TEXTS, reasonText } from '../../words/reason-words.js';
import { roundChoices } from './round-view.js';
import { edgeScaleMinutes, shortText } from './run-view.js';

const format = makeFormat(DEFAULT_DISPLAY, 'UTC', 'en-CA');
const DWELL: StepDwell = { minMinutes: 3, maxMinutes: 8, cutBy: null, cutAs: null, isTooShort: false };

describe('the words of a dwell', () => {
  it.each([
    { change: {}, text: 'dwell 3.0 min to 8.0 min' },
    {
      change: { maxMinutes: 5, cutBy: 'roof', cutAs: 'freezes' },
      text: 'dwell 3.0 min to 5.0 min, cut by the roof, where it freezes',
    },
    {
      change: { maxMinutes: 2, cutBy: 'left', cutAs: 'dries', isTooShort: true },
      text: 'dries on the left flank after 2.0 min, and wants 3.0 min: smaller parts, or wet it again',
    },
    {
      change: { maxMinutes: 1.5, cutBy: 'roof', cutAs: 'freezes', isTooShort: true },
      text: 'freezes on the roof after 1.5 min and then does nothing: rinse warm first, or leave it out',
    },
    {
      change: { maxMinutes: 0.1, cutBy: 'roof', cutAs: 'freezes', isTooShort: true },
      text: 'freezes on the roof at once and then does nothing: rinse warm first, or leave it out',
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
    expect(Object.keys(REASON_TEXTS).sort()).toEqual([...STEP_REASONS].sort());
    expect(Object.keys(CAUTION_TEXTS).sort()).toEqual([...STEP_CAUTIONS].sort());
    expect(Object.keys(PACK_NAMES).sort()).toEqual([...PACK_ITEMS].sort());
  });
});

const MIX: Mix = {
  step: 'foam',
  role: 'alkaline-pre-wash',
  into: 'foamer',
  product: { id: 'f', name: 'Foam', inUsePh: 11, dwell: null },
  productMl: 100,
  waterMl: 900,
  parts: 9,
  percent: 10,
  caps: 100 / 30,
  panelPercent: 1,
  faults: [],
};

describe('the words of a mix', () => {
  it.each([
    { change: {}, text: '100 mL and 900 mL water (1:9, 10 %), 3.3 caps, in the foamer, 1.0 % on the panel' },
    {
      change: { fills: { count: 2, vesselMl: 600 } },
      text: '100 mL and 900 mL water (1:9, 10 %), 3.3 caps, in the foamer, 2 fills of 600 mL, 1.0 % on the panel',
    },
    {
      change: { fills: { count: 1, vesselMl: 3800 } },
      text: '100 mL and 900 mL water (1:9, 10 %), 3.3 caps, in the foamer (3.80 L: a full one lasts 3 cars), 1.0 % on the panel',
    },
    {
      change: { into: 'bucket', fills: { count: 2, vesselMl: 900 }, caps: null, panelPercent: null },
      text: '100 mL and 900 mL water (1:9, 10 %), in 2 buckets of 900 mL',
    },
    {
      change: { into: 'bucket', fills: { count: 1, vesselMl: 15_000 }, caps: null, panelPercent: null },
      text: '100 mL and 900 mL water (1:9, 10 %), in the bucket',
    },
    {
      change: { fills: { count: 1, vesselMl: 1400 }, panelPercent: null },
      text: '100 mL and 900 mL water (1:9, 10 %), 3.3 caps, in the foamer',
    },
    { change: { parts: 0, productMl: 60, caps: null, panelPercent: null }, text: '60 mL neat' },
    { change: { parts: 0, productMl: 113, caps: 3.75, panelPercent: null }, text: '113 mL neat, 3.8 caps' },
    // Five fifths of the same, added up.
    {
      change: { parts: 0, productMl: 113, caps: 3.75 - 1e-15, panelPercent: null },
      text: '113 mL neat, 3.8 caps',
    },
  ] as const)('$text', ({ change, text }) => {
    expect(mixText({ ...MIX, ...change }, format)).toBe(text);
  });
});

describe('the name of a mix', () => {
  it('is the bottle’s, or says that there is none', () => {
    expect(mixName(MIX)).toBe('Foam');
    expect(mixName({ ...MIX, product: null })).toBe('Alkaline pre-wash (typical, not in the kit)');
  });
});

describe('the words of what is wrong with a step', () => {
  const FAULTS: readonly (readonly [StepFault, string])[] = [
    [{ kind: 'none-in-kit' }, 'Not in the kit'],
    [{ kind: 'too-little', needMl: 40, leftMl: 12 }, '40 mL wanted, 12 mL left'],
    [
      { kind: 'too-cold', tempC: 1, lowestC: 5 },
      '1.0 °C there, and the label says 5.0 °C or more (4.0 K short)',
    ],
    [
      {
        kind: 'meets',
        zone: 'bonnet',
        finding: { kind: 're-protect', reason: 'too-alkaline', limitPh: 9.5 },
      },
      'On the bonnet: too alkaline for it, limit pH 9.5; protect it again afterwards.',
    ],
    [
      { kind: 'acid-over-alkali', alkali: 'foam' },
      'Acid over alkali: “foam the car” still lies there. Rinse first.',
    ],
    [{ kind: 'too-strong', parts: 49.4, fewestParts: 100 }, '1:49 is stronger than the label’s 1:100'],
    [{ kind: 'hot-on-frozen-glass', glassC: -3, waterC: 38 }, 'Glass is near −3.0 °C and the water 38.0 °C'],
    [{ kind: 'forbidden', rule: 'no-own-bucket' }, 'The place forbids it'],
    [{ kind: 'no-drain', litres: 45 }, 'No drain, and 45 L falls'],
  ];
  it.each(FAULTS)('%j', (fault, part) => {
    expect(faultText(fault, format)).toContain(part);
  });
});

describe('a round', () => {
  const wash = (id: string, day: number, hour: number, status = 'planned') =>
    ({ id, status, startMs: Date.UTC(2026, 0, day, hour), minutes: 60 }) as WashRecord;

  it('offers what is planned ahead, day by day, soonest first', () => {
    const washes = [wash('b', 15, 9), wash('a', 14, 12), wash('gone', 14, 5), wash('done', 14, 15, 'done')];
    const choices = roundChoices(washes, Date.UTC(2026, 0, 14, 8), format);
    expect(choices.map(({ washes: ofDay }) => ofDay.map(({ id }) => id))).toEqual([['a'], ['b']]);
  });

  it('says how many cloths are to be laundered', () => {
    expect([shortText(12, 8), shortText(8, 8), shortText(8, null)]).toEqual([': 8 clean, launder 4', '', '']);
  });
});

describe('the bars of the wet edge', () => {
  it('are as long as the slowest panel takes, within ten minutes and an hour', () => {
    const scale = (...minutes: (number | null)[]) =>
      edgeScaleMinutes(minutes.map((one) => ({ minutes: one })));
    expect([scale(2, 4), scale(2, 25), scale(2, 400), scale(null)]).toEqual([10, 25, 60, 10]);
  });
});

describe('why a step stands where it stands', () => {
  const why = (wetMinutes: number | null | undefined) =>
    reasonText(
      {
        reason: 'dwells-while-others-are-done',
        dwell: { ...DWELL, labelMinutes: 8 },
        ...(wetMinutes === undefined ? {} : { wetMinutes }),
      },
      format,
    );

  it('tells for how long soap stays wet there', () => {
    expect(why(14)).toBe('it stays wet 14 min here; other parts meanwhile');
    expect(why(null)).toContain('as long as it takes');
    expect(why(5)).toBe('it stays wet only 5.0 min here: stay close');
    expect(why(undefined)).toBe(REASON_TEXTS['dwells-while-others-are-done']);
  });

  it('is the plain reason of every other step', () => {
    expect(reasonText({ reason: 'gaps-hold-water', dwell: null, wetMinutes: 3 }, format)).toBe(
      REASON_TEXTS['gaps-hold-water'],
    );
  });
});
