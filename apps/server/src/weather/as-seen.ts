import { correctedCourse, MS_PER_HOUR, type WeatherHour, type SightRecord } from '@keen/core';

/** Measured hours as somebody saw them from the window, where anybody did. */
export function asSeen(
  hours: readonly (WeatherHour | null)[],
  fromMs: number,
  sights: readonly SightRecord[],
): (WeatherHour | null)[] {
  const seen = [...hours];
  for (const sight of sights) {
    const i = Math.floor((sight.atMs - fromMs) / MS_PER_HOUR);
    const [seenHour] = correctedCourse(seen.slice(i, i + 1), sight);
    if (seenHour) seen[i] = seenHour;
  }
  return seen;
}

export type Course = readonly (WeatherHour | null)[];

/** Corrected by everything that was seen, the earliest first. */
export const corrected = (course: Course, sights: readonly SightRecord[]): Course =>
  sights.reduce<Course>((hours, sight) => correctedCourse(hours, sight), course);
