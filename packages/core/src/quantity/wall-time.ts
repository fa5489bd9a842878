import { MS_PER_HOUR } from './time.js';
/** An instant on the wall, or why there is none. */
export type WallInstant =
  | { readonly kind: 'instant'; readonly atMs: number }
  /** The clock is put forward over it. */
  | { readonly kind: 'skipped' }
  | { readonly kind: 'no-date' };

const SHAPE = /^(\d{4})-(\d{2})-(\d{2})T(\d{2}):(\d{2})$/;
const formatters = new Map<string, Intl.DateTimeFormat>();

function formatterFor(timeZone: string): Intl.DateTimeFormat {
  const known = formatters.get(timeZone);
  if (known) return known;
  const made = new Intl.DateTimeFormat('en-CA', {
    timeZone,
    dateStyle: 'short',
    timeStyle: 'short',
    hourCycle: 'h23',
  });
  formatters.set(timeZone, made);
  return made;
}

const wallText = (atMs: number, timeZone: string): string =>
  formatterFor(timeZone).format(atMs).replace(', ', 'T').replace(' ', 'T');

/**
 * Which instant does a clock on the wall show so?
 *
 * @param text YYYY-MM-DDTHH:mm
 * @param timeZone IANA name
 * @returns the instant; of an hour that comes twice the first; `skipped` where the clock is put forward over it, `no-date` where there is
 * no such day or time
 * @example instantOfWallTime('2026-03-08T02:30', 'America/Toronto').kind // 'skipped'
 */
export function instantOfWallTime(text: string, timeZone: string): WallInstant {
  const parts = SHAPE.exec(text)?.slice(1).map(Number);
  if (!parts) return { kind: 'no-date' };
  const [year = 0, month = 0, day = 0, hour = 0, minute = 0] = parts;
  const asUtc = Date.UTC(year, month - 1, day, hour, minute);
  if (new Date(asUtc).toISOString().slice(0, 16) !== text) return { kind: 'no-date' };
  // No zone is further than a day from UTC; offsets lie on quarters of an hour.
  for (let quarters = -60; quarters <= 60; quarters += 1) {
    const atMs = asUtc + (quarters * MS_PER_HOUR) / 4;
    if (wallText(atMs, timeZone) === text) return { kind: 'instant', atMs };
  }
  return { kind: 'skipped' };
}
