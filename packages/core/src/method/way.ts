import type { Method } from './method.js';
import { SECTION_IDS } from '../vehicle/index.js';
import { startOf } from './loop-start.js';
import { workAside } from './season-work.js';
import { elsewhereFrom } from './second-place.js';
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

/** May somebody wash this half of the body alone? A machine does what it does, and a strip is for all of the paint. */
const canBeHalved = ({ strips, drying, ceilingGrade, steps }: Method, half: Half): boolean =>
  !strips &&
  drying.kind === 'wiped' &&
  ceilingGrade.upper > 0 &&
  ceilingGrade.lower > 0 &&
  steps.some(({ groups, removes }) => groups.includes(half) && (removes[half] ?? 0) > 0);

/** Only what is worked on as a whole is dried elsewhere as a whole; a hand that goes by two panels does so there, too. Bare paint is not driven. */
export const canEndElsewhere = (
  { plainSteps, steps, usualSection, strips }: Method,
  from: LoopFrom,
): boolean =>
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
