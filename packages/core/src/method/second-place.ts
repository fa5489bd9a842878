import { STEP_KINDS } from './data/step-kinds.js';
import { dries, touchFrom } from './loop-start.js';
import type { Method } from './method.js';
import { workAside } from './season-work.js';
import type { WashStep, WashStepId } from './wash-step.js';
import type { LoopFrom } from './way-id.js';

/** Does this step need the water, the drain or the meter of the place? */
const needsPlace = ({ id, onMeter }: WashStep): boolean => {
  const { wets, rinses } = STEP_KINDS[id];
  return onMeter || rinses === 'under' || wets?.water === 'place';
};

const rinsesBody = ({ id }: WashStep): boolean => STEP_KINDS[id].rinses === 'body';

/** Between which steps the shop lets the drive stand: behind the last that it keeps in the first place, ahead of the first in the second. */
function allowedDrive(steps: readonly WashStep[]): { readonly from: number; readonly to: number } {
  const second = steps.findIndex(({ ownStage }) => ownStage === 'second');
  return {
    from: steps.findLastIndex(({ ownStage }) => ownStage === 'first') + 1,
    to: second < 0 ? steps.length : second,
  };
}

/**
 * Index of the first step in the second place: where the way has it, or as near to that as the places that the shop gave its steps allow.
 *
 * @returns −1: nothing is rinsed before, what comes after cannot do without the first place, or one would have to drive back
 */
export function elsewhereFrom(steps: readonly WashStep[], from: LoopFrom): number {
  const usual = from === 'drying' ? steps.findIndex(dries) : touchFrom(steps);
  const allowed = allowedDrive(steps);
  if (usual < 0 || allowed.from > allowed.to) return -1;
  const start = Math.min(Math.max(usual, allowed.from), allowed.to);
  const isDriven = start < steps.length && steps.slice(0, start).some(rinsesBody);
  return isDriven && !steps.slice(start).some(needsPlace) ? start : -1;
}

/** Why the place that the shop gave a step cannot be had. */
export type StageFault =
  /** It is to be done in the first place, behind a step in the second. */
  | { readonly kind: 'driven-back'; readonly there: WashStepId }
  /** Behind the drive, and it needs the first place's water, drain or meter. */
  | { readonly kind: 'needs-first-place' }
  /** The drive stands before it, and nothing has rinsed the body yet. */
  | { readonly kind: 'not-rinsed-here' };

/** What is wrong with the places that the shop gave its steps; nothing where it gave none a place behind the drive. */
export function stageFaults({
  plainSteps,
  steps: done,
}: Pick<Method, 'plainSteps' | 'steps'>): { readonly step: WashStep; readonly fault: StageFault }[] {
  const { own: steps } = workAside(plainSteps ?? done);
  const { to } = allowedDrive(steps);
  const first = steps[to];
  if (!first) return [];
  const unrinsed: StageFault = { kind: 'not-rinsed-here' };
  return [
    ...(steps.slice(0, to).some(rinsesBody) ? [] : [{ step: first, fault: unrinsed }]),
    ...steps.slice(to).flatMap((step) => {
      const faults: StageFault[] = [];
      if (step.ownStage === 'first') faults.push({ kind: 'driven-back', there: first.id });
      else if (needsPlace(step)) faults.push({ kind: 'needs-first-place' });
      return faults.map((fault) => ({ step, fault }));
    }),
  ];
}
