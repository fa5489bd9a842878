import { instantOfWallTime, MINOR_PER_UNIT } from '../quantity/index.js';
import { METHOD_IDS, type MethodId } from '../method/index.js';
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
import { METHOD_WORDS, WASH_HEADINGS, type WashColumn } from './data/wash-list-words.js';

/** Which heading of a file stands for which column; one that is not named is not in the file. */
export type WashColumns = Readonly<Partial<Record<WashColumn, string>>>;

/** One wash of long ago, as a list has it. */
export interface WashLine {
  readonly vehicleId: string;
  readonly car: string;
  readonly placeId: string;
  readonly place: string;
  readonly methodId: MethodId;
  readonly startMs: number;
  readonly minutes: number;
  /** null: not told. */
  readonly costMinor: number | null;
  readonly note: string;
}

interface Named {
  readonly id: string;
  readonly name: string;
}

/** What the lines of a list are read against. */
export interface WashListFacts {
  readonly vehicles: readonly Named[];
  /** With the methods that each offers; the first is taken where a line names none. */
  readonly places: readonly (Named & { readonly methodIds: readonly string[] })[];
  /** Washes of the log, so that none is read twice. */
  readonly known: readonly { readonly vehicleId: string; readonly startMs: number }[];
  readonly timeZone: string;
  readonly nowMs: number;
}

/** What a list leaves out (judgement: what is met most). */
export const WASH_LINE_DEFAULTS = { method: 'bay-contact', minutes: 45, time: '12:00' } as const;

/** The columns that the headings of a file give away by themselves. */
export const guessedWashColumns = (headings: readonly string[]): WashColumns =>
  columnsByHeading(headings, WASH_HEADINGS);

const byName = <T extends Named>(all: readonly T[], text: string): T | undefined =>
  all.find(({ name }) => plainWord(name) === plainWord(text));

/** An instant as this program's own list of washes tells it. */
const INSTANT = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(:\d{2}(\.\d+)?)?Z$/;

function startOf(cell: (column: WashColumn) => string, facts: WashListFacts): number {
  const atMs = INSTANT.test(cell('day').trim()) ? Date.parse(cell('day')) : onClock(cell, facts.timeZone);
  if (Number.isNaN(atMs)) throw new CellFault('day', `"${cell('day').trim()}" is no day`);
  if (atMs > facts.nowMs) throw new CellFault('day', 'it is still to come; a wash that is logged was done');
  return atMs;
}

/** By the clock on the shop's wall. */
function onClock(cell: (column: WashColumn) => string, timeZone: string): number {
  const day = dayIn('day', cell('day'));
  if (day === null) throw new CellFault('day', 'the day is missing');
  const time = cell('time').trim() || WASH_LINE_DEFAULTS.time;
  const [, hour = '', minute = ''] = /^(\d{1,2})[:.](\d{2})$/.exec(time) ?? [];
  const at = instantOfWallTime(`${day}T${hour.padStart(2, '0')}:${minute}`, timeZone);
  if (at.kind !== 'instant')
    throw new CellFault('time', `"${time}" is no time of that day; write it as 14:30`);
  return at.atMs;
}

function placeOf(cell: (column: WashColumn) => string, { places }: WashListFacts, methodId: MethodId) {
  const text = cell('place').trim();
  const found =
    text === ''
      ? (places.find(({ methodIds }) => methodIds.includes(methodId)) ?? places[0])
      : byName(places, text);
  if (!found)
    throw new CellFault(
      'place',
      text === '' ? 'there is no place yet; add one first' : `there is no place named ${text}; add it first`,
    );
  return found;
}

function washLine(cell: (column: WashColumn) => string, facts: WashListFacts): WashLine {
  const car = byName(facts.vehicles, cell('car'));
  if (!car) {
    const text = cell('car').trim();
    throw new CellFault(
      'car',
      text === '' ? 'the car is missing' : `there is no car named ${text}; add it first`,
    );
  }
  const usual = byName(facts.places, cell('place'))?.methodIds.find((id): id is MethodId =>
    METHOD_IDS.includes(id as MethodId),
  );
  const methodId = wordIn('method', cell('method'), {
    all: METHOD_IDS,
    words: METHOD_WORDS,
    usual: usual ?? WASH_LINE_DEFAULTS.method,
  });
  const place = placeOf(cell, facts, methodId);
  const cost = numberIn('cost', cell('cost'), { usual: null, least: 0, most: 100_000 });
  return {
    vehicleId: car.id,
    car: car.name,
    placeId: place.id,
    place: place.name,
    methodId,
    startMs: startOf(cell, facts),
    minutes: numberIn('minutes', cell('minutes'), {
      usual: WASH_LINE_DEFAULTS.minutes,
      least: 1,
      most: 1440,
    }),
    costMinor: cost === null ? null : Math.round(cost * MINOR_PER_UNIT),
    note: cell('note').trim().slice(0, 2000),
  };
}

/**
 * Old washes of a table, line by line.
 *
 * @returns what is good, and what is wrong with each other line, by its column; a wash that the log has already is a fault
 */
export function washLines(
  rows: readonly TableRow[],
  columns: WashColumns,
  facts: WashListFacts,
): { readonly good: readonly WashLine[]; readonly faults: readonly TableFault[] } {
  const keyOf = ({ vehicleId, startMs }: { vehicleId: string; startMs: number }): string =>
    `${vehicleId} ${startMs}`;
  const known = new Set(facts.known.map(keyOf));
  return readLines(rows, columns, (cell) => {
    const wash = washLine(cell, facts);
    if (known.has(keyOf(wash)))
      throw new CellFault('day', `a wash of ${wash.car} at that time is in the log already`);
    known.add(keyOf(wash));
    return wash;
  });
}
