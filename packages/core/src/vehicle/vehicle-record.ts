import type { Vehicle } from './vehicle.js';

/** A vehicle as it is kept: what the engine needs, and what people call it. */
export interface VehicleRecord extends Vehicle {
  readonly name: string;
  readonly colourName: string;
  readonly keeper: string;
  readonly notes: string;
  /** Whose car it is; null: nobody's in the book. */
  readonly customerId: string | null;
  /** When its record begins. */
  readonly knownSinceMs: number;
}
