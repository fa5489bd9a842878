import { type SectionId, ZONE_GROUPS } from '../vehicle/index.js';
import type { Method } from './method.js';
import { productMinorOf } from './describe-method.js';
import { onlyHalf } from './half-wash.js';
import { sumOf } from './plain-sum.js';
import { workAside } from './season-work.js';
import { partFraction, type Part, partsOf, sectionOfPart } from './section.js';
import { STEP_KINDS } from './data/step-kinds.js';
import { IDLE, removedBy, type WashStep } from './wash-step.js';
import { ofFraction } from './step-share.js';
import type { Before, Way } from './way-id.js';
import { isBody, startOf } from './loop-start.js';
import { elsewhereFrom } from './second-place.js';
import { canEndElsewhere, usualWay } from './way.js';

/** Steps that go round with the parts: what wets, rubs and dries the body. What else stands among them comes after. */
export const goesByParts = (step: Pick<WashStep, 'id' | 'groups'>): boolean => {
  const { wets, takes, patchM2 } = STEP_KINDS[step.id];
  return isBody(step) && patchM2 === undefined && (wets !== null || takes !== null);
};

/** What throws water under the car, or wants rinsing, is done before any part is dried; what only a cloth does comes after. */
const isWet = ({ id, dwell }: WashStep): boolean =>
  STEP_KINDS[id].rinses !== null || (STEP_KINDS[id].wantsRinse && dwell !== null);

/** From one tool to the next at another part of the car (judgement). */
const CHANGE_MINUTES = 0.2;
const MILLI = 1000;
/** A sum of shares as people read it. */
const plainTotal = (value: number): number => Math.round(value * MILLI) / MILLI;

const SOAK: WashStep = {
  id: 'warm-soak',
  groups: ['upper', 'lower'],
  minutes: 4,
  onMeter: false,
  litres: 6,
  contact: false,
  removes: {},
  dwell: null,
};

function beforeStep(steps: readonly WashStep[], before: Before): WashStep[] {
  if (before === 'soak') return [SOAK];
  const rinse = before === 'rinse' ? steps.find(({ id }) => id === 'rinse') : undefined;
  return rinse ? [{ ...rinse, groups: ['upper', 'lower'], removes: {} }] : [];
}

/** A step on one part of the car. */
function onPart(step: WashStep, part: Part, extraMinutes: number): WashStep | null {
  const share = partFraction(part, step.groups);
  if (share === 0) return null;
  const done = ofFraction(step, share);
  return { ...done, minutes: done.minutes + extraMinutes, part: part.id };
}

/** Minutes that changing tools costs a step on each part, over what the method has in it. */
function changeMinutes(method: Method, section: SectionId): number {
  if (method.usualSection === section) return 0;
  const parts = partsOf(section).length;
  const usualParts = partsOf(method.usualSection).length;
  return (CHANGE_MINUTES * Math.max(0, parts - Math.max(1, usualParts))) / parts;
}

/**
 * Steps that go round, one after the other, each by its own section or else by that of the way: those by the same section go round together.
 */
function inRounds(method: Method, steps: readonly WashStep[], section: SectionId): WashStep[] {
  const sectionFor = (step: WashStep): SectionId =>
    goesByParts(step) ? (step.ownSection ?? section) : 'whole-car';
  const rounds: { section: SectionId; steps: WashStep[] }[] = [];
  for (const step of steps) {
    const last = rounds.at(-1);
    if (last?.section === sectionFor(step)) last.steps.push(step);
    else rounds.push({ section: sectionFor(step), steps: [step] });
  }
  return rounds.flatMap((round) => {
    if (round.section === 'whole-car') return round.steps;
    const change = changeMinutes(method, round.section);
    return partsOf(round.section).flatMap((part) =>
      round.steps.map((step) => onPart(step, part, change)).filter((step) => step !== null),
    );
  });
}

/** The same steps as they are done: those ahead of where the way begins to go round, and those from there on. */
interface CutUp {
  readonly ahead: readonly WashStep[];
  readonly behind: readonly WashStep[];
}

