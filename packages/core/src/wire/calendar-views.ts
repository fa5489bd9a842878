export interface CalendarView {
  /** Where to subscribe; anyone who has it can read the plan. */
  readonly path: string;
  readonly calendars: readonly {
    readonly calendar: string;
    readonly workerId: string | null;
    readonly count: number;
    readonly nextMs: number;
  }[];
}

/** A stretch of time that a calendar says is taken. */
export interface BusySpan {
  readonly fromMs: number;
  readonly toMs: number;
  readonly summary: string;
}
