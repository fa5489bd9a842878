import { MS_PER_MINUTE } from '../quantity/index.js';
export interface LocalTime {
  /** 0 Monday … 6 Sunday. */
  readonly weekday: number;
  readonly minuteOfDay: number;
}

const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
const formatters = new Map<string, Intl.DateTimeFormat>();

function formatterFor(timeZone: string): Intl.DateTimeFormat {
  const known = formatters.get(timeZone);
  if (known) return known;
  const made = new Intl.DateTimeFormat('en-GB', {
    timeZone,
    weekday: 'short',
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
  });
  formatters.set(timeZone, made);
  return made;
}

/** Clocks change, and zones differ, by whole quarters of an hour. */
const QUARTER_MS = 15 * MS_PER_MINUTE;
/** The same hours are asked for again and again, by every car and place. */
const quarters = new Map<string, Map<number, LocalTime>>();
const MOST_QUARTERS = 50_000;

function quarterOf(fromMs: number, timeZone: string): LocalTime {
  const known = quarters.get(timeZone) ?? new Map<number, LocalTime>();
  const before = known.get(fromMs);
  if (before) return before;
  const parts = new Map(
    formatterFor(timeZone)
      .formatToParts(fromMs)
      .map((part) => [part.type, part.value]),
  );
  const made = {
    weekday: WEEKDAYS.indexOf(parts.get('weekday') ?? 'Mon'),
    minuteOfDay: Number(parts.get('hour')) * 60 + Number(parts.get('minute')),
  };
  if (known.size >= MOST_QUARTERS) known.clear();
  quarters.set(timeZone, known.set(fromMs, made));
  return made;
}

/**
 * Weekday and wall-clock minute of an instant in a zone, right across clock changes.
 *
 * @param timeZone IANA name
 * @throws RangeError for a zone that does not exist
 * @example localTime(Date.UTC(2026, 0, 14, 11, 40), 'America/Toronto') // { weekday: 2, minuteOfDay: 400 }
 */
export function localTime(atMs: number, timeZone: string): LocalTime {
  const fromMs = Math.floor(atMs / QUARTER_MS) * QUARTER_MS;
  const { weekday, minuteOfDay } = quarterOf(fromMs, timeZone);
  return { weekday, minuteOfDay: minuteOfDay + Math.floor((atMs - fromMs) / MS_PER_MINUTE) };
}
