import { instantOfWallTime } from '@keen/core';
import dayjs from 'dayjs';
import timezone from 'dayjs/plugin/timezone.js';
import utc from 'dayjs/plugin/utc.js';

dayjs.extend(utc);
dayjs.extend(timezone);

/** An instant as the text of a date-and-time field in the shop's zone. */
export const toLocalInput = (atMs: number, timeZone: string): string =>
  dayjs(atMs).tz(timeZone).format('YYYY-MM-DDTHH:mm');

/**
 * The instant of such a text, as the server reads it too: of an hour that comes twice the first.
 *
 * @param knownMs what the field was filled with: as long as the text still says that, it is meant to the millisecond, also in the second
 * of two such hours
 * @returns null while it is not a whole date and time, or one that the clock skips
 */
export function fromLocalInput(text: string, timeZone: string, knownMs: number | null = null): number | null {
  if (knownMs !== null && toLocalInput(knownMs, timeZone) === text) return knownMs;
  const found = instantOfWallTime(text, timeZone);
  return found.kind === 'instant' ? found.atMs : null;
}
