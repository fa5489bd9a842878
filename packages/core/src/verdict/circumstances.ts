import type { HouseRules } from '../house-rules/index.js';
import type { Shelf } from '../kit/index.js';
import type { Limits } from '../rules/index.js';
import type { ByGroup, Vehicle } from '../vehicle/index.js';
import type { NightAir } from './night-air.js';

/** What the rules read besides the place, the hour and the water. */
export interface Circumstances {
  readonly vehicle: Vehicle;
  readonly limits: Limits;
  readonly house: HouseRules;
  /** The shop's bottles, as a wash reads them. */
  readonly shelf: Shelf;
  readonly soil: ByGroup;
  readonly night: NightAir;
}
