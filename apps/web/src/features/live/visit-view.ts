import { type CarNow, type Hold, type RunMoment, type RunState, turnOf } from '@keen/core';
import type { LiveRun } from './use-live-run.js';

const SECONDS_PER_MINUTE = 60;

/** A run as one of two that one pair of hands goes between. */
export function carNow({ state, moment }: { readonly state: RunState; readonly moment: RunMoment }): CarNow {
  const steps = state.steps.filter((one) => one.state !== 'skipped');
  return {
    steps: steps.map(({ step }) => step),
    doneCount: steps.filter((one) => one.state === 'done').length,
    isAtWork: steps.some((one) => one.state === 'running'),
    lying: moment.dwells.map(({ step, earliestInSeconds, latestInSeconds }) => ({
      step: step.step,
      earliest: earliestInSeconds / SECONDS_PER_MINUTE,
      latest: latestInSeconds / SECONDS_PER_MINUTE,
    })),
  };
}

/** The same when its step at work is done. */
const afterStep = (car: CarNow): CarNow =>
  car.isAtWork ? { ...car, doneCount: car.doneCount + 1, isAtWork: false } : car;

export interface VisitNow {
  /** Which car the hands are at, or go to; null: both are done. */
  readonly car: 0 | 1 | null;
  /** Which they go to when the step at work is done; null: both are done then. */
  readonly then: 0 | 1 | null;
}

/** Where the hands are in a visit of two cars, and where they go next. */
export function visitNow([first, second]: readonly [LiveRun, LiveRun], hold: Hold): VisitNow {
  const a = carNow(first);
  const b = carNow(second);
  const now = turnOf([a, b], hold);
  return { car: now?.car ?? null, then: turnOf([afterStep(a), afterStep(b)], hold)?.car ?? null };
}
