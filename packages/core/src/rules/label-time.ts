import { isOffAtItsEnd, takesOff } from '../kit/index.js';
import { longestMinutes, type Method, type WashStepId } from '../method/index.js';
import { timedSteps } from '../wash/index.js';
import { clear, ofDegree, unknown } from './finding.js';
import type { Finding, Rule } from './rule.js';

/** How long a product lies there against its label. */
interface Lie {
  readonly step: WashStepId;
  readonly minutes: number;
  readonly longest: number;
}
const WHEELS_OF_A_CAR = 4;

/** Minutes from putting a product on until it is off: on what is done first or last, whichever waits longer. */
function lieOf(steps: Method['steps'], from: readonly number[], at: number): number {
  const laid = steps[at];
  if (!laid) return 0;
  if (isOffAtItsEnd(laid, laid.product?.inUsePh ?? null)) return laid.minutes / WHEELS_OF_A_CAR;
  const off = steps.findIndex((one, i) => i > at && takesOff(one, laid));
  const by = steps[off];
  const start = from[at] ?? 0;
  if (!by) return (from.at(-1) ?? 0) + (steps.at(-1)?.minutes ?? 0) - start;
  const offStart = from[off] ?? 0;
  return Math.max(offStart - start, offStart + by.minutes - (start + laid.minutes));
}

const worstLies = new WeakMap<Method, { readonly lie: Lie | null }>();

/** What lies longest against its label where no panel is: on wheels and underneath. */
function lieBesidePanels(method: Method): Lie | null {
  const known = worstLies.get(method);
  if (known) return known.lie;
  const { steps } = method;
  const from = timedSteps(method).map(({ fromMinute }) => fromMinute);
  let lie: Lie | null = null;
  steps.forEach((step, i) => {
    const longest = longestMinutes(step);
    if (longest === null || step.groups.includes('upper') || step.groups.includes('lower')) return;
    const minutes = lieOf(steps, from, i);
    if (!lie || minutes / longest > lie.minutes / lie.longest) lie = { step: step.id, minutes, longest };
  });
  worstLies.set(method, { lie });
  return lie;
}

/** What is within its label is comfortable: no hour and no hand brings it nearer to its limit. */
function onLabel(margin: number, actual: number, limit: number): Finding {
  const found = ofDegree('label-time', 'block', { margin, unit: 'min', scale: limit, actual, limit });
  return found.level === 'clear' ? { ...found, comfort: 1 + found.comfort } : found;
}

export const labelTime: Rule = {
  id: 'label-time',
  question: 'Does a product stay on longer than its label allows?',
  glyph: 'clock',
  changesWithTime: false,
  limits: [],
  reads: ['water.label', 'method.steps', 'method.setUpMinutes'],
  judge: ({ water, method }) => {
    if (!water) return unknown('label-time');
    const { label } = water;
    const beside = lieBesidePanels(method);
    const limit = label?.minutes ?? Infinity;
    const actual = label?.needed ?? 0;
    if (beside && beside.longest / beside.minutes <= limit / actual)
      return {
        step: beside.step,
        ...onLabel(beside.longest - beside.minutes, beside.minutes, beside.longest),
      };
    if (!label || limit === Infinity) return clear('label-time');
    return { panel: label.panel, step: label.step ?? undefined, ...onLabel(limit - actual, actual, limit) };
  },
};
