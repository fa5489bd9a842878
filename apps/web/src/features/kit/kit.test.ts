import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY, type Gear, GEAR_KINDS, type KitWarnings, type Product } from '@keen/core';
import { makeFormat } from '../../format/format.js';
import { dwellRangeText, gearText, strengthText, warningTexts } from '../../words/kit-words.js';
import { GEAR_NAMES } from '../../words/kit-names.js';
import { gearDraft, gearErrors, gearFrom, gearHas, NEW_GEAR } from './gear-form.js';
import { productDraft, productErrors, productFrom } from './product-form.js';
import { NEW_PRODUCT, type ProductDraft } from './product-draft.js';
import { inWay, partsOf, sayStrengths } from './strength.js';

const format = makeFormat(DEFAULT_DISPLAY, 'UTC', 'en-CA');
const FOAM: Product = {
  id: 'foam',
  name: 'Foam',
  role: 'alkaline-pre-wash',
  inUsePh: 10.8,
  usualParts: 9,
  fewestParts: 4,
  mostParts: 20,
  carMl: null,
  capMl: 30,
  dwell: { minMinutes: 3, maxMinutes: 8 },
  lowestWorkC: -5,
  lowestStoreC: 1,
  keptIn: 'van',
  bottleMl: 5000,
  leftMl: 400,
  lowMl: 600,
  priceMinor: 4200,
  notes: '',
};
const TOWELS: Gear = {
  id: 'towels',
  name: 'Towels',
  kind: 'folded-towel',
  count: 30,
  cleanCount: 14,
  volumeMl: null,
  outputLitresPerBottle: null,
  lifeLitres: null,
  litresUsed: 0,
  notes: '',
  duty: 'sills',
  launderedTimes: 12,
  hasGuard: null,
  holdsGrams: null,
};
const faults = (draft: object): string[] =>
  Object.entries(draft).flatMap(([field, text]) => (text === undefined ? [] : [field]));

describe('a strength', () => {
  it.each([
    { typed: 9, way: 'parts', parts: 9 },
    { typed: 10, way: 'percent', parts: 9 },
    { typed: '111.111', way: 'mlPerLitre', parts: 9 },
    { typed: 0.5, way: 'flOzPerGal', parts: 256 },
    { typed: '', way: 'parts', parts: null },
    { typed: 'strong', way: 'percent', parts: null },
    { typed: 0, way: 'percent', parts: null },
  ] as const)('of $typed as $way is $parts parts of water', ({ typed, way, parts }) => {
    const found = partsOf(typed, way);
    if (parts === null) expect(found).toBeNull();
    else expect(found).toBeCloseTo(parts, 3);
  });

  it('said in another way is the same strength', () => {
    for (const way of ['parts', 'percent', 'mlPerLitre', 'flOzPerGal'] as const)
      expect(partsOf(inWay(9, way), way)).toBeCloseTo(9, 1);
    const said = sayStrengths({ ...NEW_PRODUCT, usual: 9, strongest: '', weakest: 'x' }, 'percent');
    expect(said).toMatchObject({ way: 'percent', usual: 10, strongest: '', weakest: 'x' });
  });
});

