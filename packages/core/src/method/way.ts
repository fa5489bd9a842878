import type { Method } from './method.js';
import { SECTION_IDS } from '../vehicle/index.js';
import { STEP_KINDS } from './data/step-kinds.js';
import { workAside } from './season-work.js';
import type { WashStep } from './wash-step.js';
import type { Before, Cut, Half, LoopFrom, LoopName, Way, WayId } from './way-id.js';

const WHOLE: Way = {
  id: 'whole',
  from: 'nothing',
  section: 'whole-car',
  before: null,
  only: null,
  isElsewhere: false,
};
const CUTS = SECTION_IDS.filter((id): id is Cut => id !== 'whole-car');
const LOOP_FROM: Readonly<Record<LoopName, LoopFrom>> = { dry: 'drying', touch: 'touch', soap: 'soap' };

const way = (name: LoopName, section: Cut, before: Exclude<Before, 'thaw'> = null): Way => ({
  id: before === null ? `${name}-${section}` : `${name}-${section}-${before}`,
  from: LOOP_FROM[name],
  section,
  before,
  only: null,
  isElsewhere: false,
});
const elsewhere = (name: 'dry' | 'touch', before: 'thaw' | null): Way => ({
  ...WHOLE,
  id: before === null ? `${name}-elsewhere` : `${name}-elsewhere-thaw`,
  from: LOOP_FROM[name],
  section: name === 'dry' ? 'whole-car' : 'two-panels',
  before,
  isElsewhere: true,
});
const halfWay = (half: Half): Way => ({ ...WHOLE, id: `${half}-only`, only: half });

/** Every way that there is, the least bother first. */
export const WAYS: readonly Way[] = [
  WHOLE,
  ...CUTS.map((section) => way('dry', section)),
  ...CUTS.map((section) => way('dry', section, 'rinse')),
  elsewhere('dry', null),
  ...CUTS.flatMap((section) => [
    way('touch', section),
    way('soap', section),
    way('touch', section, 'rinse'),
    way('touch', section, 'soak'),
    ...(section === 'two-panels' ? [elsewhere('touch', null)] : []),
  ]),
  elsewhere('dry', 'thaw'),
  elsewhere('touch', 'thaw'),
  halfWay('lower'),
  halfWay('upper'),
];
export const WAY_IDS: readonly WayId[] = WAYS.map(({ id }) => id);
const BY_ID = new Map<string, Way>(WAYS.map((one) => [one.id, one]));

/** A way by its id; the usual one of the method for an id that does not exist. */
export const wayOf = (method: Method, wayId: string | null): Way =>
  BY_ID.get(wayId ?? '') ?? usualWay(method);

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
function touchFrom(steps: readonly WashStep[]): number {
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
const dries = ({ id }: WashStep): boolean =>
  STEP_KINDS[id].takes === 'blow' || id === 'towel' || id === 'dry-seal';

/** Index of the last flood before the drying, or of the drying itself; −1: nobody dries it. */
function dryingFrom(steps: readonly WashStep[]): number {
  const isFlooded = steps.some(({ id }) => STEP_KINDS[id].wets?.film === 'flood');
  const first = steps.findIndex(dries);
  if (first < 0 || !isFlooded) return -1;
  return steps[first - 1]?.id === 'final-rinse' ? first - 1 : first;
}

/** Does this step need the water, the drain or the meter of the place? */
const needsPlace = ({ id, onMeter }: WashStep): boolean => {
  const { wets, rinses } = STEP_KINDS[id];
  return onMeter || rinses === 'under' || wets?.water === 'place';
};

/** Index of the first step in the second place; −1: nothing is rinsed before, or what comes after cannot do without the first. */
export function elsewhereFrom(steps: readonly WashStep[], from: LoopFrom): number {
  const start = from === 'drying' ? steps.findIndex(dries) : touchFrom(steps);
  const isRinsed = steps.slice(0, Math.max(0, start)).some(({ id }) => STEP_KINDS[id].rinses === 'body');
  return isRinsed && !steps.slice(start).some(needsPlace) ? start : -1;
}

/** Where one begins to go round; −1: the method has no such step. */
export const startOf = (steps: readonly WashStep[], from: LoopFrom): number => {
  if (from === 'drying') return dryingFrom(steps);
  return from === 'soap' ? soapFrom(steps) : touchFrom(steps);
};

/** May somebody wash this half of the body alone? A machine does what it does, and a strip is for all of the paint. */
const canBeHalved = ({ strips, drying, ceilingGrade, steps }: Method, half: Half): boolean =>
  !strips &&
  drying.kind === 'wiped' &&
  ceilingGrade.upper > 0 &&
  ceilingGrade.lower > 0 &&
  steps.some(({ groups, removes }) => groups.includes(half) && (removes[half] ?? 0) > 0);

/** Only what is worked on as a whole is dried elsewhere as a whole; a hand that goes by two panels does so there, too. Bare paint is not driven. */
const canEndElsewhere = ({ plainSteps, steps, usualSection, strips }: Method, from: LoopFrom): boolean =>
  !strips &&
  (from === 'drying' ? usualSection === 'whole-car' : usualSection === 'two-panels') &&
  elsewhereFrom(workAside(plainSteps ?? steps).own, from) > 0;

/** The ways in which a method can be done, the usual one first and then with ever more bother; a half of the car last. */
export function waysOf(method: Method): readonly Way[] {
  const { own: steps } = workAside(method.plainSteps ?? method.steps);
  if (method.drying.kind === 'left') return [WHOLE];
  const isCut = method.usualSection !== 'whole-car';
  const hasRinse = !method.strips && steps.some(({ id }) => id === 'rinse');
  return WAYS.filter(({ from, section, before, only, isElsewhere }) => {
    if (only !== null) return canBeHalved(method, only);
    if (isElsewhere) return canEndElsewhere(method, from);
    if (from === 'nothing') return !isCut;
    if (from === 'drying' && isCut) return false;
    if (startOf(steps, from) < 0) return false;
    // Somebody who works by two panels anyway does not go back to a side.
    if (SECTION_IDS.indexOf(section) < SECTION_IDS.indexOf(method.usualSection)) return false;
    if (before === 'rinse') return hasRinse;
    return before === null || (!hasRinse && !method.strips);
  });
}

/** The way in which a method is usually done. @throws RangeError for a method without any */
export function usualWay(method: Method): Way {
  const [usual] = waysOf(method);
  if (!usual) throw new RangeError(`usualWay: methodId is ${method.id}; it can be done in no way`);
  return usual;
}
