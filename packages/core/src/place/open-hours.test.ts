import { describe, expect, it } from '@jest/globals';
import { hasLength, minutesOpen, type OpenSpan, wallMinutesBetween } from './index.js';

const span = (openHour: number, closeHour: number): OpenSpan => ({
  openMinute: openHour * 60,
  closeMinute: closeHour * 60,
});
const week = (...days: (OpenSpan | null)[]): (OpenSpan | null)[] =>
  Array.from({ length: 7 }, (_, i) => days[i] ?? null);
const at = (weekday: number, hour: number) => ({ weekday, minuteOfDay: hour * 60 });
const ALWAYS = Array.from({ length: 7 }, () => span(0, 24));

describe('how long it is still open', () => {
  it.each([
    { why: 'before it opens', hours: week(span(8, 18)), now: at(0, 7.99), left: 0 },
    { why: 'as it opens', hours: week(span(8, 18)), now: at(0, 8), left: 600 },
    { why: 'in its last minute', hours: week(span(8, 18)), now: { weekday: 0, minuteOfDay: 1079 }, left: 1 },
    { why: 'as it closes', hours: week(span(8, 18)), now: at(0, 18), left: 0 },
    { why: 'on a day without hours', hours: week(span(8, 18)), now: at(1, 12), left: 0 },
    {
      why: 'over midnight into a day that opens at once',
      hours: week(span(8, 24), span(0, 2)),
      now: at(0, 23),
      left: 180,
    },
    {
      why: 'but not into one that opens later',
      hours: week(span(8, 24), span(1, 2)),
      now: at(0, 23),
      left: 60,
    },
    { why: 'a night that goes on into the next day', hours: week(span(22, 6)), now: at(0, 23), left: 420 },
    { why: 'after midnight of that night', hours: week(span(22, 6)), now: at(1, 5), left: 60 },
    { why: 'as that night ends', hours: week(span(22, 6)), now: at(1, 6), left: 0 },
    {
      why: 'a night from Sunday into Monday',
      hours: week(null, null, null, null, null, null, span(22, 6)),
      now: at(0, 1),
      left: 300,
    },
    { why: 'day and night: a week, and no further', hours: ALWAYS, now: at(3, 23), left: 10_080 },
  ])('$why: $left min', ({ hours, now, left }) => {
    expect(minutesOpen(hours, now)).toBeCloseTo(left, 6);
  });

  it('knows hours without a length', () => {
    expect(hasLength(span(8, 8))).toBe(false);
    expect(hasLength(span(8, 8.5))).toBe(true);
    expect(hasLength(span(22, 6))).toBe(true);
    expect(hasLength(span(NaN, 6))).toBe(false);
    expect(hasLength(span(8, NaN))).toBe(false);
  });

  it('counts the minutes between two times of the week', () => {
    expect(wallMinutesBetween(at(0, 8), at(0, 9.5))).toBe(90);
    expect(wallMinutesBetween(at(6, 23), at(0, 1))).toBe(120);
  });
});
