import type { Place } from '../place/index.js';
import { INSECTS_FLY_C } from '../soil/index.js';
import { sunPosition } from '../sun/index.js';

/** Insects come to lamps from about here on: the sun is so low, degrees (judgement). */
const DUSK_DEG = 3;

/** Where and when a car is driven home clean. */
interface DriveHome {
  readonly place: Pick<Place, 'travelMinutes' | 'latitudeDeg' | 'longitudeDeg'>;
  readonly endMs: number;
  /** null: nobody knows it. */
  readonly airTempC: number | null;
}

/**
 * Does the drive home after a late wash put insects on the clean nose?
 *
 * @returns the air that they fly in, °C; null: it is not driven, it is day, too cold for them, or nobody knows the air
 * Source: practice notes ("bugs on the way home after a late wash"); from which air and light on is judgement
 */
export function bugsOnTheWayHome({ place, endMs, airTempC }: DriveHome): number | null {
  if (place.travelMinutes <= 0 || airTempC === null || airTempC <= INSECTS_FLY_C) return null;
  return sunPosition(place, endMs).elevationDeg > DUSK_DEG ? null : airTempC;
}
