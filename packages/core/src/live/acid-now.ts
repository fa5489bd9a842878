import { clashOf } from '../kit/index.js';
import { clashFault, type StepFault } from '../run/index.js';
import type { LiveStep, RunState } from './run-state.js';

const phOf = ({ step }: LiveStep): number | null => step.mix?.product?.inUsePh ?? null;

/**
 * Would this step put acid on an alkali that lies on the car just now, or alkali on an acid? The order of a run may be changed, so it
 * is asked of what was really done.
 *
 * @returns the clash; null: there is none, or the sheet tells of it already
 */
export function acidNow(state: RunState, at: LiveStep): StepFault | null {
  const { step, key } = at;
  if (step.faults.some(({ kind }) => kind === 'acid-over-alkali' || kind === 'alkali-over-acid')) return null;
  const lying = state.timers
    .filter(({ offMs }) => offMs === null)
    .flatMap((timer) => state.steps.find((one) => one.key === timer.step && one.key !== key) ?? [])
    .filter((one) => one.step.groups.some((group) => step.groups.includes(group)));
  for (const under of lying) {
    const kind = clashOf(phOf(under), phOf(at));
    if (kind) return clashFault(kind, under.step.id);
  }
  return null;
}
