import type { PlanStanding } from '@keen/core';
import { Button } from '@mantine/core';
import { stopSearch } from '../../api/plan-queries.js';
import type { Format } from '../../format/format.js';
import { noticeOfFailure } from '../../parts/notices.js';
import classes from './standing.module.css';

/** How good the plan is: its value, the most that any plan could be worth, and what is still open between them. */
export function Standing({
  standing,
  isRenewed,
  format,
}: {
  readonly standing: PlanStanding;
  readonly isRenewed: boolean;
  readonly format: Format;
}) {
  const openMinor = standing.boundMinor - standing.valueMinor;
  const isSearching = standing.state === 'searching';
  return (
    <p className={classes.standing} aria-live="polite">
      Worth <strong className="figure">{format.money(standing.valueMinor)}</strong> (estimated; prices are
      judgement);{' '}
      {standing.status === 'proven' ? (
        <>proven: no plan is worth more, with starts on the hour as they are offered.</>
      ) : (
        <>
          no plan is worth more than <span className="figure">{format.money(standing.boundMinor)}</span>, so{' '}
          <span className="figure">{format.money(openMinor)}</span> is open.{' '}
          {isSearching && 'Still looking …'}
          {standing.state === 'stopped' && 'Stopped; the best so far is kept.'}
          {standing.state === 'failed' && 'The search failed; the best so far is kept.'}
        </>
      )}
      {isRenewed && ' Recalculating …'}
      {isSearching && (
        <Button size="compact-sm" variant="default" onClick={() => void stopSearch().catch(noticeOfFailure)}>
          Stop
        </Button>
      )}
    </p>
  );
}
