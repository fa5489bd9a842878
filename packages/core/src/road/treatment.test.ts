import { describe, expect, it } from '@jest/globals';
import { requireTreatment, type TextRow, type Treatment, treatmentKey, treatmentRows } from './index.js';

const FROM = Date.UTC(2025, 10, 1);
const SPAN = { fromMs: FROM, toMs: Date.UTC(2026, 0, 20) };
const GOOD: Treatment = { atMs: Date.UTC(2026, 0, 10, 5), roadClass: 'main', agent: 'NaCl', gramsPerM2: 15 };

const row = (line: number, cells: Partial<Record<string, string>> = {}): TextRow => ({
  line,
  cells: {
    at: '2026-01-10T00:00:00-05:00',
    roadClass: 'main',
    agent: 'NaCl',
    gramsPerM2: '15',
    ...cells,
  },
});
const read = (rows: readonly TextRow[], keys: readonly string[] = []) =>
  treatmentRows(rows, { keys: new Set(keys), span: SPAN });

describe('a treatment', () => {
  it.each<{ change: Partial<Treatment>; field: string | null; why: string }>([
    { change: {}, field: null, why: 'an ordinary round' },
    { change: { atMs: FROM }, field: null, why: 'as the ledger begins' },
    { change: { atMs: FROM - 1 }, field: 'atMs', why: 'before the ledger begins' },
    { change: { atMs: SPAN.toMs + 1 }, field: 'atMs', why: 'too far ahead' },
    { change: { atMs: NaN }, field: 'atMs', why: 'no instant' },
    { change: { agent: 'KCl' as 'NaCl' }, field: 'agent', why: 'an unknown salt' },
    { change: { roadClass: 'alley' as 'main' }, field: 'roadClass', why: 'an unknown road' },
    { change: { gramsPerM2: 0 }, field: 'gramsPerM2', why: 'nothing spread' },
    { change: { gramsPerM2: -5 }, field: 'gramsPerM2', why: 'less than nothing' },
    { change: { gramsPerM2: 80 }, field: null, why: 'the heaviest round' },
    { change: { gramsPerM2: 81 }, field: 'gramsPerM2', why: 'a slip of the unit' },
  ])('$why', ({ change, field }) => {
    const act = (): void => requireTreatment({ ...GOOD, ...change }, SPAN);
    if (field === null) expect(act).not.toThrow();
    else expect(act).toThrow(expect.objectContaining({ field }));
  });
});

describe('a table of bulletins', () => {
  it('is read line by line', () => {
    const { treatments, faults } = read([
      row(2),
      row(3, { roadClass: 'bridge', agent: 'MgCl2', gramsPerM2: '12.5' }),
    ]);
    expect(faults).toEqual([]);
    expect(treatments[1]).toEqual({
      line: 3,
      atMs: Date.UTC(2026, 0, 10, 5),
      roadClass: 'bridge',
      agent: 'MgCl2',
      gramsPerM2: 12.5,
    });
  });

  it.each([
    { cells: { agent: 'sugar' }, field: 'agent' },
    { cells: { roadClass: '' }, field: 'roadClass' },
    { cells: { gramsPerM2: 'much' }, field: 'gramsPerM2' },
    { cells: { at: '2026-01-10 00:00' }, field: 'at' },
    { cells: { at: 'yesterday' }, field: 'at' },
    { cells: { at: '2024-01-10T00:00:00Z' }, field: 'atMs' },
  ])('names line and field: $field', ({ cells, field }) => {
    const { treatments, faults } = read([row(2), row(3, cells), row(4, { roadClass: 'town' })]);
    expect(treatments.map(({ line }) => line)).toEqual([2, 4]);
    expect(faults).toEqual([expect.objectContaining({ line: 3, field })]);
  });

  it('finds what is reported twice, in the table or before', () => {
    const twice = read([row(2), row(3)]);
    expect(twice.faults[0]?.message).toContain('line 2');
    const kept = read([row(2)], [treatmentKey(GOOD)]);
    expect(kept.faults[0]?.message).toContain('kept already');
  });
});
