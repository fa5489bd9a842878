import type { HouseRules } from '../house/index.js';
import type { Limits } from '../rules/index.js';
import type { ByGroup, Vehicle } from '../vehicle/index.js';
import type { NightAir } from './night-air.js';

/** What the rules read besides the place, the hour and the water. */
export interface Circumstances {
  readonly vehicle: Vehicle;
  readonly limits: Limits;
  readonly house: HouseRules;
  readonly soil: ByGroup;
  readonly night: NightAir;
}
