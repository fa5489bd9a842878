import type { LineFault, TableRow } from '@keen/core';
import { badField } from '../errors/api-error.js';
import { reported, unreadable } from './import-report.js';
import { readTable } from './read-csv.js';

type Columns = Readonly<Partial<Record<string, string>>>;

/** How one kind of list is read. */
interface ListKind<T, C extends Columns> {
  /** What its lines are, in words. */
  readonly what: string;
  readonly most: number;
  /** The columns that headings give away by themselves. */
  readonly guess: (headings: readonly string[]) => C;
  readonly lines: (
    rows: readonly TableRow[],
    columns: C,
  ) => { good: readonly T[]; faults: readonly LineFault[] };
}

export interface ReadList<T, C extends Columns> {
  readonly good: readonly T[];
  readonly faults: readonly LineFault[];
  readonly headings: readonly string[];
  readonly columns: C;
}

/**
 * The lines of a spreadsheet that somebody made for another program: its headings are known by usual words, or chosen.
 *
 * @param asked which heading stands for which column; null: as the headings give away
 * @throws 400 where the text is no table, has too many lines, or a column is named by a heading that is not there
 */
export function readList<T, C extends Columns>(
  text: string,
  asked: C | null,
  { what, most, guess, lines }: ListKind<T, C>,
): ReadList<T, C> {
  const { columns: headings, rows, faults: broken } = readTable(text);
  if (rows.length > most)
    throw unreadable(`At most ${most} ${what} are read at once; it has ${rows.length}.`);
  for (const [column, heading] of Object.entries(asked ?? {}))
    if (heading !== undefined && !headings.includes(heading))
      throw badField(`columns.${column}`, `columns.${column}: the file has no heading "${heading}".`);
  const columns = asked ?? guess(headings);
  const bad = new Set(broken.map(({ line }) => line));
  const found = lines(
    rows.filter(({ line }) => !bad.has(line)),
    columns,
  );
  const faults = [...broken, ...found.faults].sort((a, b) => a.line - b.line);
  return { good: found.good, faults: reported(faults), headings, columns };
}

/** @throws 400 naming a column that a list of this kind does not have */
export function requireColumns(asked: Columns, known: readonly string[], what: string): void {
  const odd = Object.keys(asked).find((column) => !known.includes(column));
  if (odd !== undefined)
    throw badField(`columns.${odd}`, `columns.${odd} is no column of a list of ${what}.`);
}
