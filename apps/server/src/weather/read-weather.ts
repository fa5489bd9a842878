import {
  FieldError,
  type ReadHour,
  requireWeatherColumns,
  type WeatherRow,
  weatherRows,
  type LineFault,
} from '@keen/core';
import { unreadable } from '../imports/import-report.js';
import { readTable } from '../imports/read-csv.js';
import { readAviation } from './read-aviation.js';

export const WEATHER_FORMATS = ['csv', 'json', 'aviation'] as const;
export type WeatherFormat = (typeof WEATHER_FORMATS)[number];
export const WEATHER_KINDS = ['measured', 'forecast'] as const;
export type WeatherKind = (typeof WEATHER_KINDS)[number];

export interface ReadWeather {
  readonly hours: readonly ReadHour[];
  readonly faults: readonly LineFault[];
  readonly notes: readonly string[];
}

type Span = Parameters<typeof weatherRows>[1];

/** Columns that do not fit together turn the whole table down. */
function requireColumns(names: readonly string[], line?: number): void {
  try {
    requireWeatherColumns(names);
  } catch (error) {
    if (error instanceof FieldError) throw unreadable(`${error.message}.`, line);
    throw error;
  }
}

function readCsvHours(text: string, span: Span): ReadWeather {
  const { columns, rows, faults } = readTable(text);
  if (columns.length === 1)
    throw unreadable(
      `The first line reads as one column, ${columns[0]}; columns are separated by commas, semicolons or tabs.`,
      1,
    );
  requireColumns(columns, 1);
  const bad = new Set(faults.map(({ line }) => line));
  const read = weatherRows(
    rows.filter(({ line }) => !bad.has(line)),
    span,
  );
  return {
    hours: read.hours,
    faults: [...faults, ...read.faults].sort((a, b) => a.line - b.line),
    notes: [],
  };
}

/** Rows of a list of objects; `line` counts them from 1. @throws 400 where it is no list of objects, or a key does not belong */
export function rowsOfList(list: unknown): WeatherRow[] {
  if (!Array.isArray(list) || list.length === 0)
    throw unreadable('It must be a list of hours, and not empty.');
  const rows = list.map((cells: unknown, i): WeatherRow => {
    if (typeof cells !== 'object' || cells === null || Array.isArray(cells))
      throw unreadable(`Hour ${i + 1} of the list is no object.`);
    return { line: i + 1, cells: cells as Readonly<Record<string, unknown>> };
  });
  requireColumns([...new Set(rows.flatMap(({ cells }) => Object.keys(cells)))]);
  return rows;
}

function readJsonHours(text: string, span: Span): ReadWeather {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    throw unreadable(`The JSON is broken: ${error instanceof Error ? error.message : 'not readable'}.`);
  }
  const list = Array.isArray(value) ? value : (value as { hours?: unknown } | null)?.hours;
  return { ...weatherRows(rowsOfList(list), span), notes: [] };
}

/**
 * Hours of weather in one of the open formats, with what is wrong line by line.
 *
 * @throws 400 where the text as a whole cannot be read
 */
export function readWeather(
  { text, format, kind }: { text: string; format: WeatherFormat; kind: WeatherKind },
  { span, nowMs }: { span: Span; nowMs: number },
): ReadWeather {
  if (format === 'csv') return readCsvHours(text, span);
  if (format === 'json') return readJsonHours(text, span);
  const read = readAviation(text, nowMs);
  if (read.kind !== kind)
    throw unreadable(
      read.kind === 'forecast'
        ? 'This is a forecast (TAF); read it as a forecast.'
        : 'These are observations (METAR); read them as measured.',
    );
  const inside = ({ reading }: ReadHour): boolean => reading.atMs >= span.fromMs && reading.atMs < span.toMs;
  return {
    hours: read.hours.filter(inside),
    faults: read.hours
      .filter((hour) => !inside(hour))
      .map(({ line }) => ({ line, field: 'at', message: 'it lies outside the hours that are kept' })),
    notes: read.notes,
  };
}
