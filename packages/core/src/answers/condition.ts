import type { TargetState } from '../plan/index.js';
import { coatHistory, type CoatSpan } from '../protection/index.js';
import type { SeasonDue } from '../season/index.js';
import type { ZoneSoil } from '../soil/index.js';
import { carStateOf, type OfCar } from '../shop/index.js';
import type { Tools } from './tools.js';
import { handNeed, type HandNeed } from './hand-need.js';
import { seasonStandings } from './season.js';
import { type ZoneProtectionState, zoneProtections } from './zone-protections.js';

export interface ConditionAnswer {
  readonly soil: readonly ZoneSoil[];
  /** The same without what somebody saw. */
  readonly estimated: readonly ZoneSoil[];
  readonly protections: readonly ZoneProtectionState[];
  /** What lay on it and lies there, the newest first. */
  readonly coats: readonly CoatSpan[];
  /** Work of the season, and what its target has used up. */
  readonly season: readonly SeasonDue[];
  readonly target: TargetState;
  /** null: the shop has no touch-free wash. */
  readonly hand: HandNeed | null;
}

/** How dirty is each zone and with what, and what is left of its protection? */
export function conditionAnswer(job: OfCar, { keep }: Pick<Tools, 'keep'>): ConditionAnswer {
  const state = carStateOf(job, keep);
  return {
    soil: state.soil,
    estimated: state.estimated,
    season: seasonStandings(job, state, keep),
    target: state.target,
    hand: handNeed(state.soil, job.places),
    coats: coatHistory(job.car.vehicle, state.coatEvents),
    protections: zoneProtections(state, job),
  };
}
