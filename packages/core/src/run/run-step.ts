import { type Mix } from '../kit/index.js';
import {
  partHolds,
  type Method,
  type PartId,
  type StepCaution,
  type StepReason,
  type WashStep,
  type WashStepId,
} from '../method/index.js';
import type { SeasonJobId, ZoneGroup } from '../vehicle/index.js';
import { reasonOf } from './step-faults.js';
import type { StepFault, StepsAround } from './steps-around.js';
import { type StepDwell } from './step-dwell.js';
import { wholeWash, startMinutes, stopsMeter, dwellOf, mixOf, faultsAt, cautionsAt } from './whole-wash.js';

export interface RunStep {
  readonly id: WashStepId;
  readonly groups: readonly ZoneGroup[];
  /** The work of the season that it belongs to; absent: it is of the wash. */
  readonly jobId?: SeasonJobId;
  /** Its key in the shop's own order; absent: the method is done as it ships. */
  readonly key?: string;
  /** The part of the car that it is done on; null: all of it. */
  readonly part: PartId | null;
  readonly direction: WashStep['direction'] | null;
  /** Minutes from the beginning of the visit. */
  readonly fromMinute: number;
  readonly minutes: number;
  readonly litres: number;
  readonly onMeter: boolean;
  /** The meter is stopped, or paused, when this step ends. */
  readonly stopsMeter: boolean;
  readonly dwell: StepDwell | null;
  /** How long what dwells stays wet here, minutes; null: longer than was watched; absent: nothing dwells, or not kept then. */
  readonly wetMinutes?: number | null;
  /** What is put on; null: nothing, or the site's own. */
  readonly mix: Mix | null;
  /** In the shop's own words; empty: none. */
  readonly note: string;
  /** What is wrong with it here, each with its number. */
  readonly faults: readonly StepFault[];
  readonly reason: StepReason;
  readonly cautions: readonly StepCaution[];
}

/** Does this step go over all that the other was put on, so that it is kept wet? */
export const covers = (
  over: Pick<RunStep, 'groups' | 'part'>,
  under: Pick<RunStep, 'groups' | 'part'>,
): boolean => partHolds(over.part, under.part) && under.groups.every((group) => over.groups.includes(group));

/**
 * In which order is this wash done, for how long each, and why there?
 *
 * @param method as the shop does it
 * @param around wet edges, panels, meter, mixes and the place
 * @returns steps in order; dwell by the label of the product where there is one, never longer than the wet edge of the panels it
 * lies on; what is wrong with each
 */
export function runSteps(method: Pick<Method, 'steps' | 'setUpMinutes'>, around: StepsAround): RunStep[] {
  const whole = wholeWash(method.steps, around);
  const fromMinutes = startMinutes(method);
  return method.steps.map((step, i): RunStep => ({
    id: step.id,
    groups: step.groups,
    ...(step.jobId ? { jobId: step.jobId } : {}),
    ...(step.key ? { key: step.key } : {}),
    part: step.part ?? null,
    direction: step.direction ?? null,
    note: step.note ?? '',
    fromMinute: fromMinutes[i] ?? 0,
    minutes: step.minutes,
    litres: step.litres,
    onMeter: step.onMeter,
    stopsMeter: stopsMeter(whole.runs, i, around),
    ...dwellOf(step, i, { mix: whole.mixes[i] ?? null, around }),
    mix: mixOf(step, i, whole),
    faults: faultsAt(step, i, whole),
    reason: step.id === 'wheels' && i > 0 ? 'dirtiest-last' : reasonOf(step, around),
    cautions: cautionsAt(step, i, whole),
  }));
}
