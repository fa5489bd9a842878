import { localTime } from '../place/index.js';

/** The clock on the wall over consecutive hours. */
export interface WallClock {
  /** 0–23. */
  readonly hourOfDay: readonly number[];
  /** 0 Monday … 6 Sunday. */
  readonly weekday: readonly number[];
  /** Counts local days from the first hour. */
  readonly day: readonly number[];
}

/** Local hour, weekday and day of each full hour, right across clock changes. */
export function wallClock(hoursMs: readonly number[], timeZone: string): WallClock {
  const hourOfDay: number[] = [];
  const weekday: number[] = [];
  const day: number[] = [];
  let today = 0;
  hoursMs.forEach((atMs, i) => {
    const local = localTime(atMs, timeZone);
    if (i > 0 && local.weekday !== weekday[i - 1]) today += 1;
    hourOfDay.push(Math.floor(local.minuteOfDay / 60));
    weekday.push(local.weekday);
    day.push(today);
  });
  return { hourOfDay, weekday, day };
}
