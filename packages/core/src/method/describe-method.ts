import { ZONE_GROUPS } from '../vehicle/index.js';
import type { Method } from './method.js';
import { plainSum, sumOf } from './plain-sum.js';
import { removedBy } from './wash-step.js';

type Derived =
  | 'minutes'
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

/** The whole method from its row: minutes, litres, paid seconds, what comes off, whether anything rubs the paint. */
export function describeMethod(row: MethodRow): Method {
  const { steps, setUpMinutes } = row;
  return {
    ...row,
    minutes: plainSum(setUpMinutes + sumOf(steps, ({ minutes }) => minutes)),
    meterSeconds: plainSum(60 * sumOf(steps, ({ minutes, onMeter }) => (onMeter ? minutes : 0))),
    litres: sumOf(steps, ({ litres }) => litres),
    removes: removedBy(steps, ZONE_GROUPS),
    contact: steps.some(({ contact }) => contact),
    // Whatever does not reach the upper body is no wash.
    scope: row.ceilingGrade.upper > 0 ? 'wash' : 'in-between',
    strips: row.strips ?? false,
    leavesBare: row.strips === true && !steps.some(({ id }) => id === 'seal'),
    status: 'judgement',
  };
}
