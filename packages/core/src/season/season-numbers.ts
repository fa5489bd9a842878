import { SEASON_JOBS, type SeasonJobRow } from './data/season-jobs.js';

/** Numbers of the season's jobs that a shop may change, by `job.number`. */
const RANGES = {
  minutes: { min: 0, max: 600, unit: 'min', means: 'minutes of the work' },
  lowestC: { min: -30, max: 30, unit: '°C', means: 'coldest air at the car' },
  worthMinor: { min: 0, max: 1_000_000, unit: 'minor units', means: 'worth of having it done' },
} as const;
type NumberName = keyof typeof RANGES;

export type SeasonNumberId = `${SeasonJobRow['id']}.${NumberName}`;
export type SeasonNumbers = Readonly<Record<SeasonNumberId, number>>;

export interface SeasonNumberRow {
  readonly id: SeasonNumberId;
  readonly jobId: SeasonJobRow['id'];
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly unit: string;
  readonly means: string;
}

export const SEASON_NUMBERS: readonly SeasonNumberRow[] = SEASON_JOBS.flatMap((row) =>
  (Object.keys(RANGES) as NumberName[]).map((name) => ({
    id: `${row.id}.${name}` as const,
    jobId: row.id,
    value: row[name],
    ...RANGES[name],
  })),
);

export const DEFAULT_SEASON: SeasonNumbers = Object.freeze(
  Object.fromEntries(SEASON_NUMBERS.map(({ id, value }) => [id, value])) as Record<SeasonNumberId, number>,
);

/** The season's jobs with the shop's own numbers. */
export const shopSeasonJobs = (numbers: SeasonNumbers): SeasonJobRow[] =>
  SEASON_JOBS.map((row) => ({
    ...row,
    minutes: numbers[`${row.id}.minutes`],
    lowestC: numbers[`${row.id}.lowestC`],
    worthMinor: numbers[`${row.id}.worthMinor`],
  }));
