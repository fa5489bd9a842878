/** One line of a table, its cells by heading. */
export interface TableRow {
  readonly line: number;
  readonly cells: Readonly<Record<string, string>>;
}

/** What is wrong with a line, by the heading of its cell. */
export interface TableFault {
  readonly line: number;
  readonly field: string;
  readonly message: string;
}

/** A cell that cannot be read. */
export class CellFault extends Error {
  constructor(
    readonly column: string,
    message: string,
  ) {
    super(message);
  }
}

/** Small letters, one blank between words: how words of a table are compared. */
export const plainWord = (text: string): string =>
  text.trim().toLowerCase().replaceAll(/[_-]+/g, ' ').replaceAll(/\s+/g, ' ');

/**
 * The columns that the headings of a file give away by themselves.
 *
 * @param known words that each column's heading is known by, in small letters
 */
export function columnsByHeading<C extends string>(
  headings: readonly string[],
  known: Readonly<Record<C, readonly string[]>>,
): Readonly<Partial<Record<C, string>>> {
  const found = (Object.keys(known) as C[]).flatMap((column) => {
    const heading = headings.find((one) => known[column].some((word) => plainWord(word) === plainWord(one)));
    return heading === undefined ? [] : [[column, heading] as const];
  });
  return Object.fromEntries(found) as Partial<Record<C, string>>;
}

/** @throws CellFault naming what may stand there */
export function wordIn<T extends string>(
  column: string,
  text: string,
  of: { readonly all: readonly T[]; readonly words: Readonly<Record<string, T>>; readonly usual: T },
): T {
  const word = plainWord(text);
  if (word === '') return of.usual;
  const found = of.all.find((one) => plainWord(one) === word) ?? of.words[word];
  if (found === undefined)
    throw new CellFault(column, `"${text.trim()}" is not known; use ${of.all.join(', ')}`);
  return found;
}

/** A point or a comma before decimals. @throws CellFault naming the range */
export function numberIn<U extends number | null>(
  column: string,
  text: string,
  { usual, least, most }: { readonly usual: U; readonly least: number; readonly most: number },
): number | U {
  if (text.trim() === '') return usual;
  const value = Number(text.trim().replace(',', '.'));
  if (!Number.isFinite(value) || value < least || value > most)
    throw new CellFault(column, `"${text.trim()}" must be a number from ${least} to ${most}`);
  return value;
}

const two = (part: string): string => part.padStart(2, '0');

/**
 * A day as YYYY-MM-DD, from the year first or, with dots between, the day first: 3/4/26 is another day on either side of an ocean.
 *
 * @returns null where nothing stands there
 * @throws CellFault where it is no day
 */
export function dayIn(column: string, text: string): string | null {
  const written = text.trim();
  if (written === '') return null;
  const [, y, m, d] = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})$/.exec(written) ?? [];
  const [, d2, m2, y2] = /^(\d{1,2})\.\s?(\d{1,2})\.\s?(\d{4})$/.exec(written) ?? [];
  const day = `${y ?? y2 ?? ''}-${two(m ?? m2 ?? '')}-${two(d ?? d2 ?? '')}`;
  const at = Date.parse(`${day}T12:00Z`);
  if (Number.isNaN(at) || new Date(at).toISOString().slice(0, 10) !== day)
    throw new CellFault(column, `"${written}" is no day; write it as 2026-01-31`);
  return day;
}

/**
 * Reads a table line by line.
 *
 * @param read one line; throws CellFault where it cannot be read
 * @param columns which heading stands for which column
 * @returns what is good, and what is wrong with each other line, by its heading
 */
export function readLines<T>(
  rows: readonly TableRow[],
  columns: Readonly<Partial<Record<string, string>>>,
  read: (cell: (column: string) => string) => T,
): { readonly good: readonly T[]; readonly faults: readonly TableFault[] } {
  const good: T[] = [];
  const faults: TableFault[] = [];
  for (const { line, cells } of rows)
    try {
      good.push(read((column) => cells[columns[column] ?? ''] ?? ''));
    } catch (error) {
      if (!(error instanceof CellFault)) throw error;
      faults.push({ line, field: columns[error.column] ?? error.column, message: error.message });
    }
  return { good, faults };
}
