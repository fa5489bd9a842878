import type { HouseRules } from '../house-rules/index.js';
import {
  inWay,
  METHOD_IDS,
  type MethodId,
  shopMethod,
  STEP_KINDS,
  stepKeys,
  type WashStep,
  type WashStepId,
  wayOf,
} from '../method/index.js';
import { medianOf } from '../quantity/index.js';
import type { BodyClass, Vehicle } from '../vehicle/index.js';
import type { WashRecord } from './wash-record.js';

/** Minutes of one step over some runs, on a saloon. */
export interface LearnedOf {
  readonly runs: number;
  readonly minutes: number;
}

/** What the finished runs say of one step of a method, beside what the shop counts. Minutes are those of a saloon. */
export interface LearnedMinutes extends LearnedOf {
  readonly methodId: MethodId;
  readonly stepId: WashStepId;
  /** Of the step in the shop's own way of the method. */
  readonly key: string;
  readonly countedMinutes: number;
  /** The same by what it may go by; only what at least two runs tell of. */
  readonly byPlace: Readonly<Record<string, LearnedOf>>;
  readonly byPerson: Readonly<Record<string, LearnedOf>>;
  readonly byBody: Readonly<Partial<Record<BodyClass, LearnedOf>>>;
}

export interface LearnCase {
  readonly washes: readonly Pick<
    WashRecord,
    'vehicleId' | 'placeId' | 'methodId' | 'workerId' | 'status' | 'predicted' | 'found'
  >[];
  readonly vehicles: readonly (Pick<Vehicle, 'bodyClass' | 'delicateWheels'> & { readonly id: string })[];
  readonly house: HouseRules;
}

/** Fewer runs than this say nothing yet (judgement). */
const FEWEST_RUNS = 3;
const FEWEST_OF_A_KIND = 2;
/** A step that somebody only tapped through. */
const LEAST_MINUTES = 0.2;
/** What differs by less is the same (judgement): so much of it, and so many minutes. */
const DIFFERS_FRACTION = 0.15;
const DIFFERS_MINUTES = 0.5;

/** One run's measure of a step: how many times as long as it is counted on that car. */
interface Timed {
  readonly ratio: number;
  readonly placeId: string;
  readonly person: string;
  readonly body: BodyClass;
}

const inHalves = (minutes: number): number => Math.max(0.5, Math.round(minutes * 2) / 2);

const learnedOf = (timed: readonly Timed[], counted: number): LearnedOf => ({
  runs: timed.length,
  minutes: inHalves((medianOf(timed.map(({ ratio }) => ratio)) ?? NaN) * counted),
});

function groupedBy(
  timed: readonly Timed[],
  key: (one: Timed) => string,
  counted: number,
): Record<string, LearnedOf> {
  const names = [...new Set(timed.map(key))];
  return Object.fromEntries(
    names.flatMap((name) => {
      const own = timed.filter((one) => key(one) === name);
      return own.length < FEWEST_OF_A_KIND ? [] : [[name, learnedOf(own, counted)]];
    }),
  );
}

/** A machine takes what it takes; what dwells part by part takes its dwell on each. */
const canBeLearned = ({ id, dwell }: WashStep, isInParts: boolean): boolean =>
  STEP_KINDS[id].reason !== 'machine-does-it' && !(isInParts && dwell !== null);

/** How long this run took over a step, as so many times what is counted for it now on that car; null: it does not say. */
function ratioOf(
  stepId: WashStepId,
  run: NonNullable<NonNullable<WashRecord['found']>['run']>,
  steps: readonly WashStep[],
): number | null {
  const done = run.steps.filter(({ id, skipped }) => id === stepId && skipped === null);
  const all = run.steps.filter(({ id }) => id === stepId);
  const counted = steps.filter(({ id }) => id === stepId);
  const [first] = counted;
  // Of a step that was left out in part nobody knows how long the rest would have taken.
  if (!first || done.length === 0 || done.length < all.length || all.length !== counted.length) return null;
  if (
    !canBeLearned(
      first,
      done.some(({ part }) => part !== undefined),
    )
  )
    return null;
  const minutes = done.reduce((sum, one) => sum + one.minutes, 0);
  const countedMinutes = counted.reduce((sum, one) => sum + one.minutes, 0);
  return minutes < LEAST_MINUTES || countedMinutes === 0 ? null : minutes / countedMinutes;
}

