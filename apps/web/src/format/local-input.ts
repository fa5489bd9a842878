import dayjs from 'dayjs';
import timezone from 'dayjs/plugin/timezone.js';
import utc from 'dayjs/plugin/utc.js';

dayjs.extend(utc);
dayjs.extend(timezone);

/** An instant as the text of a date-and-time field in the shop's zone. */
export const toLocalInput = (atMs: number, timeZone: string): string =>
  dayjs(atMs).tz(timeZone).format('YYYY-MM-DDTHH:mm');

/** The instant of such a text; null while it is not a whole date and time. */
export function fromLocalInput(text: string, timeZone: string): number | null {
  if (!/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/.test(text)) return null;
  const atMs = dayjs.tz(text, timeZone).valueOf();
  return Number.isNaN(atMs) ? null : atMs;
}
