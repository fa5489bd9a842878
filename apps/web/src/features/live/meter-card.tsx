import type { RunDeed, RunMoment } from '@keen/core';
import { useFormat } from '../../format/use-format.js';
import { clockText } from '../../parts/clock-text.js';
import classes from './live.module.css';

interface MeterCardProps {
  readonly moment: RunMoment;
  readonly act: (...deeds: readonly RunDeed[]) => void;
}

/** The place's meter: what is left of what is paid, and paid against estimated. */
export function MeterCard({ moment, act }: MeterCardProps) {
  const format = useFormat();
  const { meter } = moment;
  if (!meter) return null;
  const { isOn, leftSeconds, nextMinor, paidMinor, estimateMinor } = meter;
  return (
    <section className={classes.meter} data-on={isOn || undefined} aria-label="Meter">
      <div>
        <p className={classes.kicker}>Meter {isOn ? 'runs' : 'is off'}</p>
        <p className={classes.meterClock}>
          <span className="figure">{leftSeconds === null ? '–:––' : clockText(leftSeconds)}</span>{' '}
          {leftSeconds === null
            ? `starting costs ${format.money(nextMinor)}`
            : `paid, then ${format.money(nextMinor)} more`}
        </p>
        <p>
          {format.money(paidMinor)} paid of {format.money(estimateMinor)} estimated
        </p>
      </div>
      <button type="button" onClick={() => act({ kind: isOn ? 'meter-off' : 'meter-on' })}>
        {isOn ? 'Stop' : 'Start'}
      </button>
    </section>
  );
}
