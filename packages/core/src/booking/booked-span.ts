import type { SeasonJobId } from '../vehicle/index.js';

/** A wash that was promised: when the car can be had, and when it has to be ready and home again. */
export interface BookedSpan {
  readonly id: string;
  readonly vehicleId: string;
  readonly fromMs: number;
  readonly readyByMs: number;
  /** The method that was agreed on; null: any that washes it. */
  readonly methodId: string | null;
  /** Work of the season that was agreed on with it. */
  readonly extras: readonly SeasonJobId[];
}
