import type { Span } from '../plan/index.js';

/** A secret address under which somebody follows the plan as a calendar. */
export interface FeedView {
  readonly id: string;
  /** Who follows it. */
  readonly name: string;
  /** Whose washes it gives; null: everybody's. */
  readonly workerId: string | null;
  /** Where to subscribe; anyone who has it can read these washes. */
  readonly path: string;
  /** null: it was never followed. */
  readonly lastReadMs: number | null;
}

export interface CalendarView {
  readonly feeds: readonly FeedView[];
  readonly calendars: readonly {
    readonly calendar: string;
    readonly workerId: string | null;
    readonly count: number;
    readonly nextMs: number;
  }[];
}

/** A stretch of time that a calendar says is taken. */
export interface BusySpan extends Span {
  readonly summary: string;
}