/** The same steps with those from `from` on done part by part. */
function unrolled(method: Method, steps: readonly WashStep[], way: Way): CutUp {
  const first = way.section === 'whole-car' ? -1 : startOf(steps, way.from);
  const start = first < 0 ? steps.length : first;
  const behind = steps.slice(start);
  // The loop ends with the last step that goes round; what stands behind it stays there.
  const end = behind.findLastIndex(goesByParts) + 1;
  const looped = behind.slice(0, end);
  const round = looped.filter(goesByParts);
  const before = beforeStep(steps, way.before).map((step) => ({ ...step, ownSection: round[0]?.ownSection }));
  return {
    ahead: inRounds(method, steps.slice(0, start), 'whole-car'),
    behind: [
      ...looped.filter((step) => !goesByParts(step) && isWet(step)),
      ...inRounds(method, [...before, ...round], way.section),
      ...looped.filter((step) => !goesByParts(step) && !isWet(step)),
      ...behind.slice(end),
    ],
  };
}

/** In and out of the second place: doors, unloading what is needed there (judgement). */
const ARRIVE_MINUTES = 2;
/** What froze on the way stands in the warm until it has melted: nine tenths of a glazed saloon in a unit at 14 °C (by the panel sum). */
const THAW_MINUTES = 20;
const elsewhere = (step: WashStep): WashStep => ({ ...step, isElsewhere: true });

interface InWay {
  readonly way: Way;
  /** To the second place, where the way has one. */
  readonly driveMinutes: number;
}

/** The same steps, with the drive before those that are done in the second place. */
function drivenOn(method: Method, own: readonly WashStep[], { way, driveMinutes }: InWay): WashStep[] {
  const start = elsewhereFrom(own, way.from);
  const there = own.slice(start);
  const { ahead, behind } = unrolled(method, there, way);
  const drive: WashStep = { ...IDLE, id: 'drive-on', minutes: driveMinutes + ARRIVE_MINUTES };
  const thaw = way.before === 'thaw' ? [{ ...IDLE, id: 'thaw', minutes: THAW_MINUTES } as const] : [];
  return [
    ...inRounds(method, own.slice(0, start), 'whole-car'),
    drive,
    ...[...thaw, ...ahead, ...behind].map(elsewhere),
  ];
}

function stepsIn(method: Method, plain: readonly WashStep[], how: InWay): readonly WashStep[] {
  const { way } = how;
  if (way.from === 'nothing') return inRounds(method, plain, 'whole-car');
  const { before, own, after } = workAside(plain);
  if (way.isElsewhere) return [...before, ...drivenOn(method, own, how), ...after.map(elsewhere)];
  const { ahead, behind } = unrolled(method, own, way);
  return [...before, ...ahead, ...behind, ...after];
}

/**
 * The method cut up in one of its ways: the steps as they are really done one after the other, and minutes, paid seconds and litres of
 * these.
 *
 * @param driveMinutes to the second place, where the way has one
 * @returns the method with its steps unrolled, in its usual way where its steps as they stand cannot be ended in a second place; salt
 * taken off is that of the method, whose parts are the whole car in the end, or of the half that alone is washed
 */
export function inWay(method: Method, way: Way, driveMinutes = 0): Method {
  if (way.isElsewhere && !canEndElsewhere(method, way.from)) return inUsualWay(method);
  if (way.only !== null) return { ...inUsualWay(onlyHalf(method, way.only)), wayId: way.id };
  const plain = method.plainSteps ?? method.steps;
  const steps = stepsIn(method, plain, { way, driveMinutes });
  const minutes = plainTotal(method.setUpMinutes + sumOf(steps, (step) => step.minutes));
  const plainMinutes = method.setUpMinutes + sumOf(plain, (step) => step.minutes);
  return {
    ...method,
    wayId: way.id,
    section: steps.some(({ part }) => part !== undefined && sectionOfPart(part) === way.section)
      ? way.section
      : 'whole-car',
    steps,
    plainSteps: plain,
    minutes,
    handsMinutes: Math.min(minutes, plainTotal((method.handsMinutes * minutes) / plainMinutes)),
    meterSeconds: plainTotal(60 * sumOf(steps, (step) => (step.onMeter ? step.minutes : 0))),
    litres: plainTotal(sumOf(steps, ({ litres }) => litres)),
    productMinor: productMinorOf(steps),
    removes: removedBy(plain, ZONE_GROUPS),
  };
}

/** The method as it is usually done. */
export const inUsualWay = (method: Method): Method => inWay(method, usualWay(method));
