import { MS_PER_DAY } from '../quantity/index.js';
import type { SeasonJobId } from '../vehicle/index.js';
import { SEASONS, type SeasonId, type SeasonJobRow } from './data/season-jobs.js';

const HALF_YEAR_MONTHS = 6;
/** A season does not begin at an hour; at noon UTC it is the same day nearly everywhere. */
const NOON = 12;

/** A part of one year, as instants. */
export interface SeasonSpan {
  readonly season: SeasonId;
  readonly fromMs: number;
  readonly toMs: number;
}

/** Where one of the season's jobs stands for one car. */
export interface SeasonDue {
  readonly jobId: SeasonJobId;
  readonly lastDoneMs: number | null;
  /** `due` now, `done` for this season, or `later`: its season has not come. */
  readonly state: 'due' | 'done' | 'later';
  /** From when it is wanted; past or present where it is due. */
  readonly dueMs: number;
  /** The end of the season that it is due in; null where it is not due. */
  readonly untilMs: number | null;
  /** When what protects the car is worn, where that and not the season makes it due. */
  readonly wornMs?: number;
}

/** The spans of a season that begin in the years round an instant, in order. */
export function seasonSpans(season: SeasonId, nowMs: number, latitudeDeg: number): SeasonSpan[] {
  const { from, before } = SEASONS[season];
  const shift = latitudeDeg < 0 ? HALF_YEAR_MONTHS : 0;
  const year = new Date(nowMs).getUTCFullYear();
  return [year - 2, year - 1, year, year + 1].map((first) => {
    const fromMs = Date.UTC(first, from[0] - 1 + shift, from[1], NOON);
    const overNewYear = before[0] < from[0] ? 1 : 0;
    return { season, fromMs, toMs: Date.UTC(first + overNewYear, before[0] - 1 + shift, before[1], NOON) };
  });
}

/**
 * Is this job of the season due, done or still to come?
 *
 * @param job its row with the shop's numbers
 * @param history when it was last done (null: never), the present, and the latitude (the southern half is half a year later)
 * @returns where it stands; a job that recurs within its season is due again after its days
 * @example seasonDue(job, { lastDoneMs: null, nowMs: Date.UTC(2026, 0, 20), latitudeDeg: 46.5 }).state // 'due' for mid-winter jobs
 */
export function seasonDue(
  job: Pick<SeasonJobRow, 'id' | 'seasons' | 'everyDays'>,
  {
    lastDoneMs,
    nowMs,
    latitudeDeg,
  }: { readonly lastDoneMs: number | null; readonly nowMs: number; readonly latitudeDeg: number },
): SeasonDue {
  const spans = job.seasons
    .flatMap((season) => seasonSpans(season, nowMs, latitudeDeg))
    .sort((a, b) => a.fromMs - b.fromMs);
  const wantedFrom = ({ fromMs }: SeasonSpan): number => {
    if (lastDoneMs === null) return fromMs;
    if (job.everyDays !== null) return Math.max(fromMs, lastDoneMs + job.everyDays * MS_PER_DAY);
    return lastDoneMs >= fromMs ? Infinity : fromMs;
  };
  const now = spans.find(({ fromMs, toMs }) => nowMs >= fromMs && nowMs < toMs);
  const inSeason = now ? wantedFrom(now) : Infinity;
  if (now && inSeason <= nowMs)
    return { jobId: job.id, lastDoneMs, state: 'due', dueMs: inSeason, untilMs: now.toMs };
  const next = spans
    .filter(({ fromMs, toMs }) => toMs > nowMs && (fromMs > nowMs || inSeason < toMs))
    .map(wantedFrom)
    .filter((dueMs) => dueMs > nowMs && dueMs < Infinity);
  const isDone = now !== undefined && lastDoneMs !== null && lastDoneMs >= now.fromMs;
  return {
    jobId: job.id,
    lastDoneMs,
    state: isDone ? 'done' : 'later',
    dueMs: Math.min(...next),
    untilMs: null,
  };
}
