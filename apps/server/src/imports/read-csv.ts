import type { TextRow } from '@keen/core';
import Papa from 'papaparse';
import { unreadable } from './import-report.js';

/**
 * The lines of a table with a header, as text by column.
 *
 * @throws 400 naming the line where the text is no table, or `text` where a wanted column is missing
 */
export function readCsv(text: string, columns: readonly string[]): TextRow[] {
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (name) => name.trim(),
  });
  const missing = columns.filter((column) => !(parsed.meta.fields ?? []).includes(column));
  if (missing.length > 0)
    throw unreadable(
      `The first line must name the columns ${columns.join(', ')}; missing: ${missing.join(', ')}.`,
      1,
    );
  const broken = parsed.errors.find(({ type }) => type === 'Quotes');
  if (broken) throw unreadable(`The quotes do not match: ${broken.message}.`, (broken.row ?? 0) + 2);
  return parsed.data.map((cells, i) => ({ line: i + 2, cells }));
}
