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
  /** Its last wash before those in its log; null: nothing is noted of it, as in older records. */
  readonly washedBefore: WashedBefore | null;
}

/** A wash that is in no log. */
export interface WashedBefore {
  readonly atMs: number;
  /** The keeper told when; else it is assumed, and says nothing about being late. */
  readonly isKnown: boolean;
}
