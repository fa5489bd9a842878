import type { Finding } from '@keen/core';
import type { Format } from '../format/format.js';
import { marginText } from '../words/finding-figures.js';
import classes from './margin-gauge.module.css';

/** How much of the scale lies on each side of the limit, in margins that are comfortable. */
const BEYOND = 1;
const WITHIN = 2;

/** Where a margin stands on the scale, 0 at its left end, 1 at its right one; what is further off stands at the end. */
export const needleAt = (comfort: number): number =>
  (Math.min(WITHIN, Math.max(-BEYOND, comfort)) + BEYOND) / (BEYOND + WITHIN);

const LIMIT_AT = needleAt(0);
const percent = (share: number): string => `${Math.round(1000 * share) / 10}%`;

/** Whether a rule is one of degree, and decides here: a limit that is passed and does not count is a wish. */
export const hasGauge = ({ margin, comfort }: Pick<Finding, 'margin' | 'comfort'>): boolean =>
  margin !== null && margin < 0 === comfort < 0;

interface MarginGaugeProps {
  readonly finding: Pick<Finding, 'margin' | 'unit' | 'comfort'>;
  readonly format: Format;
}

/**
 * How far something is from its limit, drawn: the limit as a tick, what is within it solid to its right, what is beyond it hatched to its
 * left, a needle where it stands. Nothing where the rule is not one of degree, or does not decide here.
 */
export function MarginGauge({ finding, format }: MarginGaugeProps) {
  const { margin, unit, comfort } = finding;
  if (margin === null || !hasGauge(finding)) return null;
  const at = needleAt(comfort);
  const isBeyond = margin < 0;
  const [from, to] = isBeyond ? [at, LIMIT_AT] : [LIMIT_AT, at];
  const told = `${marginText(Math.abs(margin), unit, format)} ${isBeyond ? 'beyond' : 'from'} the limit`;
  return (
    <span className={classes.gauge} role="img" aria-label={told} title={told}>
      <span
        className={classes.fill}
        data-side={isBeyond ? 'beyond' : 'within'}
        style={{ left: percent(from), width: percent(to - from) }}
      />
      <span className={classes.limit} style={{ left: percent(LIMIT_AT) }} />
      <span className={classes.needle} style={{ left: percent(at) }} />
    </span>
  );
}
