/** Work beyond the wash that belongs to a part of the year. */
export const SEASON_JOB_IDS = [
  'underbody',
  'anti-corrosion',
  'top-up',
  'decontaminate',
  'polish',
  're-coat',
  'engine-bay',
] as const;
export type SeasonJobId = (typeof SEASON_JOB_IDS)[number];
