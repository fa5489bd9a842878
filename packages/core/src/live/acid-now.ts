import { ACID_PH, ALKALI_PH } from '../kit/index.js';
import type { StepFault } from '../run/index.js';
import type { LiveStep, RunState } from './run-state.js';

/**
 * Would this step put acid on an alkali that lies on the car just now? The order of a run may be changed, so it is asked of what was
 * really done.
 *
 * @returns the clash; null: there is none, or the sheet tells of it already
 */
export function acidNow(state: RunState, { step, key }: LiveStep): StepFault | null {
  const ph = step.mix?.product?.inUsePh;
  if (ph === undefined || ph > ACID_PH || step.faults.some(({ kind }) => kind === 'acid-over-alkali'))
    return null;
  const under = state.timers
    .filter(({ offMs }) => offMs === null)
    .flatMap((timer) => state.steps.find((one) => one.key === timer.step && one.key !== key) ?? [])
    .find(
      (one) =>
        (one.step.mix?.product?.inUsePh ?? 7) >= ALKALI_PH &&
        one.step.groups.some((group) => step.groups.includes(group)),
    );
  return under ? { kind: 'acid-over-alkali', alkali: under.step.id } : null;
}
