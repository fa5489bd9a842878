import { type Method, stageFaults, type WashStep, type WayId } from '../method/index.js';
import { type WashTotals, washTotals } from '../plan/index.js';
import type { Finding, Judgement } from '../rules/index.js';
import { type StepFault, type StepFix, stepFix } from '../run/index.js';
import type { TrialQuestion } from './question.js';
import { packOf } from './run-pack.js';
import type { Tools } from './tools.js';

/** What is wrong with one step of an order that is tried, and what would mend it. */
export interface TrialFault {
  /** Of the step in the order; null: it is not a step of the order, as work of the season. */
  readonly key: string | null;
  readonly id: WashStep['id'];
  readonly fault: StepFault;
  /** null: nothing that the order could say. */
  readonly fix: StepFix | null;
}

/** A wash in an order that somebody tries out. */
export interface TrialAnswer extends WashTotals {
  readonly standing: Judgement['standing'];
  readonly wayId: WayId;
  readonly limiting: Finding;
  /** What blocks it, and what it depends on. */
  readonly against: readonly Finding[];
  readonly faults: readonly TrialFault[];
}

/** What is wrong with the places that somebody gave the steps: without these it is done in one place. */
const ofPlaces = (method: Method): TrialFault[] =>
  stageFaults(method).map(({ step, fault }) => ({
    key: step.key ?? null,
    id: step.id,
    fault,
    fix: stepFix(fault, step),
  }));

/**
 * How would this wash go in these steps, and what is wrong with their order?
 *
 * @returns verdict, minutes, litres and money of the wash as it would be done, and the faults of its steps, each once however many parts
 * of the car it is done on; null where nobody knows that hour's weather
 */
export function trialAnswer(question: TrialQuestion, tools: Pick<Tools, 'keep'>): TrialAnswer | null {
  const made = packOf(question, tools);
  if (!made) return null;
  const { draft, judged } = made;
  const { method, place, sheet } = draft;
  const faults = sheet.steps.flatMap(({ key = null, id, faults: found }, i) =>
    found.map((fault): TrialFault => {
      const step = method.steps[i];
      return { key, id, fault, fix: step ? stepFix(fault, step) : null };
    }),
  );
  const all = place.finish ? [...faults, ...ofPlaces(method)] : faults;
  const isNew = (one: TrialFault, i: number): boolean =>
    all.findIndex((other) => JSON.stringify(other) === JSON.stringify(one)) === i;
  const { standing, limiting, findings } = judged.judgement;
  return {
    ...washTotals(place, method),
    standing,
    wayId: judged.wayId,
    limiting,
    against: findings.filter(({ level }) => level === 'block' || level === 'condition'),
    faults: all.filter(isNew),
  };
}
