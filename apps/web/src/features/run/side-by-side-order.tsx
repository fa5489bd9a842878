import { Button, Group } from '@mantine/core';
import { type RunPack, visitOf } from '@keen/core';
import { Link } from 'react-router';
import { inverseOf, useChangeWashes } from '../../api/plan-queries.js';
import { useFormat } from '../../format/use-format.js';
import { sayWithUndo } from '../../parts/notices.js';
import { findingText } from '../../words/finding-words.js';
import { RUN_STEP_NAMES } from '../../words/run-words.js';
import { bucketText, holdText } from '../../words/visit-words.js';
import own from './side-by-side.module.css';
import classes from './run.module.css';

interface SideBySideOrderProps {
  readonly pair: readonly [RunPack, RunPack];
  readonly names: readonly string[];
  /** They are planned as one visit already. */
  readonly isPlanned: boolean;
}

/** Both cars as one visit: one order for one pair of hands, what goes wrong in it, and whether a bucket is shared. */
export function SideBySideOrder({ pair: [first, second], names, isPlanned }: SideBySideOrderProps) {
  const format = useFormat();
  const change = useChangeWashes();
  const visit = visitOf(first, second);
  if (!visit) return null;
  const { order, minutes, savedMinutes, against, bucket } = visit;
  const planTogether = (): void =>
    void sayWithUndo(
      change.mutateAsync({ move: [{ id: second.washId, visitWith: first.washId }] }),
      `${names.join(' and ')} are one visit now.`,
      (changed) => change.mutateAsync(inverseOf(changed)),
    );
  const goes = against.every((found) => found.length === 0);
  return (
    <section className={`${classes.box} ${own.across}`}>
      <h2>Both in one visit</h2>
      <p>
        <strong>{format.minutes(minutes)}</strong> from arriving to leaving
        {savedMinutes > 0 && `, ${format.minutes(savedMinutes)} less than one after the other`} (estimated,
        for one pair of hands).
      </p>
      <p>{holdText(visit)}</p>
      {against.flatMap((found, car) =>
        found.map((finding) => (
          <p key={`${car} ${finding.ruleId}`} className={classes.warn}>
            {names[car]}: {findingText(finding, format)}
          </p>
        )),
      )}
      <p>{bucketText(bucket, names)}</p>
      <ol className={own.shared}>
        {order.steps.map(({ car, step, fromMinute, minutes: hands, waitMinutes }, i) => (
          <li key={i} data-car={car}>
            <span className="figure">{format.minutes(fromMinute)}</span>
            <span>
              <strong>{names[car]}</strong>: {RUN_STEP_NAMES[step.id].toLowerCase()}, {format.minutes(hands)}
              {waitMinutes > 0 && ` (after waiting ${format.minutes(waitMinutes)})`}
            </span>
          </li>
        ))}
      </ol>
      {goes && (
        <Group className="no-print">
          <Button component={Link} to={`/visit/${first.washId}/${second.washId}`} color="lamp.3">
            Run both on this phone
          </Button>
          {!isPlanned && (
            <Button variant="default" loading={change.isPending} onClick={planTogether}>
              Plan them as one visit
            </Button>
          )}
        </Group>
      )}
    </section>
  );
}
