import { describe, expect, it } from '@jest/globals';
import { csvText } from './csv.js';

const lineOf = (...cells: (string | number)[]): string | undefined =>
  csvText(
    cells.map((_, i) => `h${i}`),
    [cells],
  ).split('\r\n')[1];

describe('a file for a spreadsheet', () => {
  it('begins with a byte-order mark and its heads', () => {
    expect(csvText(['start', 'cost_CAD'], [['x', 1.5]])).toBe('\uFEFFstart,cost_CAD\r\nx,1.5');
  });

  it.each(['=1+1', '+41', '-2', '@SUM(A1)', '\tx', '\rx'])('takes %j for text and no formula', (text) => {
    expect(lineOf(text, 'b')).toMatch(/^"?'/);
  });

  it('leaves numbers numbers, and quotes what holds commas, quotes and ends of lines', () => {
    expect(lineOf(-2.5, 0)).toBe('-2.5,0');
    expect(lineOf('a, b', 'say "x"', 'two\nlines')).toBe('"a, b","say ""x""","two\nlines"');
  });
});
