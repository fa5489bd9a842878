/** Integer hash to 0 (inclusive)…1 (exclusive); the same keys always give the same number. */
export function hashUnit(...keys: readonly number[]): number {
  let h = 0x9e3779b9;
  for (const key of keys) {
    h = Math.imul(h ^ (key | 0), 0x85ebca6b);
    h ^= h >>> 13;
    h = Math.imul(h ^ Math.floor(key / 4294967296), 0xc2b2ae35);
    h ^= h >>> 16;
  }
  return (h >>> 0) / 4294967296;
}

/** A standard normal number from keys (Box–Muller). */
export function hashNormal(...keys: readonly number[]): number {
  const u = Math.max(1e-12, hashUnit(...keys, 1));
  return Math.sqrt(-2 * Math.log(u)) * Math.cos(2 * Math.PI * hashUnit(...keys, 2));
}

/**
 * Smooth noise in time, about −1…1, without memory: any instant can be asked for on its own.
 *
 * @param hours position in time, h
 * @param wave spacing of the random knots in hours, and the seed
 */
export function smoothNoise(
  hours: number,
  wave: { readonly everyHours: number; readonly seed: number },
): number {
  const position = hours / wave.everyHours;
  const knot = Math.floor(position);
  const t = position - knot;
  const ease = t * t * (3 - 2 * t);
  const a = hashUnit(wave.seed, knot) * 2 - 1;
  const b = hashUnit(wave.seed, knot + 1) * 2 - 1;
  return a + (b - a) * ease;
}
