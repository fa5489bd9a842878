import { closedRun, type RunPack, type RunState } from '@keen/core';
import { Link } from 'react-router';
import { useFormat } from '../../format/use-format.js';
import { FREEZE_CARE_NAMES } from '../../words/car-names.js';
import classes from './live.module.css';

/** After the close: what went into the log, and what the night wants. */
export function Closed({ pack, state }: { readonly pack: RunPack; readonly state: RunState }) {
  const format = useFormat();
  const closed = closedRun(pack, state);
  if (!closed) return null;
  const { freezeCare } = pack.sheet;
  return (
    <div className={classes.column}>
      <section className={classes.step}>
        <p className={classes.kicker}>In the log</p>
        <h2>Run closed</h2>
        <p>
          {format.minutes(closed.minutes)}, {format.money(closed.costMinor)}
          {closed.record.waterMinutes !== null &&
            `, ${format.minutes(closed.record.waterMinutes)} on the meter`}
          .
        </p>
        <Link to="/washes">To the log</Link>
      </section>
      <section className={classes.card}>
        <h2>Freeze care tonight</h2>
        {freezeCare.length === 0 ? (
          <p>Nothing is needed: down to {format.temp(pack.overnightC ?? 0)} where it stands (forecast).</p>
        ) : (
          <ul>
            {freezeCare.map(({ id, beyondK }) => (
              <li key={id}>
                {FREEZE_CARE_NAMES[id]}
                {pack.overnightC !== null && (
                  <span className="muted"> (below {format.temp(pack.overnightC + beyondK)}, judgement)</span>
                )}
              </li>
            ))}
          </ul>
        )}
      </section>
    </div>
  );
}
