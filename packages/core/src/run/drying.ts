import type { HouseRules } from '../house-rules/index.js';
import { firstOfKind, type Kit } from '../kit/index.js';
import type { DriedBy, Method } from '../method/index.js';
import { lastWater, type Place } from '../place/index.js';
import type { Limits } from '../rules/index.js';
import {
  behaviourOn,
  floodFilmGramsPerM2,
  panelM2,
  panelsOf,
  type Trap,
  trapsOf,
  type Vehicle,
} from '../vehicle/index.js';

/** Water that the last rinse leaves on a car, and what takes it off. */
export interface DryingPlan {
  readonly by: DriedBy;
  readonly waterGrams: number;
  /** Of which towels have to take up. */
  readonly towelGrams: number;
  /** Drying towels until the last one smears; 0: none. */
  readonly towels: number;
  /** What each takes up, g, and whether the shop weighed it; absent in sheets made before it was kept. */
  readonly towelHolds?: { readonly grams: number; readonly isWeighed: boolean };
  /** Where water stays behind on this body; absent in sheets made before it was kept. */
  readonly traps?: readonly Trap[];
  /** The last water is demineralised and the paint sheds it: what stays on it may dry there. */
  readonly mayBeLeft?: boolean;
}

/** Less dissolved than this leaves no spot that shows, mg/L (judgement). */
const PURE_MG_PER_LITRE = 30;

const isPure = (place: Place): boolean => lastWater(place).tdsMgPerLitre <= PURE_MG_PER_LITRE;

/** Water beads or sheets off on the body everywhere. */
const shedsWater = (vehicle: Pick<Vehicle, 'bodyClass' | 'waterBehaviour' | 'protections'>): boolean =>
  panelsOf(vehicle.bodyClass).every(({ id }) => behaviourOn(vehicle, id) !== 'flat');

/**
 * How much water stands on the car after the last rinse, and how many towels take it?
 *
 * @param vehicle body, water behaviour by zone
 * @param method as the shop does it
 * @param shop what a towel holds (weighed, else the house's figure), and what a blower leaves (limits)
 * @returns grams and whole towels, each used until it is saturated; null where nothing is dried by hand
 * Model: the film that stays by water behaviour and slope times the panel's surface (judgement); gaps and mirrors not counted
 */
export function dryingPlan(
  vehicle: Pick<Vehicle, 'bodyClass' | 'waterBehaviour' | 'protections'>,
  method: Pick<Method, 'drying' | 'filmGramsPerM2' | 'steps'>,
  {
    house,
    limits,
    place,
    kit,
  }: {
    readonly house: Pick<HouseRules, 'numbers'>;
    readonly limits: Pick<Limits, 'blowerLeavesFraction'>;
    readonly place: Place;
    readonly kit: Pick<Kit, 'gear'>;
  },
): DryingPlan | null {
  const { drying, filmGramsPerM2, steps } = method;
  if (drying.kind === 'left') return null;
  // What is wiped panel by panel is not blown, whatever the house does after a rinse.
  const by = steps.some(({ id }) => id === 'blow') ? drying.by : 'towel';
  const waterGrams = panelsOf(vehicle.bodyClass).reduce((sum, { id, tiltDeg }) => {
    const film = filmGramsPerM2 ?? floodFilmGramsPerM2(behaviourOn(vehicle, id), tiltDeg);
    return sum + film * panelM2(vehicle.bodyClass, id);
  }, 0);
  const leftFraction = by === 'towel' ? 1 : limits.blowerLeavesFraction;
  const towelGrams = by === 'blower' ? 0 : waterGrams * leftFraction;
  const weighed = firstOfKind(kit, 'drying-towel')?.holdsGrams ?? null;
  const grams = weighed ?? house.numbers.towelHoldsGrams;
  return {
    by,
    waterGrams,
    towelGrams,
    towels: Math.max(0, Math.ceil(towelGrams / grams - 1e-9)),
    towelHolds: { grams, isWeighed: weighed !== null },
    traps: trapsOf(vehicle.bodyClass),
    mayBeLeft: filmGramsPerM2 === null && isPure(place) && shedsWater(vehicle),
  };
}
