import type { TrialAnswer, VerdictKind } from '@keen/core';
import { useFormat } from '../../format/use-format.js';
import { VerdictSwatch } from '../../parts/verdict-patterns.js';
import { standingText, takingText } from '../../words/trial-words.js';
import classes from './own-way.module.css';

interface TrialLineProps {
  readonly tried: TrialAnswer | undefined;
  readonly shipped: TrialAnswer | undefined;
  readonly isStale: boolean;
  /** Why nothing can be said; null: it can. */
  readonly failure: string | null;
}

const kindOf = ({ standing }: TrialAnswer): VerdictKind => standing;

/** How the wash goes in these steps, beside the way that ships. */
export function TrialLine({ tried, shipped, isStale, failure }: TrialLineProps) {
  const format = useFormat();
  if (failure) return <p className={classes.trial}>{failure}</p>;
  if (!tried) return <p className={classes.trial}>Working these steps through…</p>;
  return (
    <div className={classes.trial} role="status" data-stale={isStale || undefined}>
      <p>
        <VerdictSwatch verdict={kindOf(tried)} />
        <strong>{standingText(tried, format)}</strong>
      </p>
      <dl>
        <div>
          <dt>In these steps</dt>
          <dd>{takingText(tried, format)}</dd>
        </div>
        {shipped && (
          <div>
            <dt>As it ships</dt>
            <dd>{takingText(shipped, format)}</dd>
          </div>
        )}
      </dl>
    </div>
  );
}
