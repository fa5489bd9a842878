import { DEFAULT_HOUSE } from '../house-rules/index.js';
import { type Method, STEP_KINDS, type WashStep, withSteps } from '../method/index.js';
import { MS_PER_MINUTE } from '../quantity/index.js';
import { type Finding, gradeAtContact, judgeWater } from '../rules/index.js';
import { type Hold, HOLDS, type SharedStep, type SideBySide, sideBySide } from '../run/index.js';
import { tracksOf, waterOutcome } from '../wash/index.js';
import { packHours, type RunPack } from './run-pack.js';

/** May one bucket do for both cars, and why not? */
export type BucketAnswer =
  /** No hand goes into a bucket on both. */
  | { readonly kind: 'none' }
  | { readonly kind: 'one'; readonly grade: number }
  | { readonly kind: 'two'; readonly because: 'grade'; readonly car: 0 | 1; readonly grade: number }
  | { readonly kind: 'two'; readonly because: 'mitts'; readonly car: 0 | 1 };

/** What is read of each car's run to make one visit of both. */
export type VisitPack = Pick<
  RunPack,
  | 'vehicle'
  | 'place'
  | 'method'
  | 'limits'
  | 'soilBefore'
  | 'overnightC'
  | 'startMs'
  | 'fromMs'
  | 'hours'
  | 'sheet'
>;

/** Two cars washed by one pair of hands in one visit. */
export interface Visit {
  readonly hold: Hold;
  readonly order: SideBySide;
  /** From arriving to leaving. */
  readonly minutes: number;
  /** Against one after the other, each with its own laying out and its own way there, minutes. */
  readonly savedMinutes: number;
  /** What goes wrong on each car in that order; empty: nothing does. */
  readonly against: readonly [readonly Finding[], readonly Finding[]];
  readonly bucket: BucketAnswer;
}

/** Of the second car's laying out and packing up, what the first's does not do for it (judgement). */
const SECOND_SET_UP_FRACTION = 0.4;
/** What is left on the body may be so much for the next car to be touched out of the same water (practice: 2). */
const CLEAN_GRADE = 2;
/** One for the upper body, one for what is dirtiest. */
const OWN_MITTS = 2;

const GAP: WashStep = {
  id: 'other-car',
  groups: [],
  minutes: 0,
  onMeter: false,
  litres: 0,
  contact: false,
  removes: {},
  dwell: null,
};
const LEAST_GAP_MINUTES = 1e-9;

/** One car's wash as it is done between the steps of the other. */
function withGaps({ method }: Pick<RunPack, 'method'>, shared: readonly Omit<SharedStep, 'car'>[]): Method {
  let atMinute = shared[0]?.fromMinute ?? 0;
  // What comes before its first step is no part of it.
  const steps = method.steps.flatMap((step, i): WashStep[] => {
    const { fromMinute, minutes } = shared[i] ?? { fromMinute: atMinute, minutes: step.minutes };
    const gap = fromMinute - atMinute;
    atMinute = fromMinute + minutes;
    const done = { ...step, minutes };
    return gap > LEAST_GAP_MINUTES ? [{ ...GAP, minutes: gap }, done] : [done];
  });
  return withSteps(method, steps);
}

/** What the water and the products do on one car in this order; null where nobody knows those hours. */
function againstIn(
  packs: readonly [VisitPack, VisitPack],
  order: SideBySide,
  car: 0 | 1,
): readonly Finding[] | null {
  const [first] = packs;
  const pack = packs[car];
  const { vehicle, place, limits, soilBefore, overnightC } = pack;
  const own = order.steps.filter((one) => one.car === car);
  const method = withGaps(pack, own);
  const { fromMs, hours: known } = first;
  const startMs = first.startMs + (own[0]?.fromMinute ?? 0) * MS_PER_MINUTE;
  const hours = packHours({ startMs, fromMs, hours: known, method });
  if (!hours) return null;
  const of = { vehicle, place, method };
  const water = waterOutcome(tracksOf(of, limits), of, hours);
  // Rules about water and products read neither the house nor the clock.
  const situation = { ...of, limits, house: DEFAULT_HOUSE, soil: soilBefore, overnightC, site: null, water };
  return judgeWater(situation).filter(({ level }) => level === 'block');
}

const touchesBody = ({ method }: VisitPack): boolean =>
  method.steps.some(({ id, contact }) => contact && STEP_KINDS[id].wets?.water === 'bucket');

function bucketAnswer(packs: readonly [VisitPack, VisitPack]): BucketAnswer {
  if (!packs.every(touchesBody)) return { kind: 'none' };
  const grades = packs.map(({ method, soilBefore }) => gradeAtContact(method, soilBefore) ?? 0);
  const [a = 0, b = 0] = grades;
  const worst = a >= b ? 0 : 1;
  const grade = Math.max(a, b);
  if (grade > CLEAN_GRADE) return { kind: 'two', because: 'grade', car: worst, grade };
  const short = packs.findIndex(({ sheet }) => {
    const { mitts } = sheet.preparation.media;
    return mitts > 0 && mitts < OWN_MITTS;
  });
  return short < 0 ? { kind: 'one', grade } : { kind: 'two', because: 'mitts', car: short === 0 ? 0 : 1 };
}

const blocksOf = (against: Visit['against']): number => against[0].length + against[1].length;

/**
 * How does one pair of hands wash these two cars in one visit?
 *
 * @param first whose hour the visit begins in
 * @param second at the same place
 * @returns the order that saves most of those in which nothing freezes, dries on or outstays its label on either car: both worked on in
 * turn, each held while it is wet, or one after the other; where even that does not go, what goes wrong in it. null where the place takes
 * one car only, one of them drives on to a second place, or nobody knows those hours
 * Model: each car is worked through by its own steps with the other's as waits between them; practice notes for the bucket
 */
export function visitOf(first: VisitPack, second: VisitPack): Visit | null {
  const drivesOn = [first, second].some(({ method }) => method.steps.some(({ id }) => id === 'drive-on'));
  if (first.place.id !== second.place.id || first.place.carsAtOnce < 2 || drivesOn) return null;
  let found: Pick<Visit, 'hold' | 'order' | 'against'> | null = null;
  for (const hold of HOLDS) {
    const order = sideBySide(first.sheet.steps, second.sheet.steps, hold);
    const a = againstIn([first, second], order, 0);
    const b = againstIn([first, second], order, 1);
    if (!a || !b) return null;
    const tried = { hold, order, against: [a, b] as const };
    if (!found || blocksOf(tried.against) <= blocksOf(found.against)) found = tried;
    if (blocksOf(tried.against) === 0) break;
  }
  if (!found) return null;
  const setUps = [first.method.setUpMinutes, second.method.setUpMinutes];
  const minutes = found.order.minutes + Math.max(...setUps) + SECOND_SET_UP_FRACTION * Math.min(...setUps);
  const apart = first.method.minutes + second.method.minutes + 2 * first.place.travelMinutes;
  return { ...found, minutes, savedMinutes: apart - minutes, bucket: bucketAnswer([first, second]) };
}
