const SEASON_MONTH = 10;

/** 1 November before (or on) an instant, UTC: when the season's records begin. */
export function seasonStartMs(atMs: number): number {
  const date = new Date(atMs);
  const year = date.getUTCMonth() >= SEASON_MONTH ? date.getUTCFullYear() : date.getUTCFullYear() - 1;
  return Date.UTC(year, SEASON_MONTH, 1, 4);
}
