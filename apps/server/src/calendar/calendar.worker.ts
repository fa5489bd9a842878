import { HttpException } from '@nestjs/common';
import { readCalendar, type ReadWindow } from './read-calendar.js';

/** A file to be read in a thread of its own. */
export interface CalendarJob {
  readonly text: string;
  readonly window: ReadWindow;
}

/** What came of it; a refusal is passed on as the answer it would be, since errors lose their class between threads. */
export type CalendarOutcome =
  | { readonly kind: 'read'; readonly found: ReturnType<typeof readCalendar> }
  | { readonly kind: 'refused'; readonly body: object };

export default function run({ text, window }: CalendarJob): CalendarOutcome {
  try {
    return { kind: 'read', found: readCalendar(text, window) };
  } catch (error) {
    if (error instanceof HttpException) {
      const body = error.getResponse();
      return { kind: 'refused', body: typeof body === 'object' ? body : {} };
    }
    throw error;
  }
}
