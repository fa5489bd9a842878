import { dewPointFromHumidity } from '../air/index.js';
import { FieldError, MS_PER_HOUR } from '../quantity/index.js';
import { WEATHER_COLUMNS, type WeatherColumn, type WeatherQuantity } from './data/weather-columns.js';
import type { PrecipKind } from './weather-hour.js';
import type { WeatherReading } from './weather-reading.js';

/** A row of a table (text by column) or an hour of a JSON list (text or numbers by key), with where it stands. */
export interface WeatherRow {
  readonly line: number;
  readonly cells: Readonly<Record<string, unknown>>;
}

export interface WeatherRowFault {
  readonly line: number;
  readonly field: string;
  readonly message: string;
}

/** One hour as read; member 0 is the control, or the only course. */
export interface ReadHour {
  readonly line: number;
  readonly member: number;
  readonly reading: WeatherReading;
}

export interface WeatherRows {
  readonly hours: readonly ReadHour[];
  readonly faults: readonly WeatherRowFault[];
}

const PRECIP_KINDS: readonly PrecipKind[] = ['none', 'rain', 'sleet', 'snow'];
/** Columns that are not numbers with a unit. */
export const PLAIN_COLUMNS = ['at', 'member', 'precipKind'] as const;
const MOST_MEMBERS = 30;
const HAS_OFFSET = /(?:Z|[+-]\d{2}:?\d{2})$/;

const byName: ReadonlyMap<string, WeatherColumn> = new Map(
  WEATHER_COLUMNS.map((column) => [column.name, column]),
);

const fault = (field: string, message: string): FieldError => new FieldError('inconsistent', field, message);

/**
 * Which of these columns can be read, and do they fit together?
 *
 * @param names the first line of a table, or the keys of an hour
 * @throws FieldError naming the column that is not known, tells the same as another in another unit, or is missing
 * @example requireWeatherColumns(['at', 'airTempC', 'airTempF']) // throws: airTempF
 */
export function requireWeatherColumns(names: readonly string[]): void {
  if (!names.includes('at'))
    throw new FieldError(
      'missing-field',
      'at',
      `at is missing; the columns are ${names.join(', ') || 'none'}`,
    );
  const told = new Map<WeatherQuantity, string>();
  for (const name of names) {
    if ((PLAIN_COLUMNS as readonly string[]).includes(name)) continue;
    const column = byName.get(name);
    if (!column)
      throw new FieldError(
        'unknown-field',
        name,
        `${name} is not a column here; write one of ${[...PLAIN_COLUMNS, ...byName.keys()].join(', ')}`,
      );
    const other = told.get(column.quantity);
    if (other !== undefined)
      throw fault(name, `${name} and ${other} tell the same in two units; keep one of them`);
    told.set(column.quantity, name);
  }
  if (told.has('relHumidity') && told.has('dewPointC'))
    throw fault(
      told.get('relHumidity') ?? '',
      `${told.get('relHumidity')} and ${told.get('dewPointC')} tell the same; keep one of them`,
    );
  if (told.size === 0) throw fault('at', 'no column besides at; there is nothing to read');
}

const textOf = (value: unknown): string =>
  typeof value === 'string' ? value.trim() : typeof value === 'number' ? String(value) : '';

function instantOf(cells: WeatherRow['cells']): number {
  const at = textOf(cells.at);
  if (at === '') throw new FieldError('missing-field', 'at', 'at is needed');
  const atMs = Date.parse(at);
  if (Number.isNaN(atMs) || !HAS_OFFSET.test(at))
    throw new FieldError('wrong-type', 'at', `at is ${at}; it must be an instant with its offset`);
  if (atMs % MS_PER_HOUR !== 0) throw fault('at', `at is ${at}; it must be a full hour`);
  return atMs;
}

function memberOf(cells: WeatherRow['cells']): number {
  const text = textOf(cells.member);
  if (text === '') return 0;
  const member = Number(text);
  if (Number.isInteger(member) && member >= 0 && member <= MOST_MEMBERS) return member;
  throw new FieldError(
    'wrong-type',
    'member',
    `member is ${text}; it must be 0 (the control) to ${MOST_MEMBERS}`,
  );
}

function numberOf(column: WeatherColumn, text: string): number {
  if (/^-?\d+,\d+$/.test(text))
    throw new FieldError('wrong-type', column.name, `${column.name} is ${text}; write a point, not a comma`);
  const value = Number(text.replace('\u2212', '-'));
  if (!Number.isFinite(value))
    throw new FieldError(
      'wrong-type',
      column.name,
      `${column.name} is ${text}; it must be a number alone, its unit (${column.unit}) is in the name of the column`,
    );
  if (value < column.min || value > column.max)
    throw new FieldError(
      'out-of-range',
      column.name,
      `${column.name} is ${text}; allowed is ${column.min} to ${column.max} ${column.unit}. Is it in another unit?`,
    );
  return value * column.scale + column.offset;
}

