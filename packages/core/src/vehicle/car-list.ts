import { BODY_WORDS, type CarColumn, HEADINGS, PROTECTION_WORDS, TONE_WORDS } from './data/car-list-words.js';
import { MS_PER_HOUR } from '../quantity/index.js';
import {
  CellFault,
  columnsByHeading,
  dayIn,
  numberIn,
  plainWord,
  readLines,
  type TableFault,
  type TableRow,
  wordIn,
} from '../table/index.js';
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

/** The columns that the headings of a file give away by themselves. */
export const guessedColumns = (headings: readonly string[]): CarColumns =>
  columnsByHeading(headings, HEADINGS);

/** Noon of a day that is not still to come; null: not known. */
function lastWashMs(text: string, nowMs: number): number | null {
  const day = dayIn('lastWash', text);
  if (day === null) return null;
  const at = Date.parse(`${day}T12:00Z`);
  if (at - 12 * MS_PER_HOUR > nowMs) throw new CellFault('lastWash', `"${text.trim()}" is still to come`);
  return Math.min(at, nowMs);
}

function carLine(cell: (column: CarColumn) => string, nowMs: number): CarLine {
  const name = cell('name').trim();
  if (name === '') throw new CellFault('name', 'the car has no name');
  if (name.length > 80) throw new CellFault('name', 'the name is longer than 80 letters');
  const { body, tone, protection, cadenceDays, kmADay } = CAR_LINE_DEFAULTS;
  return {
    name,
    bodyClass: wordIn('body', cell('body'), { all: BODY_CLASSES, words: BODY_WORDS, usual: body }),
    paintTone: wordIn('tone', cell('tone'), { all: PAINT_TONES, words: TONE_WORDS, usual: tone }),
    protection: wordIn('protection', cell('protection'), {
      all: PROTECTIONS,
      words: PROTECTION_WORDS,
      usual: protection,
    }),
    cadenceDays: numberIn('everyDays', cell('everyDays'), { usual: cadenceDays, least: 1, most: 365 }),
    kmADay: numberIn('kmADay', cell('kmADay'), { usual: kmADay, least: 0, most: 1500 }),
    customer: cell('customer').trim().slice(0, 80) || null,
    contact: cell('contact').trim().slice(0, 200),
    lastWashMs: lastWashMs(cell('lastWash'), nowMs),
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
  rows: readonly TableRow[],
  columns: CarColumns,
  { taken, nowMs }: { readonly taken: readonly string[]; readonly nowMs: number },
): { readonly good: readonly CarLine[]; readonly faults: readonly TableFault[] } {
  const names = new Set(taken.map(plainWord));
  return readLines(rows, columns, (cell) => {
    const car = carLine(cell, nowMs);
    if (names.has(plainWord(car.name)))
      throw new CellFault('name', `there is a car named ${car.name} already`);
    names.add(plainWord(car.name));
    return car;
  });
}
