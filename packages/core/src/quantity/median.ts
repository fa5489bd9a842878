/** The middle of these; between the two middle ones of an even number. null: there are none. */
export function medianOf(values: readonly number[]): number | null {
  const sorted = values.toSorted((a, b) => a - b);
  const middle = Math.floor(sorted.length / 2);
  const high = sorted[middle];
  if (high === undefined) return null;
  const low = sorted[middle - 1];
  return sorted.length % 2 === 1 || low === undefined ? high : (low + high) / 2;
}
