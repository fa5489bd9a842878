import type { SiteTimes } from '../rules/index.js';
import { type WeatherHour } from '../weather/index.js';

/** Consecutive hours of weather from an instant; null where not known. */
export interface WeatherSpan {
  readonly fromMs: number;
  readonly hours: readonly (WeatherHour | null)[];
}

export const UNASKED_TIMES: SiteTimes = {
  open: { kind: 'closed' },
  lightLeftMinutes: null,
  lightAtStart: false,
  queueMinutes: 0,
  dryRoadHours: null,
};
