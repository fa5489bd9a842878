import { FieldError } from '../quantity/index.js';
import { type WeatherQuantity } from './data/weather-columns.js';
import type { WeatherReading } from './weather-reading.js';
import {
  type WeatherRow,
  type WeatherRowFault,
  type ReadHour,
  byName,
  fault,
  textOf,
  instantOf,
  memberOf,
  readingOf,
} from './read-row.js';

export interface WeatherRows {
  readonly hours: readonly ReadHour[];
  readonly faults: readonly WeatherRowFault[];
}

/** Columns that are not numbers with a unit. */
export const PLAIN_COLUMNS = ['at', 'member', 'precipKind'] as const;

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
