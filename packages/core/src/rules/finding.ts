import type { Finding, MarginUnit, RuleId } from './rule.js';

/** Comfort of what is not one of degree: beyond all others, and a number that JSON can carry. */
export const BOUNDLESS = 1e6;

/** A finding that is clear and not one of degree. */
export const clear = (ruleId: RuleId): Finding => ({
  ruleId,
  level: 'clear',
  margin: null,
  unit: 'none',
  comfort: BOUNDLESS,
});

/** A finding that blocks and is not one of degree. */
export const blocked = (ruleId: RuleId): Finding => ({
  ruleId,
  level: 'block',
  margin: null,
  unit: 'none',
  comfort: -BOUNDLESS,
});

/** The facts that the rule reads are missing. */
export const unknown = (ruleId: RuleId): Finding => ({
  ruleId,
  level: 'unknown',
  margin: null,
  unit: 'none',
  comfort: -1,
});

interface Degree {
  readonly margin: number;
  readonly unit: MarginUnit;
  /** Margin over this is comfort; 1 is comfortable. */
  readonly scale: number;
  readonly actual: number | null;
  readonly limit: number;
}

/** A finding that is one of degree: clear at or within its limit, else as told. */
export function ofDegree(ruleId: RuleId, beyond: 'block' | 'condition', degree: Degree): Finding {
  const { margin, unit, scale, actual, limit } = degree;
  return {
    ruleId,
    level: margin < 0 ? beyond : 'clear',
    margin,
    unit,
    comfort: scale > 0 ? margin / scale : margin,
    actual,
    limit,
  };
}
