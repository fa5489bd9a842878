import { type CarZone, type Surface, zoneOf } from '../vehicle/index.js';
import { type RungDone, type Spot, spotLadder, type SpotMaterial } from './spot-ladder.js';

/** Spots on a car: where, from what, what was tried and what was seen. */
export interface SpotRecord extends Spot {
  readonly id: string;
  readonly vehicleId: string;
  readonly zone: CarZone;
  /** When they were found. */
  readonly atMs: number;
  readonly done: readonly RungDone[];
  readonly note: string;
  /** Photographs of them, the oldest first; absent: none. */
  readonly photoIds?: readonly string[];
}

/** `open`: there is something to try; `gone`; or `referred`: it is for somebody else. */
export type SpotStanding = 'open' | 'gone' | 'referred';

/** Where does the work on these spots stand? */
export function spotStanding(spot: Spot & Pick<SpotRecord, 'done'>): SpotStanding {
  const { rung } = spotLadder(spot, spot.done);
  if (rung.id === 'seal') return 'gone';
  return rung.id === 'refer' ? 'referred' : 'open';
}

const MATERIALS: Readonly<Record<Surface, SpotMaterial>> = {
  paint: 'paint',
  plastic: 'painted-plastic',
  glass: 'glass',
  trim: 'plastic',
  wheel: 'metal',
  metal: 'metal',
};

/** What a zone is made of outside, as the ladder reads it. */
export const materialOfZone = (zone: CarZone): SpotMaterial => MATERIALS[zoneOf(zone).surface];
