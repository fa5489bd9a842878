import { Button } from '@mantine/core';
import { type Band } from '@keen/core';
import { VerdictPatterns, VerdictSwatch } from '../../parts/verdict-patterns.js';
import { VERDICT_WORDS } from '../../words/names.js';
import { everGoes } from './week-view.js';
import classes from './ribbon.module.css';

interface FoldButtonProps {
  readonly bands: readonly Band[];
  readonly isAllShown: boolean;
  readonly onFold: () => void;
}

/** Ways that never go this week are folded away; nothing is offered where all go, or none. */
export function FoldButton({ bands, isAllShown, onFold }: FoldButtonProps) {
  const never = bands.filter((band) => !everGoes(band)).length;
  if (never === 0 || never === bands.length) return null;
  const ways = never === 1 ? 'the way that never goes' : `the ${never} ways that never go`;
  return (
    <Button variant="default" size="compact-md" onClick={onFold}>
      {isAllShown ? 'Hide' : 'Show'} {ways} this week
    </Button>
  );
}

export function Legend() {
  return (
    <div className={classes.legend}>
      {(['go', 'go-if', 'wait', 'no', 'unknown'] as const).map((verdict) => (
        <span key={verdict}>
          <VerdictSwatch verdict={verdict} /> {VERDICT_WORDS[verdict]}
        </span>
      ))}
      <span>
        <svg width={18} height={18} aria-hidden="true">
          <VerdictPatterns />
          <rect width={18} height={18} rx={3} fill="var(--kr-brine-soft)" />
          <rect width={18} height={18} rx={3} fill="url(#members-disagree)" />
        </svg>
        Forecasts differ
      </span>
      <span className="muted">Paler: closer to its limit</span>
    </div>
  );
}
