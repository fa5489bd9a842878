// What all figures share: the table, medians, times, and where the server is.
import { resolve } from 'node:path';

export const root = resolve(import.meta.dirname, '..', '..');
export const PORT = 4393;
export const base = `http://127.0.0.1:${PORT}/api`;
export const rows = [];

/** One line of the table: what was measured, the figure, what is asked, and whether it is met. */
export const add = (what, { measured, asked, ok }) =>
  rows.push({ what, measured, asked, ok: ok ? 'yes' : 'NO' });
export const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];

/** Milliseconds that some work takes. */
export async function timed(work) {
  const start = performance.now();
  await work();
  return performance.now() - start;
}
