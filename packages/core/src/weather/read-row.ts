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

const PRECIP_KINDS: readonly PrecipKind[] = ['none', 'rain', 'sleet', 'snow'];

const MOST_MEMBERS = 30;

const HAS_OFFSET = /(?:Z|[+-]\d{2}:?\d{2})$/;

export const byName: ReadonlyMap<string, WeatherColumn> = new Map(
  WEATHER_COLUMNS.map((column) => [column.name, column]),
);

export const fault = (field: string, message: string): FieldError =>
  new FieldError('inconsistent', field, message);

export const textOf = (value: unknown): string =>
  typeof value === 'string' ? value.trim() : typeof value === 'number' ? String(value) : '';

export function instantOf(cells: WeatherRow['cells']): number {
  const at = textOf(cells.at);
  if (at === '') throw new FieldError('missing-field', 'at', 'at is needed');
  const atMs = Date.parse(at);
  if (Number.isNaN(atMs) || !HAS_OFFSET.test(at))
    throw new FieldError('wrong-type', 'at', `at is ${at}; it must be an instant with its offset`);
  if (atMs % MS_PER_HOUR !== 0) throw fault('at', `at is ${at}; it must be a full hour`);
  return atMs;
}

export function memberOf(cells: WeatherRow['cells']): number {
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

export function readingOf({ cells }: WeatherRow, atMs: number): WeatherReading {
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
