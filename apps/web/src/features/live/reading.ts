import { numberOf } from '../../parts/number-text.js';

const LOWEST_C = -60;
const HIGHEST_C = 80;

/** A typed temperature in °C; null where it is none, or no car is so cold or warm. */
export function readingC(typed: number | string, unit: 'C' | 'F'): number | null {
  const value = numberOf(typed);
  if (value === null) return null;
  const tempC = unit === 'F' ? (value - 32) / 1.8 : value;
  return tempC >= LOWEST_C && tempC <= HIGHEST_C ? Math.round(tempC * 100) / 100 : null;
}
