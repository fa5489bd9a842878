import { morningOf, planHours } from './morning.js';
import type {
  MorningsQuestion,
  MovesQuestion,
  PlanQuestion,
  PlanTellQuestion,
  ReliefsQuestion,
} from './question.js';
import { alone, type Team, type Tools } from './tools.js';
import { changesOf } from './window-changes.js';

import {
  type PlanAnswer,
  type PlanCase,
  type PlanOption,
  type PlanRequest,
  type VehicleMorning,
  type WorthOfRelief,
  earlyAnswer,
  ANY_HELPER,
  moveOptions,
  planAnswer,
  planCase,
  worthOfReliefs,
} from '../plan/index.js';
import { MS_PER_HOUR } from '../quantity/index.js';
import { type Schedule, type ScheduleProblem, goodSchedule } from '../schedule/index.js';
import type { CarFacts, ShopFacts } from '../shop/index.js';

/** A good plan is wanted within a second; proving it is another's work. */
const GOOD_PLAN_MS = 750;

/** One plan for all vehicles as first found. */
export interface MadePlan {
  readonly problem: ScheduleProblem;
  readonly schedule: Schedule;
  readonly horizonMs: number;
  /** What each vehicle needs; without its windows, which are many. */
  readonly mornings: readonly VehicleMorning[];
  readonly answer: PlanAnswer;
}

type OfCars = ShopFacts & Pick<PlanQuestion, 'cars' | 'facts'>;

/**
 * Others are called where one thread alone would take so long for what is left: each of them has to read and to compile everything first,
 * which takes longer than a price changed.
 */
const WORTH_HELP_MS = 3000;
/** What comes first for a car says little of the rest. */
const LEAST_SHARE = 0.5;

/** Works out the mornings of the cars that nobody has taken, in this order, and tells of each. */
function makeMornings(
  question: OfCars,
  { keep, report, clockMs }: Tools,
  { team, order }: { readonly team: Team; readonly order: readonly number[] },
): Map<number, VehicleMorning> {
  const made = new Map<number, VehicleMorning>();
  const total = question.cars.length;
  for (const i of order) {
    const car = question.cars[i];
    if (!car || !team.take(i)) continue;
    const label = car.vehicle.id;
    const beganMs = clockMs();
    const progress = (share: number): void => {
      const carMs = (clockMs() - beganMs) / Math.max(share, LEAST_SHARE);
      if (carMs * (total - team.doneCount) > WORTH_HELP_MS) team.call();
      report({ label, share: (team.doneCount + share) / total });
    };
    const morning = morningOf({ ...question, car }, keep, progress);
    made.set(i, morning);
    team.done(i);
    report({ label, share: team.doneCount / total, part: earlyAnswer(morning, question.nowMs) });
  }
  return made;
}

/** A share of the mornings of a plan, for the thread that makes the plan to find kept. */
export function morningsAnswer(question: MorningsQuestion, tools: Tools): null {
  const order = question.cars.map((_, i) => i).toReversed();
  makeMornings(question, tools, { team: tools.team ?? alone(), order });
  return null;
}

function planRequest(question: OfCars, tools: Tools): PlanRequest {
  const { keep, team = alone() } = tools;
  const { weather, facts, house, limits } = question;
  const mine = makeMornings(question, tools, { team, order: question.cars.map((_, i) => i) });
  const ofOthers = (car: CarFacts, i: number): VehicleMorning => {
    team.waitFor(i);
    return morningOf({ ...question, car }, keep, () => undefined);
  };
  const cars = question.cars.map((car, i) => {
    const morning = mine.get(i) ?? ofOthers(car, i);
    return {
      ...morning,
      cadenceDays: morning.due.everyDays,
      availability: car.availability,
      ...changesOf({ ...question, car }, keep),
    };
  });
  return {
    ...facts,
    cars,
    places: question.places,
    prices: question.prices,
    restMinutes: house.numbers.restMinutes,
    tolerableFraction: limits.tolerableBlockedFraction,
    timeZone: question.timeZone,
    nowMs: question.nowMs,
    horizonMs: weather.fromMs + planHours(weather) * MS_PER_HOUR,
  };
}

function goodPlan(problem: ScheduleProblem, clockMs: Tools['clockMs']): Schedule {
  const began = clockMs();
  return goodSchedule(problem, () => (clockMs() - began) / GOOD_PLAN_MS);
}

/** What is one good plan for all cars? With the problem behind it, so that it can be proven elsewhere. */
export function planAnswerOf(question: PlanQuestion, tools: Tools): MadePlan {
  const request = planRequest(question, tools);
  const made = planCase(request);
  const schedule = goodPlan(made.problem, tools.clockMs);
  return {
    problem: made.problem,
    schedule,
    horizonMs: request.horizonMs,
    mornings: request.cars.map(
      ({ windows: _windows, extrasOf: _extras, withChoices: _choices, ...morning }) => ({
        windows: [],
        ...morning,
      }),
    ),
    answer: planAnswer(request, made, schedule.chosen),
  };
}

/** What plan do these options of the same problem make? */
export function planTellAnswer(question: PlanTellQuestion, tools: Tools): PlanAnswer {
  const request = planRequest(question, tools);
  return planAnswer(request, planCase(request), question.chosen);
}

/** What would a little more of each limit be worth to the plan? */
export function reliefsAnswer(question: ReliefsQuestion, tools: Tools): WorthOfRelief[] {
  const { workers } = question.facts;
  // Help may come on days on which nobody else works.
  const facts = { ...question.facts, workers: [...workers, ANY_HELPER] };
  const request = {
    ...planRequest({ ...question, facts }, { ...tools, report: () => undefined }),
    workers,
  };
  const valueOf = ({ problem }: PlanCase): number => goodPlan(problem, tools.clockMs).value;
  return worthOfReliefs(request, valueOf, (share) => tools.report({ label: 'plan', share }));
}

/** Where else could the wash of one car stand, all others left where they are? */
export function movesAnswer(question: MovesQuestion, tools: Tools): PlanOption[] {
  const label = question.car.vehicle.id;
  const request = planRequest(
    { ...question, cars: [question.car] },
    { ...tools, report: ({ share }) => tools.report({ label, share }) },
  );
  return moveOptions(request, label);
}
