import { MS_PER_HOUR, type WeatherAnswer } from '@keen/core';
import { describe, expect, it } from '@jest/globals';
import { linePoints, runsOf } from '../../parts/hour-lines.js';
import { airRange, movedInOrder, sourceRuns } from './weather-view.js';

const hourOf = (source: string | null, i: number, isKnown = true): WeatherAnswer['hourSources'][number] => ({
  atMs: i * MS_PER_HOUR,
  source,
  missing: isKnown ? [] : ['airTempC'],
});

describe('where the hours are from', () => {
  it('stands together while the same source tells and is known', () => {
    const hours = [
      hourOf('a', 0),
      hourOf('a', 1),
      hourOf('b', 2),
      hourOf('b', 3, false),
      hourOf(null, 4, false),
    ];
    expect(sourceRuns(hours)).toEqual([
      { fromMs: 0, hourCount: 2, source: 'a', isKnown: true },
      { fromMs: 2 * MS_PER_HOUR, hourCount: 1, source: 'b', isKnown: true },
      { fromMs: 3 * MS_PER_HOUR, hourCount: 1, source: 'b', isKnown: false },
      { fromMs: 4 * MS_PER_HOUR, hourCount: 1, source: null, isKnown: false },
    ]);
    expect(sourceRuns([])).toEqual([]);
  });

  it.each([
    { source: 'b', by: -1, order: ['b', 'a', 'c'] },
    { source: 'b', by: 1, order: ['a', 'c', 'b'] },
    { source: 'a', by: -1, order: ['a', 'b', 'c'] },
    { source: 'c', by: 1, order: ['a', 'b', 'c'] },
    { source: 'x', by: 1, order: ['a', 'b', 'c'] },
  ] as const)('moves $source by $by', ({ source, by, order }) => {
    expect(movedInOrder(['a', 'b', 'c'], source, by)).toEqual(order);
  });
});

describe('a line of hours', () => {
  const at = (i: number) => ({ atMs: i * MS_PER_HOUR });

  it('breaks where hours are missing', () => {
    expect(runsOf([at(0), at(1), at(4), at(5)])).toEqual([
      [at(0), at(1)],
      [at(4), at(5)],
    ]);
    expect(runsOf([])).toEqual([]);
  });

  it('stands at its own time, whatever is missing before it', () => {
    const axes = { x: (atMs: number) => atMs / MS_PER_HOUR, y: (value: number) => -value };
    expect(linePoints([{ atMs: 6 * MS_PER_HOUR, value: 2 }], axes)).toBe('6.5,-2.0');
  });

  it('has a scale that holds freezing, even where nothing is known', () => {
    expect(airRange({ past: [], ahead: [] })).toEqual({ lowC: -5, highC: 5 });
  });
});
