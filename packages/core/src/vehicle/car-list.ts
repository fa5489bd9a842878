import {
  BODY_WORDS,
  CAR_COLUMNS,
  type CarColumn,
  HEADINGS,
  PROTECTION_WORDS,
  TONE_WORDS,
} from './data/car-list-words.js';
import { type BodyClass, BODY_CLASSES } from './data/panels.js';
import { type PaintTone, PAINT_TONES, type Protection, PROTECTIONS } from './vehicle.js';

/** Which heading of a file stands for which column; one that is not named is not in the file. */
export type CarColumns = Readonly<Partial<Record<CarColumn, string>>>;

/** One car as a list has it. */
export interface CarLine {
  readonly name: string;
  readonly bodyClass: BodyClass;
  readonly paintTone: PaintTone;
  readonly protection: Protection;
  /** Days between two washes. */
  readonly cadenceDays: number;
  readonly kmADay: number;
  /** null: the shop's own. */
  readonly customer: string | null;
  readonly contact: string;
  /** Noon of the day, UTC; null: not known. */
  readonly lastWashMs: number | null;
  readonly notes: string;
}

/** What a list leaves out (judgement: the car that is met most). */
export const CAR_LINE_DEFAULTS = {
  body: 'saloon',
  tone: 'mid',
  protection: 'bare',
  cadenceDays: 10,
  kmADay: 40,
} as const;

const plain = (text: string): string =>
  text.trim().toLowerCase().replaceAll(/[_-]+/g, ' ').replaceAll(/\s+/g, ' ');

/** The columns that the headings of a file give away by themselves. */
export function guessedColumns(headings: readonly string[]): CarColumns {
  const found = CAR_COLUMNS.flatMap((column) => {
    const heading = headings.find((one) => HEADINGS[column].some((word) => plain(word) === plain(one)));
    return heading === undefined ? [] : [[column, heading] as const];
  });
  return Object.fromEntries(found);
}

export interface CarLineFault {
  readonly line: number;
  readonly field: string;
  readonly message: string;
}

interface Row {
  readonly line: number;
  readonly cells: Readonly<Record<string, string>>;
}

class Fault extends Error {
  constructor(
    readonly column: CarColumn,
    message: string,
  ) {
    super(message);
  }
}

function chosen<T extends string>(
  column: CarColumn,
  text: string,
  of: { readonly all: readonly T[]; readonly words: Readonly<Record<string, T>>; readonly usual: T },
): T {
  const word = plain(text);
  if (word === '') return of.usual;
  const found = of.all.find((one) => plain(one) === word) ?? of.words[word];
  if (found === undefined) throw new Fault(column, `"${text.trim()}" is not known; use ${of.all.join(', ')}`);
  return found;
}

function numberIn(
  column: CarColumn,
  text: string,
  { usual, least, most }: { readonly usual: number; readonly least: number; readonly most: number },
): number {
  if (text.trim() === '') return usual;
  const value = Number(text.trim().replace(',', '.'));
  if (!Number.isFinite(value) || value < least || value > most)
    throw new Fault(column, `"${text.trim()}" must be a number from ${least} to ${most}`);
  return value;
}

const HOUR_MS = 3_600_000;

/** The year first, or the day first with dots between: 3/4/26 is another day on either side of an ocean. */
function dayOf(text: string, nowMs: number): number | null {
  const written = text.trim();
  if (written === '') return null;
  const [, y, m, d] = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})$/.exec(written) ?? [];
  const [, d2, m2, y2] = /^(\d{1,2})\.\s?(\d{1,2})\.\s?(\d{4})$/.exec(written) ?? [];
  const [year, month, day] = [y ?? y2, m ?? m2, d ?? d2].map(Number);
  const at = Date.UTC(year ?? NaN, (month ?? NaN) - 1, day ?? NaN) + 12 * HOUR_MS;
  if (Number.isNaN(at) || new Date(at).getUTCDate() !== day)
    throw new Fault('lastWash', `"${written}" is no day; write it as 2026-01-31`);
  if (at - 12 * HOUR_MS > nowMs) throw new Fault('lastWash', `"${written}" is still to come`);
  return Math.min(at, nowMs);
}

function carLine({ cells }: Row, columns: CarColumns, nowMs: number): CarLine {
  const cell = (column: CarColumn): string => cells[columns[column] ?? ''] ?? '';
  const name = cell('name').trim();
  if (name === '') throw new Fault('name', 'the car has no name');
  if (name.length > 80) throw new Fault('name', 'the name is longer than 80 letters');
  const { body, tone, protection, cadenceDays, kmADay } = CAR_LINE_DEFAULTS;
  return {
    name,
    bodyClass: chosen('body', cell('body'), { all: BODY_CLASSES, words: BODY_WORDS, usual: body }),
    paintTone: chosen('tone', cell('tone'), { all: PAINT_TONES, words: TONE_WORDS, usual: tone }),
    protection: chosen('protection', cell('protection'), {
      all: PROTECTIONS,
      words: PROTECTION_WORDS,
      usual: protection,
    }),
    cadenceDays: numberIn('everyDays', cell('everyDays'), { usual: cadenceDays, least: 1, most: 365 }),
    kmADay: numberIn('kmADay', cell('kmADay'), { usual: kmADay, least: 0, most: 1500 }),
    customer: cell('customer').trim().slice(0, 80) || null,
    contact: cell('contact').trim().slice(0, 200),
    lastWashMs: dayOf(cell('lastWash'), nowMs),
    notes: cell('notes').trim().slice(0, 2000),
  };
}

/**
 * Cars of a table, line by line.
 *
 * @param taken names of cars that are there already
 * @returns what is good, and what is wrong with each other line, by its column
 */
export function carLines(
  rows: readonly Row[],
  columns: CarColumns,
  { taken, nowMs }: { readonly taken: readonly string[]; readonly nowMs: number },
): { readonly good: readonly CarLine[]; readonly faults: readonly CarLineFault[] } {
  const names = new Set(taken.map(plain));
  const good: CarLine[] = [];
  const faults: CarLineFault[] = [];
  for (const row of rows)
    try {
      const car = carLine(row, columns, nowMs);
      if (names.has(plain(car.name))) throw new Fault('name', `there is a car named ${car.name} already`);
      names.add(plain(car.name));
      good.push(car);
    } catch (error) {
      if (!(error instanceof Fault)) throw error;
      faults.push({ line: row.line, field: columns[error.column] ?? error.column, message: error.message });
    }
  return { good, faults };
}
