import { describe, expect, it } from '@jest/globals';
import { type ForecastHour, MS_PER_HOUR } from '@keen/core';
import { coldRuler, HEIGHT, labelsOf, stretchOf } from './cold-ruler-view.js';

const FROM = Date.UTC(2026, 0, 14, 11);
const hours = (...temps: number[]): ForecastHour[] =>
  temps.map((airTempC, i) => ({ atMs: FROM + i * MS_PER_HOUR, airTempC }) as ForecastHour);
const ys = (path: string): number[] =>
  [...path.matchAll(/ (-?[\d.]+)(?= L| Z|$)/g)].map(([, y]) => Number(y));

describe('the cold ruler', () => {
  it('is none without hours', () => {
    expect(coldRuler([])).toBeNull();
    expect(coldRuler(hours(3))).toBeNull();
  });

  it('draws warmer air higher, and all of it inside', () => {
    const ruler = coldRuler(hours(-8, -2, 4, -3));
    const [first = 0, second = 0, third = 0] = ys(ruler?.air ?? '');
    expect(first).toBeGreaterThan(second);
    expect(second).toBeGreaterThan(third);
    for (const y of ys(ruler?.air ?? '')) {
      expect(y).toBeGreaterThanOrEqual(0);
      expect(y).toBeLessThanOrEqual(HEIGHT);
    }
    expect(ruler).toMatchObject({ coldestC: -8, warmestC: 4 });
  });

  it('fills what is below freezing, and nothing above it', () => {
    const ruler = coldRuler(hours(2, -4, 2));
    const top = ruler?.freezingY ?? NaN;
    const cold = ys(ruler?.cold ?? '');
    expect(Math.min(...cold)).toBeCloseTo(top, 1);
    expect(Math.max(...cold)).toBeGreaterThan(top);
    expect(
      ys(coldRuler(hours(2, 5, 9))?.cold ?? '').every(
        (y) => y === HEIGHT || y >= (coldRuler(hours(2, 5, 9))?.freezingY ?? HEIGHT),
      ),
    ).toBe(true);
  });

  it('has no line of freezing where it is far from it', () => {
    expect(coldRuler(hours(-20, -22, -21))?.freezingY).toBeNull();
    expect(coldRuler(hours(-1, 0, -1))?.freezingY).not.toBeNull();
  });

  it('says when it thaws', () => {
    const { thaws } = coldRuler(hours(-1, 1, 2, 0, 3, -2)) ?? { thaws: [] };
    expect(thaws).toEqual([
      { fromMs: FROM + MS_PER_HOUR, toMs: FROM + 3 * MS_PER_HOUR },
      { fromMs: FROM + 4 * MS_PER_HOUR, toMs: FROM + 5 * MS_PER_HOUR },
    ]);
  });

  it('cuts off what lies outside', () => {
    const span = (from: number, to: number) => ({
      startMs: FROM + from * MS_PER_HOUR,
      endMs: FROM + to * MS_PER_HOUR,
    });
    expect(stretchOf(FROM, span(6, 12))).toEqual({ from: 0.25, to: 0.5 });
    expect(stretchOf(FROM, span(-3, 6))).toEqual({ from: 0, to: 0.25 });
    expect(stretchOf(FROM, span(18, 30))).toEqual({ from: 0.75, to: 1 });
    expect(stretchOf(FROM, span(24, 26))).toBeNull();
    expect(stretchOf(FROM, span(-4, -1))).toBeNull();
  });

  it('writes every third hour of the clock', () => {
    const hourOfDay = (atMs: number) => new Date(atMs).getUTCHours();
    const labels = labelsOf({ fromMs: FROM }, hourOfDay).map(({ atMs }) => hourOfDay(atMs));
    expect(labels).toEqual([15, 18, 21, 0, 3, 6]);
  });
});
