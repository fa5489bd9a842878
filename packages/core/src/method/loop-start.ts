import { STEP_KINDS } from './data/step-kinds.js';
import type { WashStep } from './wash-step.js';
import type { LoopFrom } from './way-id.js';

export const isBody = ({ groups }: Pick<WashStep, 'groups'>): boolean =>
  groups.includes('upper') || groups.includes('lower');
const laysProduct = (step: WashStep): boolean =>
  isBody(step) && (STEP_KINDS[step.id].wets?.isProduct ?? false);
const rubsWet = (step: WashStep): boolean =>
  step.contact &&
  isBody(step) &&
  STEP_KINDS[step.id].wets !== null &&
  STEP_KINDS[step.id].patchM2 === undefined;

/** Index of the first step that is left on the paint until something rubs it; −1: nothing rubs it wet. */
export function touchFrom(steps: readonly WashStep[]): number {
  const touch = steps.findIndex(rubsWet);
  let from = touch;
  // What is sprayed on before the hand comes goes with it, part by part.
  while (from > 0 && laysProduct(steps[from - 1] as WashStep)) from -= 1;
  return from;
}

/** Index of the first soap on the body; −1: there is none before the hand comes, or it goes with the hand anyway. */
function soapFrom(steps: readonly WashStep[]): number {
  const soap = steps.findIndex(laysProduct);
  const touch = touchFrom(steps);
  return soap >= 0 && soap !== touch ? soap : -1;
}

/** Takes the last water of a rinse off. */
export const dries = ({ id }: WashStep): boolean =>
  STEP_KINDS[id].takes === 'blow' || id === 'towel' || id === 'dry-seal';

/** Index of the last flood before the drying, or of the drying itself; −1: nobody dries it. */
function dryingFrom(steps: readonly WashStep[]): number {
  const isFlooded = steps.some(({ id }) => STEP_KINDS[id].wets?.film === 'flood');
  const first = steps.findIndex(dries);
  if (first < 0 || !isFlooded) return -1;
  return steps[first - 1]?.id === 'final-rinse' ? first - 1 : first;
}

/** Where one begins to go round; −1: the method has no such step. */
export const startOf = (steps: readonly WashStep[], from: LoopFrom): number => {
  if (from === 'drying') return dryingFrom(steps);
  return from === 'soap' ? soapFrom(steps) : touchFrom(steps);
};
