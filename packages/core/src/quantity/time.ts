/** Lengths of time; the only place where they are written down. */
export const MS_PER_SECOND = 1000;
export const MS_PER_MINUTE = 60_000;
export const MS_PER_HOUR = 3_600_000;
export const MS_PER_DAY = 86_400_000;
export const SECONDS_PER_MINUTE = 60;
export const MINUTES_PER_HOUR = 60;
export const HOURS_PER_DAY = 24;

/** The least and the most of something, minutes. */
export interface MinutesRange {
  readonly minMinutes: number;
  readonly maxMinutes: number;
}

/** Every hour from an instant on. */
export const everyHour = (fromMs: number, hourCount: number): number[] =>
  Array.from({ length: hourCount }, (_, i) => fromMs + i * MS_PER_HOUR);
