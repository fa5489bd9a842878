import { correctedCourse, MS_PER_HOUR, type WeatherHour, type SightRecord } from '@keen/core';
import { corrected } from './weather.service.js';

/** Measured hours as somebody saw them from the window, where anybody did. */
export function asSeen(
  hours: readonly (WeatherHour | null)[],
  fromMs: number,
  sights: readonly SightRecord[],
): (WeatherHour | null)[] {
  const seen = [...hours];
  for (const sight of sights) {
    const i = Math.floor((sight.atMs - fromMs) / MS_PER_HOUR);
    const [corrected] = correctedCourse(seen.slice(i, i + 1), sight);
    if (corrected) seen[i] = corrected;
  }
  return seen;
}
