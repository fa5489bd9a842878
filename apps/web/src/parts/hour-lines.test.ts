import { describe, expect, it } from '@jest/globals';
import { type ForecastHour, MS_PER_HOUR } from '@keen/core';
import { linePoints, runsOf, spreadPoints } from './hour-lines.js';

const at = (hour: number) => ({ atMs: hour * MS_PER_HOUR });
const axes = { x: (atMs: number) => (atMs / MS_PER_HOUR) * 10, y: (value: number) => 100 - value };

describe('hours as lines', () => {
  it.each([
    { hours: [], runs: [] },
    { hours: [3], runs: [[3]] },
    { hours: [1, 2, 3], runs: [[1, 2, 3]] },
    { hours: [1, 2, 4, 5, 9], runs: [[1, 2], [4, 5], [9]] },
    { hours: [1, 1.5, 2.5], runs: [[1], [1.5, 2.5]] },
  ])('go on without a gap: $hours is $runs', ({ hours, runs }) => {
    const found = runsOf(hours.map(at)).map((run) => run.map(({ atMs }) => atMs / MS_PER_HOUR));
    expect(found).toEqual(runs);
  });

  it('run through the middle of each hour', () => {
    const values = [
      { ...at(1), value: -3 },
      { ...at(2), value: 4.56 },
    ];
    expect(linePoints(values, axes)).toBe('15.0,103.0 25.0,95.4');
  });

  it('outline the span of the forecasts: along its highs, and back along its lows', () => {
    const hours = [
      { ...at(0), highTempC: 2, lowTempC: -1 },
      { ...at(1), highTempC: 5, lowTempC: 0 },
    ] as unknown as ForecastHour[];
    expect(spreadPoints(hours, axes)).toBe('5.0,98.0 15.0,95.0 15.0,100.0 5.0,101.0');
  });
});
