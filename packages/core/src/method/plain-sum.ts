const MILLIONTHS = 1e6;
/** A sum of tenths without the noise of its binary digits; others read it as it is. */
export const plainSum = (sum: number): number => Math.round(sum * MILLIONTHS) / MILLIONTHS;

export const sumOf = <T>(rows: readonly T[], read: (row: T) => number): number =>
  plainSum(rows.reduce((sum, row) => sum + read(row), 0));
