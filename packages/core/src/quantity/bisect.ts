export interface Bracket {
  readonly low: number;
  readonly high: number;
}

/**
 * Root of a function that decreases through zero within a bracket, by bisection to 1e-9 of the bracket's unit.
 * Where the function does not change sign the nearer end is returned, so a steady state beyond the bracket is
 * clamped to it.
 *
 * @param decreasing a function that falls with its argument
 * @example bisect((x) => 2 - x, { low: 0, high: 5 }) // 2
 */
export function bisect(decreasing: (x: number) => number, bracket: Bracket): number {
  let { low, high } = bracket;
  while (high - low > 1e-9) {
    const middle = (low + high) / 2;
    if (middle === low || middle === high) break;
    if (decreasing(middle) > 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
