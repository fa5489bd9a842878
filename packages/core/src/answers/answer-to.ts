import { balanceAnswer } from './balance.js';
import { cadenceAnswer } from './cadence.js';
import { type CellAnswer, cellAnswer, flipsAnswer } from './cell.js';
import { type CoatRecord, coatsAnswer } from './coats.js';
import { type ConditionAnswer, conditionAnswer } from './condition.js';
import {
  type MadePlan,
  morningsAnswer,
  movesAnswer,
  planAnswerOf,
  planTellAnswer,
  reliefsAnswer,
} from './plan.js';
import type { MorningsQuestion, Question } from './question.js';
import { type PackDraft, runPackAnswer } from './run-pack.js';
import { type SaltAnswer, saltAnswer } from './salt.js';
import type { Tools } from './tools.js';
import { type TrialAnswer, trialAnswer } from './trial.js';
import { type WashAnswer, washAnswer } from './wash.js';
import { type WayOption, waysAnswer } from './ways.js';
import { type WeekAnswer, weekAnswer } from './week.js';
import type { BalanceRow, CadenceOutcome, PlanAnswer, PlanOption, WorthOfRelief } from '../plan/index.js';
import type { Flip } from '../verdict/index.js';

/** Questions whose bands and mornings are worth keeping, and which take long. */
export const LONG_QUESTIONS: ReadonlySet<Question['kind']> = new Set([
  'week',
  'plan',
  'plan-tell',
  'moves',
  'reliefs',
  'balance',
]);

/** Questions whose answer comes in parts before it is whole. */
export const PARTIAL_QUESTIONS: ReadonlySet<Question['kind']> = new Set(['plan']);

/**
 * What others may be asked meanwhile so that a question is answered sooner, and how many parts they share with it; null: nobody can
 * help. It is worth it only where all find what the others keep.
 */
export function helpWith(question: Question): { partCount: number; ask: MorningsQuestion } | null {
  if (question.kind !== 'plan') return null;
  return { partCount: question.cars.length, ask: { ...question, kind: 'mornings' } };
}

/** The answer to each kind of question. */
export interface Answers {
  week: WeekAnswer;
  plan: MadePlan;
  mornings: null;
  'plan-tell': PlanAnswer;
  moves: PlanOption[];
  reliefs: WorthOfRelief[];
  salt: SaltAnswer;
  condition: ConditionAnswer;
  coats: CoatRecord[];
  cell: CellAnswer;
  wash: WashAnswer | null;
  ways: WayOption[];
  'run-pack': PackDraft | null;
  trial: TrialAnswer | null;
  flips: Flip[];
  balance: BalanceRow[];
  cadence: CadenceOutcome[];
}

const ANSWERERS: {
  readonly [K in Question['kind']]: (question: Extract<Question, { kind: K }>, tools: Tools) => Answers[K];
} = {
  week: weekAnswer,
  plan: planAnswerOf,
  mornings: morningsAnswer,
  'plan-tell': planTellAnswer,
  moves: movesAnswer,
  reliefs: reliefsAnswer,
  salt: saltAnswer,
  condition: conditionAnswer,
  coats: coatsAnswer,
  cell: cellAnswer,
  wash: washAnswer,
  ways: waysAnswer,
  'run-pack': runPackAnswer,
  trial: trialAnswer,
  flips: flipsAnswer,
  balance: balanceAnswer,
  cadence: cadenceAnswer,
};

/**
 * The answer to a question about the shop.
 *
 * @param question with all the facts that it rests on
 * @param tools what is kept between questions, who is told of progress, and a clock for searches
 * @throws FieldError where a fact is out of its range, RangeError where a name is none of the shop's
 */
export function answerTo<K extends Question['kind']>(
  question: Extract<Question, { kind: K }>,
  tools: Tools,
): Answers[K] {
  return ANSWERERS[question.kind](question, tools);
}