function timedOf(methodId: MethodId, stepId: WashStepId, { washes, vehicles, house }: LearnCase): Timed[] {
  return washes.flatMap((wash): Timed[] => {
    const vehicle = vehicles.find(({ id }) => id === wash.vehicleId);
    const run = wash.found?.run;
    if (!vehicle || !run || wash.status !== 'done' || wash.methodId !== methodId) return [];
    const plain = shopMethod(methodId, house, vehicle);
    // What went round by parts is counted with the walking from one to the next.
    const isInParts = run.steps.some(({ part }) => part !== undefined);
    const method = isInParts ? inWay(plain, wayOf(plain, wash.predicted?.wayId ?? null)) : plain;
    const ratio = ratioOf(stepId, run, method.steps);
    const { placeId, workerId: person } = wash;
    return ratio === null ? [] : [{ ratio, placeId, person, body: vehicle.bodyClass }];
  });
}

const differs = ({ minutes, countedMinutes }: Pick<LearnedMinutes, 'minutes' | 'countedMinutes'>): boolean =>
  Math.abs(minutes - countedMinutes) >= Math.max(DIFFERS_MINUTES, DIFFERS_FRACTION * countedMinutes);

/**
 * Which steps take this shop longer or shorter than it counts?
 *
 * @param of finished washes, the cars, the house with the minutes that it counts now
 * @returns steps of which at least three runs tell and that differ by 15 % and half a minute, the furthest off first; the median of the
 * runs, in half minutes, on a saloon, and the same by place, person and body
 * Model: what a run took over what is counted on that car; fewest runs and what counts as a difference are judgement
 */
export function learnedMinutes(of: LearnCase): LearnedMinutes[] {
  return METHOD_IDS.flatMap((methodId) => {
    const { steps } = shopMethod(methodId, of.house);
    const keys = stepKeys(steps);
    return steps.flatMap((step, i): LearnedMinutes[] => {
      const timed = timedOf(methodId, step.id, of);
      if (timed.length < FEWEST_RUNS) return [];
      const found = {
        methodId,
        stepId: step.id,
        key: keys[i] ?? '',
        countedMinutes: step.minutes,
        ...learnedOf(timed, step.minutes),
        byPlace: groupedBy(timed, ({ placeId }) => placeId, step.minutes),
        byPerson: groupedBy(timed, ({ person }) => person, step.minutes),
        byBody: groupedBy(timed, ({ body }) => body, step.minutes),
      };
      return differs(found) ? [found] : [];
    });
  }).toSorted((a, b) => off(b) - off(a));
}

const off = ({ minutes, countedMinutes }: LearnedMinutes): number => Math.abs(minutes - countedMinutes);

/** The shop's own way of the method with these minutes for that step. */
export function withLearned(
  { variants }: Pick<HouseRules, 'variants'>,
  { methodId, key, minutes }: Pick<LearnedMinutes, 'methodId' | 'key' | 'minutes'>,
  steps: readonly Pick<WashStep, 'id'>[],
): NonNullable<NonNullable<HouseRules['variants']>[string]> {
  const before = variants?.[methodId];
  const known = before?.steps ?? stepKeys(steps).map((own) => ({ key: own, minutes: null, note: '' }));
  const has = known.some((step) => step.key === key);
  return {
    leftOut: before?.leftOut ?? [],
    steps: [
      ...known.map((step) => (step.key === key ? { ...step, minutes } : step)),
      ...(has ? [] : [{ key, minutes, note: '' }]),
    ],
  };
}
