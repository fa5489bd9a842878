import type { Finding, Judgement, RuleId } from '../rules/index.js';
import type { WaterOutcome } from '../wash/index.js';

export const blocksOf = ({ findings }: Pick<Judgement, 'findings'>): Finding[] =>
  findings.filter(({ level }) => level === 'block');

export const NOTHING: ReadonlySet<RuleId> = new Set();
export function blockingIds(findings: readonly Finding[]): ReadonlySet<RuleId> {
  const blocking = findings.filter(({ level }) => level === 'block');
  return blocking.length === 0 ? NOTHING : new Set(blocking.map(({ ruleId }) => ruleId));
}

/** Is it the water of the drying that fails, which smaller parts of the drying would help? */
export const isOfLastWater = ({ ice, product }: WaterOutcome, blocked: ReadonlySet<RuleId>): boolean =>
  !(blocked.has('ice-on-car') && ice.step !== 'final-rinse') &&
  !(blocked.has('dry-on') && product.step !== null);

export const rulesOf = (findings: readonly Finding[]): ReadonlySet<RuleId> =>
  new Set(findings.map(({ ruleId }) => ruleId));
