import type { Place } from './place.js';

/** A place as it is kept: what the engine needs, and what people call it. */
export interface PlaceRecord extends Place {
  readonly name: string;
  readonly notes: string;
}
