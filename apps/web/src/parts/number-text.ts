/**
 * The number that a text stands for: a comma counts as a point, and the long minus of printed figures as a minus.
 *
 * @returns null where there is none yet, such as "", "-" or "."
 */
export function numberOf(text: string | number): number | null {
  if (typeof text === 'number') return Number.isFinite(text) ? text : null;
  const plain = text.trim().replace(/[−–]/g, '-').replace(',', '.');
  if (!/\d/.test(plain)) return null;
  const value = Number(plain);
  return Number.isFinite(value) ? value : null;
}
