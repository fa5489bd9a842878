import type { TextRow, LineFault } from '@keen/core';
import Papa from 'papaparse';
import { unreadable } from './import-report.js';

export interface Table {
  readonly columns: readonly string[];
  readonly rows: readonly TextRow[];
  /** Lines with more or fewer cells than the header. */
  readonly faults: readonly LineFault[];
}

/**
 * The lines of a table with a header, as text by column; commas, semicolons or tabs between the cells.
 *
 * @throws 400 naming the line where the quotes do not match
 */
export function readTable(text: string): Table {
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (name) => name.trim(),
    delimitersToGuess: [',', ';', '\t', '|'],
  });
  const broken = parsed.errors.find(({ type }) => type === 'Quotes');
  if (broken) throw unreadable(`The quotes do not match: ${broken.message}.`, (broken.row ?? 0) + 1);
  const columns = parsed.meta.fields ?? [];
  const faults = parsed.errors
    .filter(({ type }) => type === 'FieldMismatch')
    .map(({ row, code }) => ({
      line: (row ?? 0) + 2,
      field: 'line',
      message: `it has ${code === 'TooFewFields' ? 'fewer' : 'more'} cells than the first line has columns`,
    }));
  return { columns, rows: parsed.data.map((cells, i) => ({ line: i + 2, cells })), faults };
}

/**
 * The lines of a table that must have certain columns.
 *
 * @throws 400 naming the line where the text is no table, or the first line where a wanted column is missing
 */
export function readCsv(text: string, wanted: readonly string[]): TextRow[] {
  const { columns, rows } = readTable(text);
  const missing = wanted.filter((column) => !columns.includes(column));
  if (missing.length > 0)
    throw unreadable(
      `The first line must name the columns ${wanted.join(', ')}; missing: ${missing.join(', ')}.`,
      1,
    );
  return [...rows];
}