describe('the form of a product', () => {
  it.each(['C', 'F'] as const)('gives back what it was opened with, in °%s', (unit) => {
    const { id: _, ...fields } = FOAM;
    const back = productFrom(productDraft(FOAM, unit), unit);
    expect(back.lowestWorkC).toBeCloseTo(-5, 2);
    expect({ ...back, lowestWorkC: -5, lowestStoreC: 1 }).toEqual(fields);
    expect(faults(productErrors(productDraft(FOAM, unit)))).toEqual([]);
  });

  it('takes a neat product without a strength, and a usual one as its own range', () => {
    const neat: ProductDraft = { ...NEW_PRODUCT, name: 'Spray', isNeat: true };
    expect(faults(productErrors(neat))).toEqual([]);
    expect(productFrom(neat, 'C')).toMatchObject({ usualParts: 0, fewestParts: 0, mostParts: 0 });
    expect(productFrom({ ...neat, isNeat: false, usual: 20 }, 'C')).toMatchObject({
      fewestParts: 20,
      mostParts: 20,
    });
  });

  it.each([
    { why: 'a strength said the wrong way round', change: { usual: 0.1, strongest: 0.1 }, field: 'usual' },
    {
      why: 'ninety percent',
      change: { way: 'percent', usual: 90, strongest: '', weakest: '' },
      field: 'usual',
    },
    { why: 'no strength', change: { usual: '' }, field: 'usual' },
    { why: 'one outside the label', change: { usual: 50 }, field: 'usual' },
    { why: 'no pH', change: { inUsePh: '' }, field: 'inUsePh' },
    { why: 'half a dwell', change: { dwellTo: '' }, field: 'dwellTo' },
    { why: 'a dwell that ends first', change: { dwellTo: 1 }, field: 'dwellTo' },
    { why: 'no name', change: { name: ' ' }, field: 'name' },
    { why: 'less than nothing left', change: { leftMl: -1 }, field: 'leftMl' },
  ] as const)('refuses $why at $field', ({ change, field }) => {
    expect(faults(productErrors({ ...productDraft(FOAM, 'C'), ...change }))).toEqual([field]);
  });
});

describe('the form of gear', () => {
  it('gives back what it was opened with, and only what its kind has', () => {
    const { id: _, ...fields } = TOWELS;
    expect(gearFrom(gearDraft(TOWELS))).toEqual(fields);
    const blower = gearFrom({ ...gearDraft(TOWELS), kind: 'blower', volumeMl: 750, litresUsed: 9 });
    expect(blower).toMatchObject({ cleanCount: 0, volumeMl: null, litresUsed: 0 });
    expect(gearHas('lance')).toEqual({
      laundry: false,
      bottle: true,
      output: true,
      life: false,
      guard: false,
      pile: false,
    });
  });

  it.each([
    { why: 'more clean than there are', change: { cleanCount: 31 }, field: 'cleanCount' },
    { why: 'half a towel', change: { count: 30.5 }, field: 'count' },
    {
      why: 'a lance that lets out less than it holds',
      change: { kind: 'lance', volumeMl: 1000, outputLitresPerBottle: 0.5 },
      field: 'outputLitresPerBottle',
    },
    { why: 'no name', change: { name: '' }, field: 'name' },
  ] as const)('refuses $why at $field', ({ change, field }) => {
    expect(faults(gearErrors({ ...NEW_GEAR, ...gearDraft(TOWELS), ...change }))).toEqual([field]);
  });
});

describe('the words of the kit', () => {
  it('tell strength, dwell and what is left', () => {
    expect(strengthText(FOAM)).toBe('1:9 (10 %), label 1:4 to 1:20');
    expect(strengthText({ usualParts: 0, fewestParts: 0, mostParts: 0 })).toBe('neat');
    expect(dwellRangeText(FOAM, format)).toBe('3.0 min to 8.0 min');
    expect(gearText(TOWELS, format)).toBe('14 of 30 clean, for sills and shuts, laundered 12 times');
    const lance = { ...TOWELS, kind: 'lance', count: 1, volumeMl: 1000, outputLitresPerBottle: 11 } as const;
    expect(gearText(lance, format)).toBe('1.00 L bottle, draws 1:10.0 (measured)');
  });

  it('tell what is to be seen to with the number and its limit', () => {
    const warnings: KitWarnings = {
      freezing: [FOAM],
      low: [FOAM],
      spent: [],
      laundry: [TOWELS],
      worn: [],
      scratching: [],
      stripping: [],
      coldestC: -7,
    };
    expect(warningTexts(warnings, format)).toEqual([
      'Take Foam out of the van: −7.0 °C tonight (forecast), it keeps down to 1.0 °C.',
      'Buy Foam: 400 mL left, low at 600 mL.',
      'Launder Towels: 14 of 30 clean, no softener.',
    ]);
  });

  it('name every kind of gear', () => {
    expect(Object.keys(GEAR_NAMES).sort()).toEqual([...GEAR_KINDS].sort());
  });
});
