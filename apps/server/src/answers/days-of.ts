import { daylight, type DayLight, HOURS_PER_DAY, MS_PER_DAY, type ShopFacts, WEEK_HOURS } from '@keen/core';

/** Sunrise and sunset of the days that begin at an instant. */
export function daysOf({ places }: ShopFacts, fromMs: number, hours = WEEK_HOURS): DayLight[] {
  const [point] = places;
  if (!point) return [];
  const days = Array.from({ length: Math.ceil(hours / HOURS_PER_DAY) + 1 }, (_, i) =>
    daylight(point, fromMs + i * MS_PER_DAY),
  );
  return days.flatMap((day) =>
    day.kind === 'day' ? [{ sunriseMs: day.sunriseMs, sunsetMs: day.sunsetMs }] : [],
  );
}
