import { MS_PER_HOUR } from '../quantity/index.js';
import type { WeatherSpan } from '../verdict/index.js';
import type { WeatherHour } from '../weather/index.js';

/** An instant in the middle of four days of the same cold, dry, overcast weather. */
export const STREAK_START = Date.UTC(2026, 0, 14, 15);
export const STREAK_FROM = STREAK_START - 48 * MS_PER_HOUR;

/** Four days in which every hour is like the others. */
export const coldStreak = (change: Partial<WeatherHour>): WeatherSpan => ({
  fromMs: STREAK_FROM,
  hours: Array.from({ length: 96 }, (_, i) => ({
    atMs: STREAK_FROM + i * MS_PER_HOUR,
    airTempC: -5,
    dewPointC: -8,
    windMetresPerSecond: 2,
    gustMetresPerSecond: 4,
    windFromDeg: 300,
    cloudFraction: 1,
    precipMm: 0,
    precipKind: 'none',
    snowDepthCm: 0,
    pressureHpa: 1010,
    ...change,
  })),
});
