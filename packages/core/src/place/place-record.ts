import type { PlaceAlone } from './place.js';

/** Where the shop ends a wash that began at a place, as it is kept. */
export interface FinishAt {
  readonly placeId: string;
  readonly driveMinutes: number;
  /** What the second place costs for it, minor units. */
  readonly priceMinor: number;
}

/** A place as it is kept: what the engine needs, and what people call it. */
export interface PlaceRecord extends PlaceAlone {
  readonly name: string;
  readonly notes: string;
  /** null: what begins here ends here. */
  readonly finishAt: FinishAt | null;
}
