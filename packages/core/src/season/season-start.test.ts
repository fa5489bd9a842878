import { expect, it } from '@jest/globals';
import { seasonStartMs } from './index.js';

const NOVEMBER = (year: number): number => Date.UTC(year, 10, 1, 4);

it.each([
  { why: 'in its middle', atMs: Date.UTC(2026, 0, 14), is: NOVEMBER(2025) },
  { why: 'at its end', atMs: Date.UTC(2026, 9, 31, 23, 59), is: NOVEMBER(2025) },
  { why: 'on its first day', atMs: Date.UTC(2026, 10, 1, 0), is: NOVEMBER(2026) },
  { why: 'in December', atMs: Date.UTC(2026, 11, 31), is: NOVEMBER(2026) },
])('the season begins on 1 November, asked $why', ({ atMs, is }) => {
  expect(seasonStartMs(atMs)).toBe(is);
});
