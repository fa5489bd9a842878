import { describe, expect, it } from '@jest/globals';
import { MOST_MINOR } from '@keen/core';
import { type CloseDraft, closeDeed, closeErrors } from './close-form.js';
import { readingC } from './reading.js';

const DRAFT: CloseDraft = {
  spots: 'none',
  icePanels: [],
  behaviour: {},
  leftovers: ' seam ',
  note: ' cold ',
  paid: '12.345',
  foldedTowels: '4',
  dryingTowels: '',
  extras: ['underbody'],
};

describe('the close of a run', () => {
  it('is kept with what was typed, trimmed and in whole minor units, and nothing where nothing was', () => {
    expect(closeDeed(DRAFT)).toEqual({
      kind: 'close',
      found: { icePanels: [], spots: 'none', leftovers: 'seam', note: 'cold' },
      used: { paidMinor: 1235, foldedTowels: 4, dryingTowels: null },
      extras: ['underbody'],
    });
    const seen = closeDeed({ ...DRAFT, paid: '', behaviour: { roof: 'flat' } });
    expect(seen).toMatchObject({ found: { behaviour: { roof: 'flat' } }, used: { paidMinor: null } });
  });

  it.each([
    { change: {}, faults: [] },
    { change: { paid: '' }, faults: [] },
    { change: { paid: 0 }, faults: [] },
    { change: { paid: MOST_MINOR / 100 }, faults: [] },
    { change: { paid: MOST_MINOR / 100 + 1 }, faults: ['paid'] },
    { change: { paid: -0.01 }, faults: ['paid'] },
    { change: { paid: 'lots' }, faults: ['paid'] },
    { change: { foldedTowels: 200, dryingTowels: 0 }, faults: [] },
    { change: { foldedTowels: 201 }, faults: ['foldedTowels'] },
    { change: { foldedTowels: -1 }, faults: ['foldedTowels'] },
    { change: { dryingTowels: 1.5 }, faults: ['dryingTowels'] },
    { change: { dryingTowels: 'two' }, faults: ['dryingTowels'] },
  ])('$change: $faults', ({ change, faults }) => {
    expect(Object.keys(closeErrors({ ...DRAFT, ...change }))).toEqual(faults);
  });
});

describe('a temperature that is typed', () => {
  it.each<[number | string, 'C' | 'F', number | null]>([
    [-60, 'C', -60],
    [-60.01, 'C', null],
    [80, 'C', 80],
    [80.01, 'C', null],
    [32, 'F', 0],
    [14, 'F', -10],
    [176, 'F', 80],
    [177, 'F', null],
    ['-4.567', 'C', -4.57],
    ['', 'C', null],
    ['cold', 'C', null],
  ])('%p °%s is %p °C', (typed, unit, tempC) => {
    expect(readingC(typed, unit)).toBe(tempC);
  });
});
