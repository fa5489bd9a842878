/** A table point: x ascending through the table. */
export interface TablePoint {
  readonly x: number;
  readonly y: number;
}

/**
 * Straight-line interpolation in a table, held constant beyond its ends.
 *
 * @param points at least one point, x strictly ascending
 * @example interpolateLinear([{ x: 0, y: 0 }, { x: 10, y: 5 }], 4) // 2
 */
export function interpolateLinear(points: readonly TablePoint[], x: number): number {
  const first = points[0];
  const last = points.at(-1);
  if (!first || !last)
    throw new RangeError('interpolateLinear: points is empty; at least one point is needed');
  if (x <= first.x) return first.y;
  if (x >= last.x) return last.y;
  let a = first;
  for (const b of points) {
    if (b.x >= x) return a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x);
    a = b;
  }
  return last.y;
}

/** Slopes of a monotone cubic through the points (Fritsch & Butland 1984 harmonic mean). */
function monotoneSlopes(points: readonly TablePoint[]): number[] {
  const secants = points.slice(1).map((point, i) => {
    const before = points[i] ?? point;
    return (point.y - before.y) / (point.x - before.x);
  });
  const at = (i: number): number => secants[i] ?? 0;
  return points.map((_, i) => {
    if (i === 0) return at(0);
    if (i === points.length - 1) return at(secants.length - 1);
    const left = at(i - 1);
    const right = at(i);
    return left * right <= 0 ? 0 : (2 * left * right) / (left + right);
  });
}

/**
 * Monotone cubic interpolation: smooth, and never outside the values at the two ends of a piece.
 *
 * @param points at least two points, x strictly ascending
 * @returns a function of x, held constant beyond the ends
 * Source: Fritsch & Butland 1984, SIAM J. Sci. Stat. Comput. 5(2).
 */
export function monotoneCubic(points: readonly TablePoint[]): (x: number) => number {
  const slopes = monotoneSlopes(points);
  return (x) => {
    const upper = points.findIndex((point) => point.x >= x);
    const b = points[upper];
    const a = points[upper - 1];
    if (!a || !b) return interpolateLinear(points, x);
    const width = b.x - a.x;
    const t = (x - a.x) / width;
    const rise = (slopes[upper - 1] ?? 0) * width;
    const fall = (slopes[upper] ?? 0) * width;
    return (
      a.y * (1 + 2 * t) * (1 - t) ** 2 +
      rise * t * (1 - t) ** 2 +
      b.y * t * t * (3 - 2 * t) +
      fall * t * t * (t - 1)
    );
  };
}
