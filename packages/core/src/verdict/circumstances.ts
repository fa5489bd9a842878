import type { HouseRules } from '../house-rules/index.js';
import type { Shelf } from '../kit/index.js';
import type { Limits } from '../rules/index.js';
import type { ByGroup, Vehicle } from '../vehicle/index.js';
import type { NightAir } from './night-air.js';

/** What the rules read besides the place, the method, the hour and the water. */
export interface RuledBy {
  readonly vehicle: Vehicle;
  readonly limits: Limits;
  readonly house: Pick<HouseRules, 'choices'>;
  readonly soil: ByGroup;
  readonly night: NightAir;
}

/** The same, with what decides how a car is washed. */
export interface Circumstances extends RuledBy {
  readonly house: HouseRules;
  /** The shop's bottles, as a wash reads them. */
  readonly shelf: Shelf;
}
