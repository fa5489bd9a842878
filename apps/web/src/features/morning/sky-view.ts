import type { ForecastHour } from '@keen/core';

const HOURS = 24;

export interface DayExtremes {
  readonly coldestC: number;
  readonly warmestC: number;
  readonly strongestMetresPerSecond: number;
  readonly precipMm: number;
  /** First hour that goes from frost to above 0 °C. */
  readonly firstThawMs: number | null;
}

/** The extremes of the next 24 hours; null without hours. */
export function dayExtremes(ahead: readonly ForecastHour[]): DayExtremes | null {
  const hours = ahead.slice(0, HOURS);
  if (hours.length === 0) return null;
  const temps = hours.map(({ airTempC }) => airTempC);
  const thaw = hours.find(({ airTempC }, i) => i > 0 && airTempC > 0 && (hours[i - 1]?.airTempC ?? 1) <= 0);
  return {
    coldestC: Math.min(...temps),
    warmestC: Math.max(...temps),
    strongestMetresPerSecond: Math.max(...hours.map(({ windMetresPerSecond }) => windMetresPerSecond)),
    precipMm: hours.reduce((sum, { precipMm }) => sum + precipMm, 0),
    firstThawMs: thaw?.atMs ?? null,
  };
}
