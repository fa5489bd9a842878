import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY, type Gear, type Product } from '@keen/core';
import { makeFormat } from '../format/format.js';
import { dwellRangeText, gearText, strengthText, warningTexts } from './kit-words.js';

const format = makeFormat(DEFAULT_DISPLAY, 'UTC', 'en-CA');

it.each([
  { parts: [0, 0, 0], text: 'neat' },
  { parts: [1, 1, 1], text: '1:1 (50 %)' },
  { parts: [9, 4, 20], text: '1:9 (10 %), label 1:4 to 1:20' },
  { parts: [3, 0, 6], text: '1:3 (25 %), label neat to 1:6' },
  { parts: [49, 20, 60], text: '1:49 (2 %), label 1:20 to 1:60' },
  { parts: [255, 15, 320], text: '1:255 (0.39 %), label 1:15 to 1:320' },
] as const)(
  'a strength of $parts reads as $text',
  ({ parts: [usualParts, fewestParts, mostParts], text }) => {
    expect(strengthText({ usualParts, fewestParts, mostParts })).toBe(text);
  },
);

it('a dwell reads as a span, and as none', () => {
  expect(dwellRangeText({ dwell: { minMinutes: 3, maxMinutes: 12 } }, format)).toBe('3.0 min to 12 min');
  expect(dwellRangeText({ dwell: null }, format)).toBe('none');
});

describe('a piece of gear', () => {
  const gear = (kind: Gear['kind'], rest: Partial<Gear>): Gear => ({
    id: 'a',
    name: 'A',
    kind,
    count: 1,
    cleanCount: 0,
    volumeMl: null,
    outputLitresPerBottle: null,
    lifeLitres: null,
    litresUsed: 0,
    notes: '',
    ...rest,
  });
  it.each([
    { of: gear('drying-towel', { count: 6, cleanCount: 4 }), text: '4 of 6 clean' },
    { of: gear('mitt', { count: 1, cleanCount: 1 }), text: '1 of 1 clean' },
    { of: gear('bucket', { count: 2, volumeMl: 15_000 }), text: '2, 15.00 L' },
    { of: gear('bucket', {}), text: 'one' },
    {
      of: gear('foamer', { volumeMl: 1000, outputLitresPerBottle: 11 }),
      text: '1.00 L bottle, draws 1:10.0 (measured)',
    },
    { of: gear('foamer', { outputLitresPerBottle: 11 }), text: 'one' },
    { of: gear('bucket', { lifeLitres: 500, litresUsed: 120 }), text: '380 L left of 500 L' },
    { of: gear('bucket', { lifeLitres: 500, litresUsed: 600 }), text: '0.0 L left of 500 L' },
  ])('reads as $text', ({ of, text }) => {
    expect(gearText(of, format)).toBe(text);
  });
});

it('what is to be seen to this evening has its numbers', () => {
  const foam = { name: 'Foam', lowestStoreC: -4, leftMl: 90, lowMl: 150 } as Product;
  const towels = { name: 'Towels', cleanCount: 1, count: 6 } as Gear;
  expect(
    warningTexts(
      {
        coldestC: -9,
        freezing: [foam],
        low: [foam],
        spent: [{ gear: towels, litresLeft: 12 }],
        laundry: [towels],
        worn: [],
        scratching: [{ name: 'Bath towels' } as Gear],
        stripping: [{ name: 'Dish soap' } as Product],
      },
      format,
    ),
  ).toEqual([
    'Take Foam out of the van: −9.0 °C tonight (forecast), it keeps down to −4.0 °C.',
    'Buy Foam: 90 mL left, low at 150 mL.',
    'Towels: 12 L left before it is spent.',
    'Launder Towels: 1 of 6 clean, no softener.',
    'Bath towels scratch: their hems and loops hold grit. Get folded towels of microfibre.',
    'Dish soap is made for plates and takes wax with it. Get a car shampoo.',
  ]);
});
