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

/**
 * Weekday and wall-clock minute of an instant in a zone, right across clock changes.
 *
 * @param timeZone IANA name
 * @throws RangeError for a zone that does not exist
 * @example localTime(Date.UTC(2026, 0, 14, 11, 40), 'America/Toronto') // { weekday: 2, minuteOfDay: 400 }
 */
export function localTime(atMs: number, timeZone: string): LocalTime {
  const parts = new Map(
    formatterFor(timeZone)
      .formatToParts(atMs)
      .map((part) => [part.type, part.value]),
  );
  return {
    weekday: WEEKDAYS.indexOf(parts.get('weekday') ?? 'Mon'),
    minuteOfDay: Number(parts.get('hour')) * 60 + Number(parts.get('minute')),
  };
}
