const SEASON_MONTH = 10;
const SEASON_HOUR = 4;

/**
 * When did the season that an instant lies in begin?
 *
 * @returns 1 November before (or on) the instant, 04:00 UTC: where a car's salt, the roads and the weather are taken up (judgement)
 * @example seasonStartMs(Date.UTC(2026, 0, 14)) // 1 November 2025
 */
export function seasonStartMs(atMs: number): number {
  const date = new Date(atMs);
  const year = date.getUTCMonth() >= SEASON_MONTH ? date.getUTCFullYear() : date.getUTCFullYear() - 1;
  return Date.UTC(year, SEASON_MONTH, 1, SEASON_HOUR);
}
