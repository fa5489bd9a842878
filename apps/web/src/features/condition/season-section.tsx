import type { ConditionView } from '@keen/core';
import { useFormat } from '../../format/use-format.js';
import { SEASON_JOB_NAMES, TARGET_NAMES } from '../../words/car-names.js';
import classes from './condition.module.css';

const STATES = { due: 'due', done: 'done for this season', later: 'not yet' } as const;

/** What the car may bear between two washes and has borne, and where the season's work on it stands. */
export function SeasonSection({ condition }: { readonly condition: ConditionView }) {
  const format = useFormat();
  const { target, season } = condition;
  const digits = target.kind === 'active-hours' ? 1 : 0;
  return (
    <section className={classes.box}>
      <h2>Between washes, and over the season</h2>
      <p>
        {TARGET_NAMES[target.kind]} since the last wash:{' '}
        <strong className="figure">
          {target.used.toFixed(digits)} of {target.most}
        </strong>{' '}
        <span className="muted">
          ({target.kind === 'days' ? 'counted' : 'estimated by the salt ledger'}); wanted by{' '}
          {format.dayShort(target.dueMs)}
        </span>
      </p>
      {season.length === 0 ? (
        <p className="muted">No seasonal jobs are wanted for this car.</p>
      ) : (
        <table className={classes.season}>
          <thead>
            <tr>
              <th>Seasonal jobs</th>
              <th>Last done</th>
              <th>Stands</th>
            </tr>
          </thead>
          <tbody>
            {season.map(({ jobId, lastDoneMs, state, dueMs, wornMs }) => (
              <tr key={jobId}>
                <th scope="row">{SEASON_JOB_NAMES[jobId]}</th>
                <td>{lastDoneMs === null ? 'not logged' : format.dayShort(lastDoneMs)}</td>
                <td>
                  {STATES[state]}
                  {wornMs !== undefined
                    ? `: what protects it is worn by ${format.dayShort(wornMs)}, before the chance after the next wash (estimated)`
                    : state === 'due'
                      ? ` since ${format.dayShort(dueMs)}`
                      : `, again from ${format.dayShort(dueMs)}`}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <p className="muted">The plan puts what is due with a wash whose place, method and hour suit it.</p>
    </section>
  );
}
