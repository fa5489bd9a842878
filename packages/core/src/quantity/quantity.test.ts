import { describe, expect, it } from '@jest/globals';
import {
  medianOf,
  bisect,
  cosDeg,
  FieldError,
  interpolateLinear,
  isWithinArc,
  monotoneCubic,
  requireInRange,
  sinDeg,
  wrapDeg,
} from './index.js';

describe('angles', () => {
  it.each([
    [0, 0],
    [360, 0],
    [-90, 270],
    [725, 5],
  ])('%s° folds to %s°', (angle, folded) => expect(wrapDeg(angle)).toBe(folded));

  it('sines and cosines are of degrees', () => {
    expect(sinDeg(30)).toBeCloseTo(0.5, 12);
    expect(cosDeg(60)).toBeCloseTo(0.5, 12);
    expect(sinDeg(-90)).toBeCloseTo(-1, 12);
  });

  it.each([
    { azimuth: 350, inside: true },
    { azimuth: 349, inside: false },
    { azimuth: 0, inside: true },
    { azimuth: 20, inside: true },
    { azimuth: 21, inside: false },
    { azimuth: 180, inside: false },
  ])('$azimuth° on the arc from 350° over north to 20°: $inside', ({ azimuth, inside }) => {
    expect(isWithinArc(azimuth, { fromDeg: 350, toDeg: 20 })).toBe(inside);
  });
});

describe('bisect', () => {
  it('finds where a falling function passes zero', () => {
    expect(bisect((x) => 2 - x * x, { low: 0, high: 5 })).toBeCloseTo(Math.SQRT2, 8);
  });

  it('ends at the nearer end where it does not', () => {
    expect(bisect(() => 1, { low: -3, high: 5 })).toBeCloseTo(5, 8);
    expect(bisect(() => -1, { low: -3, high: 5 })).toBeCloseTo(-3, 8);
  });
});

describe('tables', () => {
  const table = [
    { x: 0, y: 0 },
    { x: 10, y: 5 },
    { x: 20, y: 25 },
  ];

  it.each([
    [-1, 0],
    [0, 0],
    [4, 2],
    [10, 5],
    [15, 15],
    [20, 25],
    [99, 25],
  ])('straight: at %s stands %s', (x, y) => expect(interpolateLinear(table, x)).toBeCloseTo(y, 12));

  it('straight: an empty table is refused', () => {
    expect(() => interpolateLinear([], 1)).toThrow('points is empty');
  });

  it('smooth: keeps the points, the ends and a straight line', () => {
    const smooth = monotoneCubic(table);
    for (const { x, y } of table) expect(smooth(x)).toBeCloseTo(y, 12);
    expect(smooth(-5)).toBe(0);
    expect(smooth(50)).toBe(25);
    const line = monotoneCubic([0, 1, 2, 5].map((x) => ({ x, y: 3 * x - 1 })));
    for (const x of [0.3, 1.5, 4]) expect(line(x)).toBeCloseTo(3 * x - 1, 12);
  });

  it('smooth: the slope within is the harmonic mean, and flat where the table turns', () => {
    // Secants 0.5 and 2: harmonic mean 0.8.
    const smooth = monotoneCubic(table);
    expect((smooth(10.001) - smooth(9.999)) / 0.002).toBeCloseTo(0.8, 3);
    const peak = monotoneCubic([
      { x: 0, y: 0 },
      { x: 1, y: 1 },
      { x: 2, y: 0 },
    ]);
    for (const x of [0.5, 0.9, 1, 1.1, 1.5]) expect(peak(x)).toBeLessThanOrEqual(1);
    expect((peak(1.001) - peak(0.999)) / 0.002).toBeCloseTo(0, 3);
    // Hermite by hand at a quarter: slopes 0.5 and 0.8 over a width of 10.
    expect(smooth(2.5)).toBeCloseTo(5 * 0.5 ** 0 * 0.15625 + 5 * 0.25 * 0.5625 + 8 * 0.0625 * -0.75, 9);
  });
});

describe('requireInRange', () => {
  const limits = { min: -1, max: 2, unit: 'm' };

  it.each([-1, 0, 2])('%s is within', (x) => {
    expect(() => requireInRange('f', { x }, limits)).not.toThrow();
  });

  it.each([-1.01, 2.01, NaN, Infinity, -Infinity])('%s is not, and says so', (x) => {
    expect(() => requireInRange('f', { ok: 1, x }, limits)).toThrow(
      expect.objectContaining({
        code: 'out-of-range',
        field: 'x',
        message: `f: x is ${x}; allowed is -1 to 2 m`,
        name: 'FieldError',
      }),
    );
  });

  it('a fault of a field is a range error too', () => {
    expect(new FieldError('bad-json', 'body', 'no')).toBeInstanceOf(RangeError);
  });
});

it.each([
  { values: [], median: null },
  { values: [7], median: 7 },
  { values: [9, 1, 4], median: 4 },
  { values: [20, 60], median: 40 },
])('the median of $values is $median', ({ values, median }) => {
  expect(medianOf(values)).toBe(median);
});