function readingOf({ cells }: WeatherRow, atMs: number): WeatherReading {
  const told: Partial<Record<WeatherQuantity, number>> = {};
  for (const [name, value] of Object.entries(cells)) {
    const column = byName.get(name);
    const text = textOf(value);
    // An empty cell is not known: other sources may know it, and nobody makes it up.
    if (column && text !== '') told[column.quantity] = numberOf(column, text);
  }
  const { relHumidity, ...fields } = told;
  const kind = textOf(cells.precipKind);
  if (kind !== '' && !PRECIP_KINDS.includes(kind as PrecipKind))
    throw new FieldError(
      'wrong-type',
      'precipKind',
      `precipKind is ${kind}; it must be ${PRECIP_KINDS.join(', ')}`,
    );
  if (relHumidity !== undefined && fields.airTempC === undefined)
    throw fault('airTempC', 'a humidity without an air temperature tells no dew point');
  if ((fields.dewPointC ?? -Infinity) > (fields.airTempC ?? Infinity) + 0.5)
    throw fault('dewPointC', 'the dew point lies above the air temperature');
  const dew =
    relHumidity !== undefined && fields.airTempC !== undefined
      ? { dewPointC: dewPointFromHumidity(fields.airTempC, relHumidity) }
      : {};
  const reading = { atMs, ...fields, ...dew, ...(kind === '' ? {} : { precipKind: kind as PrecipKind }) };
  if (Object.keys(reading).length === 1) throw fault('at', 'the hour has no reading');
  return reading as WeatherReading;
}

/** A list that runs backwards from its first to its last hour is read from its end. */
function inOrder(rows: readonly WeatherRow[]): readonly WeatherRow[] {
  const times = rows.map(({ cells }) => Date.parse(textOf(cells.at)));
  const isBackwards = times.length > 1 && times.every((at, i) => i === 0 || at < (times[i - 1] ?? NaN));
  return isBackwards ? [...rows].reverse() : rows;
}

/**
 * Which of these rows are hours of weather, and what is wrong with the others?
 *
 * @param rows of a table whose columns passed `requireWeatherColumns`
 * @param span hours that may be told, as instants; outside is a fault
 * @returns hours in order and a fault for each bad row, naming line and field: no instant, not a full hour, told twice,
 * going back in time, outside a range, in another unit. A table that runs backwards as a whole is read from its end.
 */
export function weatherRows(
  rows: readonly WeatherRow[],
  span: { readonly fromMs: number; readonly toMs: number },
): WeatherRows {
  const lastOf = new Map<number, { line: number; atMs: number }>();
  const seen = new Map<string, number>();
  const hours: ReadHour[] = [];
  const faults: WeatherRowFault[] = [];
  for (const row of inOrder(rows)) {
    try {
      const atMs = instantOf(row.cells);
      const member = memberOf(row.cells);
      const key = `${member} ${atMs}`;
      const twin = seen.get(key);
      const of = member > 0 ? ` of member ${member}` : '';
      if (twin !== undefined) throw fault('at', `the same hour${of} stands on line ${twin} too`);
      seen.set(key, row.line);
      const last = lastOf.get(member);
      if (last && atMs < last.atMs) throw fault('at', `it goes back in time behind line ${last.line}`);
      if (atMs < span.fromMs || atMs >= span.toMs)
        throw fault(
          'at',
          `it must lie from ${new Date(span.fromMs).toISOString()} to before ${new Date(span.toMs).toISOString()}`,
        );
      hours.push({ line: row.line, member, reading: readingOf(row, atMs) });
      lastOf.set(member, { line: row.line, atMs });
    } catch (error) {
      if (!(error instanceof FieldError)) throw error;
      faults.push({ line: row.line, field: error.field, message: error.message });
    }
  }
  return { hours, faults };
}

/** Readings by member, the control first; members that nobody tells are left out. */
export function readingsByMember(hours: readonly Pick<ReadHour, 'member' | 'reading'>[]): WeatherReading[][] {
  const byMember = new Map<number, WeatherReading[]>();
  for (const { member, reading } of hours) {
    const known = byMember.get(member);
    if (known) known.push(reading);
    else byMember.set(member, [reading]);
  }
  return [...byMember].sort(([a], [b]) => a - b).map(([, readings]) => readings);
}
