export type Phase = 'liquid' | 'slush' | 'frozen';

/** Mean of exp(−t/τ) over a step of x time constants. */
export const meanDecay = (x: number): number => (x < 1e-8 ? 1 - x / 2 : -Math.expm1(-x) / x);

/** Rates at one instant and how they bend with temperature. */
export interface Rates {
  phase: Phase;
  heatWm2: number;
  conductanceWm2K: number;
  evaporation: number;
  evaporationPerK: number;
  capacity: number;
  leavingJPerKg: number;
}

export const freshRates = (): Rates => ({
  phase: 'liquid',
  heatWm2: 0,
  conductanceWm2K: 0,
  evaporation: 0,
  evaporationPerK: 0,
  capacity: 1,
  leavingJPerKg: 0,
});
