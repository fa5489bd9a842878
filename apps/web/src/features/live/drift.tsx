import type { RunMoment } from '@keen/core';
import { useFormat } from '../../format/use-format.js';
import classes from './drift.module.css';

const ALIKE_MINUTES = 1;

/** How the run compares with the plan: minutes, money, light. */
export function Drift({ moment }: { readonly moment: RunMoment }) {
  const format = useFormat();
  const { drift } = moment;
  if (!drift) return null;
  const { minutes, endMs, moneyMinor, lightMinutes } = drift;
  const late =
    Math.abs(minutes) < ALIKE_MINUTES
      ? 'to plan'
      : `${format.minutes(Math.abs(minutes))} ${minutes > 0 ? 'behind' : 'ahead'}`;
  return (
    <dl className={classes.drift}>
      <div data-warn={minutes > 10 || undefined}>
        <dt>Done at</dt>
        <dd className="figure">{format.time(endMs)}</dd>
        <dd>{late}</dd>
      </div>
      {moneyMinor !== null && (
        <div data-warn={moneyMinor > 0 || undefined}>
          <dt>Meter</dt>
          <dd className="figure">{format.money(moneyMinor)}</dd>
          <dd>{moneyMinor > 0 ? 'over estimate' : moneyMinor < 0 ? 'under estimate' : 'to estimate'}</dd>
        </div>
      )}
      {lightMinutes !== null && (
        <div data-warn={lightMinutes < 0 || undefined}>
          <dt>Light</dt>
          <dd className="figure">{format.minutes(Math.abs(lightMinutes))}</dd>
          <dd>{lightMinutes < 0 ? 'too short' : 'left when done'}</dd>
        </div>
      )}
    </dl>
  );
}
