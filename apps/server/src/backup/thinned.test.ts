import { describe, expect, it } from '@jest/globals';
import { MS_PER_DAY } from '@keen/core';
import { thinned } from './thinned.js';

const NOW = Date.UTC(2026, 0, 14, 3);
const daily = (count: number): number[] => Array.from({ length: count }, (_, i) => NOW - i * MS_PER_DAY);

describe('copies of the database', () => {
  it('are all kept for a week', () => {
    expect(thinned([])).toEqual(new Set());
    expect(thinned(daily(7)).size).toBe(7);
  });

  it('are kept for seven days, four weeks and twelve months, however long the program runs', () => {
    const kept = thinned(daily(800));
    const ages = [...kept].map((atMs) => (NOW - atMs) / MS_PER_DAY).sort((a, b) => a - b);
    expect(ages.slice(0, 7)).toEqual([0, 1, 2, 3, 4, 5, 6]);
    expect(kept.size).toBeLessThanOrEqual(7 + 4 + 12);
    expect(ages.filter((age) => age < 28).length).toBeGreaterThanOrEqual(7 + 2);
    expect(ages.at(-1)).toBeGreaterThan(300);
    expect(ages.at(-1)).toBeLessThan(366);
  });

  it('thinned day by day are the same as thinned at once', () => {
    let kept: number[] = [];
    for (const atMs of daily(400).toReversed()) kept = [...thinned([...kept, atMs])];
    expect(new Set(kept)).toEqual(thinned(daily(400)));
  });

  it('of one day are one', () => {
    expect(thinned([NOW, NOW - 60_000, NOW - 120_000])).toEqual(new Set([NOW]));
  });
});
