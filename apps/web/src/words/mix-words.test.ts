import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY, type Mix, type StepFault } from '@keen/core';
import { makeFormat } from '../format/format.js';
import { faultText, mixName, mixText } from './mix-words.js';

const format = makeFormat(DEFAULT_DISPLAY, 'UTC', 'en-CA');
const mix = (change: Partial<Mix> = {}): Mix => ({
  step: 'foam',
  role: 'alkaline-pre-wash',
  into: 'foamer',
  because: 'meant',
  product: { id: 'f', name: 'Winter foam', inUsePh: 10.8, dwell: null },
  productMl: 100,
  waterMl: 900,
  parts: 9,
  percent: 10,
  caps: null,
  panelPercent: null,
  faults: [],
  ...change,
});
const text = (change: Partial<Mix>): string => mixText(mix(change), format);

describe('what is mixed', () => {
  it('goes by its name, or by its kind where the kit has none', () => {
    expect(mixName(mix())).toBe('Winter foam');
    expect(mixName(mix({ product: null }))).toMatch(/ \(typical, not in the kit\)$/);
  });

  it.each<readonly [Partial<Mix>, string]>([
    [{}, '100 mL and 900 mL water (1:9, 10 %), in the foamer'],
    [{ caps: 3.33 }, '100 mL and 900 mL water (1:9, 10 %), 3.3 caps, in the foamer'],
    [{ panelPercent: 0.91 }, '100 mL and 900 mL water (1:9, 10 %), in the foamer, 0.9 % on the panel'],
    [
      { parts: 255, percent: 0.39, productMl: 4, waterMl: 996 },
      '4.0 mL and 996 mL water (1:255, 0.39 %), in the foamer',
    ],
    [{ parts: 49, percent: 2 }, '100 mL and 900 mL water (1:49, 2 %), in the foamer'],
    [{ parts: 0, into: 'neat' }, '100 mL neat'],
    [{ parts: 0.9, caps: 2 }, '100 mL neat, 2.0 caps'],
    [{ product: null, productMl: 0 }, 'none in the kit'],
    [{ fills: { count: 1, vesselMl: 1000 } }, '100 mL and 900 mL water (1:9, 10 %), in the foamer'],
    [
      { fills: { count: 2, vesselMl: 750 } },
      '100 mL and 900 mL water (1:9, 10 %), in the foamer, 2 fills of 750 mL',
    ],
    [
      { fills: { count: 1, vesselMl: 3800 } },
      '100 mL and 900 mL water (1:9, 10 %), in the foamer (3.80 L: a full one lasts 3 cars)',
    ],
    [{ fills: { count: 1, vesselMl: 1900 } }, '100 mL and 900 mL water (1:9, 10 %), in the foamer'],
    [
      { fills: { count: 1, vesselMl: 2000 } },
      '100 mL and 900 mL water (1:9, 10 %), in the foamer (2.00 L: a full one lasts 2 cars)',
    ],
    [
      { into: 'bucket', fills: { count: 1, vesselMl: 15_000 } },
      '100 mL and 900 mL water (1:9, 10 %), in the bucket',
    ],
    [
      { into: 'bucket', fills: { count: 2, vesselMl: 15_000 } },
      '100 mL and 900 mL water (1:9, 10 %), in 2 buckets of 15.00 L',
    ],
  ])('%o', (change, expected) => {
    expect(text(change)).toBe(expected);
  });
});

describe('what is wrong with a step', () => {
  it.each<readonly [StepFault, string]>([
    [
      { kind: 'none-in-kit' },
      'Not in the kit: buy it, or leave the step out. Amounts are those of a typical label.',
    ],
    [
      { kind: 'too-little', needMl: 100, leftMl: 40 },
      '100 mL wanted, 40 mL left: make less, or open a new bottle.',
    ],
    [
      { kind: 'too-cold', tempC: -2, lowestC: 5 },
      '−2.0 °C there, and the label says 5.0 °C or more (7.0 K short): warm the product, or another product.',
    ],
    [
      { kind: 'too-strong', parts: 3, fewestParts: 9 },
      '1:3 is stronger than the label’s 1:9: put less in, or more water.',
    ],
    [
      { kind: 'smears', parts: 127, usualParts: 255, panelC: 31, warmC: 25 },
      '1:127 is twice the usual 1:255 or more, on paint at 31.0 °C (estimated; from 25.0 °C on, judgement): it smears before the cloth has it. Mix it as usual, or wait for shade.',
    ],
    [
      { kind: 'driven-back', there: 'rinseless' },
      'It is to be done in the first place, after “wash it rinseless” in the second: nobody drives back. Done in one place until that is mended.',
    ],
    [
      { kind: 'acid-over-alkali', alkali: 'foam' },
      'Acid over alkali: “foam the car” still lies there. Rinse first.',
    ],
    [
      { kind: 'alkali-over-acid', acid: 'wheels' },
      'Alkali over acid: “clean the wheels” still lies there. Rinse first.',
    ],
    [
      { kind: 'not-rinsed', groups: ['wheels', 'arches'] },
      'Nothing after it rinses it off the wheels and arches. Rinse there before the next product.',
    ],
    [
      { kind: 'hot-on-frozen-glass', glassC: -6, waterC: 40 },
      'Glass is near −6.0 °C and the water 40.0 °C: hot water cracks frozen glass. Begin low on the body, bring the glass above freezing slowly.',
    ],
    [
      { kind: 'no-drain', litres: 20 },
      'No drain, and 20 L falls: keep it drip-free, mop up, no puddle at the door.',
    ],
  ])('%o', (fault, expected) => {
    expect(faultText(fault, format)).toBe(expected);
  });

  it('names the rule of the place, and the zone that a product may not meet', () => {
    expect(faultText({ kind: 'forbidden', rule: 'no-own-foam' }, format)).toMatch(
      /^The place forbids it \(.+\): ask there/,
    );
    const meets = (kind: 'warn' | 're-protect' | 'block', limitPh: number | null): string =>
      faultText(
        {
          kind: 'meets',
          zone: 'roof',
          finding: { kind, reason: 'too-alkaline', limitPh },
        } as unknown as StepFault,
        format,
      );
    expect(meets('warn', 10)).toMatch(/^On the roof: .+, limit pH 10; mind it\.$/);
    expect(meets('re-protect', null)).toMatch(/; protect it again afterwards\.$/);
    expect(meets('block', null)).not.toContain('limit pH');
  });
});
