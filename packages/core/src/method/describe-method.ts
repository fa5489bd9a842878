import { ZONE_GROUPS } from '../vehicle/index.js';
import type { Method } from './method.js';
import { plainSum, sumOf } from './plain-sum.js';
import { STEP_KINDS } from './data/step-kinds.js';
import { removedBy } from './wash-step.js';

type Derived =
  | 'minutes'
  | 'productMinor'
  | 'warmestNeedC'
  | 'meterSeconds'
  | 'litres'
  | 'removes'
  | 'contact'
  | 'status'
  | 'strips'
  | 'leavesBare'
  | 'scope'
  | 'plainSteps'
  | 'wayId'
  | 'section';

/** What is written down of a method; the rest follows from its steps. */
export interface MethodRow extends Omit<Method, Derived> {
  readonly strips?: boolean;
}

/** What the products of these steps cost, whole minor units. */
export const productMinorOf = (steps: Method['steps']): number =>
  Math.round(sumOf(steps, ({ product }) => product?.costMinor ?? 0));

/** The warmest that a product needs which the method cannot do without, °C; null: any air will do. */
export function warmestNeedOf(steps: Method['steps']): number | null {
  const needs = steps.flatMap(({ product }) => (product?.isEssential ? (product.lowestWorkC ?? []) : []));
  return needs.length === 0 ? null : Math.max(...needs);
}

/** The whole method from its row: minutes, litres, paid seconds, what comes off, whether anything rubs the paint. */
export function describeMethod(row: MethodRow): Method {
  const { steps, setUpMinutes } = row;
  return {
    ...row,
    minutes: plainSum(setUpMinutes + sumOf(steps, ({ minutes }) => minutes)),
    meterSeconds: plainSum(60 * sumOf(steps, ({ minutes, onMeter }) => (onMeter ? minutes : 0))),
    litres: sumOf(steps, ({ litres }) => litres),
    productMinor: productMinorOf(steps),
    warmestNeedC: warmestNeedOf(steps),
    removes: removedBy(steps, ZONE_GROUPS),
    contact: steps.some(({ contact }) => contact),
    // Whatever does not reach the upper body is no wash.
    scope: row.ceilingGrade.upper > 0 ? 'wash' : 'in-between',
    strips: row.strips ?? false,
    leavesBare: row.strips === true && !steps.some(({ id }) => STEP_KINDS[id].lays || id === 'coat'),
    status: 'judgement',
  };
}

/** The same method with other steps: all its figures follow; hands are wet for the same share of it. */
export function withSteps(method: Method, steps: Method['steps']): Method {
  const before = sumOf(method.steps, ({ minutes }) => minutes);
  const after = sumOf(steps, ({ minutes }) => minutes);
  const handsMinutes =
    before > 0
      ? Math.min(plainSum((method.handsMinutes * after) / before), plainSum(method.setUpMinutes + after))
      : method.handsMinutes;
  return describeMethod({ ...method, steps, handsMinutes });
}
