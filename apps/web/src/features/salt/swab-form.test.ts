import { describe, expect, it } from '@jest/globals';
import { readSwab, type SwabDraft } from './swab-form.js';

const draft = (change: Partial<SwabDraft>): SwabDraft => ({
  at: '2026-01-14T06:40',
  zone: 'lower-left',
  delta: 10,
  volumeMl: 15,
  areaMm2: 1250,
  ...change,
});

describe('a reading of the patch as it is typed', () => {
  it('is the load that ISO 8502 makes of it', () => {
    // 15 mL and 1250 mm²: 6.0 mg/m² for each µS/cm.
    expect(readSwab(draft({}))).toMatchObject({ kind: 'found', gramsPerM2: expect.closeTo(0.06, 9) });
  });

  it.each([
    { change: { delta: 250_000 }, field: 'deltaMicroSiemensPerCm', why: 'more than any brine' },
    { change: { delta: 200_001 }, field: 'deltaMicroSiemensPerCm', why: 'just beyond' },
    { change: { delta: -0.1 }, field: 'deltaMicroSiemensPerCm', why: 'just below' },
    { change: { delta: null }, field: 'deltaMicroSiemensPerCm', why: 'nothing typed' },
    { change: { volumeMl: 0 }, field: 'volumeMl', why: 'no water' },
    { change: { areaMm2: 0.5 }, field: 'areaMm2', why: 'no patch' },
  ])('is faulty at $field: $why', ({ change, field }) => {
    const found = readSwab(draft(change));
    expect(found.kind === 'faulty' && Object.keys(found.errors)).toEqual([field]);
  });

  it.each([0, 200_000])('is found at the limit of %s µS/cm', (delta) => {
    expect(readSwab(draft({ delta })).kind).toBe('found');
  });
});
