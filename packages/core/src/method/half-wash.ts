import { type ZoneGroup, ZONE_GROUPS } from '../vehicle/index.js';
import type { Leftover, Method } from './method.js';
import { sumOf } from './plain-sum.js';
import { workAside } from './season-work.js';
import { partsOf, piecesM2 } from './section.js';
import { ofFraction } from './step-share.js';
import { removedBy, type WashStep } from './wash-step.js';
import type { Half } from './way-id.js';
import { wayOf } from './way.js';

const NOT_OF: Readonly<Record<Half, Partial<Record<ZoneGroup, number>>>> = {
  lower: { upper: 0 },
  upper: { lower: 0, wheels: 0, arches: 0, under: 0 },
};
const GROUPS_OF: Readonly<Record<Half, readonly ZoneGroup[]>> = {
  lower: ['lower', 'wheels', 'arches', 'under'],
  upper: ['upper'],
};
const LEFT_BY: Readonly<Record<Half, readonly Leftover[]>> = {
  lower: ['uppers'],
  upper: ['lowers', 'arches', 'deep-wheels', 'underbody'],
};

/** A step on one half of the body, with what it takes off there; null: it is for the other half. */
function onHalf(step: WashStep, half: Half): WashStep | null {
  const groups = step.groups.filter((group) => GROUPS_OF[half].includes(group));
  if (groups.length === 0) return null;
  const whole = partsOf('whole-car').flatMap(({ pieces }) => pieces);
  const wholeM2 = piecesM2(whole, step.groups);
  const share = wholeM2 > 0 ? piecesM2(whole, groups) / wholeM2 : 1;
  const removes = Object.fromEntries(groups.map((group) => [group, step.removes[group] ?? 0]));
  return { ...ofFraction(step, share), groups, removes };
}

/** The method on one half of the car: it takes salt off there, and is no wash of the car's cadence. */
export function onlyHalf(method: Method, half: Half): Method {
  const plain = method.plainSteps ?? method.steps;
  const { before, own, after } = workAside(plain);
  const steps = [
    ...before,
    ...own.map((step) => onHalf(step, half)).filter((step) => step !== null),
    ...after,
  ];
  const share = sumOf(steps, ({ minutes }) => minutes) / sumOf(plain, ({ minutes }) => minutes);
  return {
    ...method,
    steps,
    plainSteps: steps,
    handsMinutes: method.handsMinutes * share,
    removes: removedBy(steps, ZONE_GROUPS),
    contact: steps.some(({ contact }) => contact),
    ceilingGrade: { ...method.ceilingGrade, ...NOT_OF[half] },
    leaves: [...new Set([...method.leaves, ...LEFT_BY[half]])],
    scope: 'in-between',
  };
}

/**
 * The method as it is known of a car that was washed in this way: the steps on the whole car at once, on that half of it which was washed.
 */
export function washedBy(method: Method, wayId: string | null): Method {
  const { only } = wayOf(method, wayId);
  return only === null ? method : onlyHalf(method, only);
}
