import { type PartId, STEP_KINDS, type WashPanel, type WashStepId } from '@keen/core';
import { useFormat } from '../format/use-format.js';
import { stripOf } from './wash-strip-view.js';
import classes from './wash-strip.module.css';

interface WashStripProps {
  readonly panels: readonly WashPanel[];
  /** In the order of the wash. */
  readonly steps: readonly {
    readonly id: WashStepId;
    readonly fromMinute: number;
    readonly minutes: number;
    /** The part of the car that it is done on; null: all of it. */
    readonly part?: PartId | null;
  }[];
  readonly minutes: number;
}

const STATES = [
  { state: 'soaped', label: 'soaped' },
  { state: 'wet', label: 'rinsed, wet' },
  { state: 'wiped', label: 'blown or wiped' },
] as const;

/** The wash, panel by panel on one time axis: what lies there when, and when it would freeze or dry if no hand came. */
export function WashStrip({ panels, steps, minutes }: WashStripProps) {
  const format = useFormat();
  const rows = stripOf(panels, {
    kindOf: (index) => {
      const id = steps[index]?.id;
      return id ? STEP_KINDS[id] : null;
    },
    partOf: (index) => steps[index]?.part ?? null,
  });
  const drive = steps.find(({ id }) => id === 'drive-on');
  const share = (minute: number): string => `${Math.min(100, (minute / minutes) * 100)}%`;
  return (
    <section className={classes.box} aria-label="The wash, panel by panel">
      <h2>The wash, panel by panel</h2>
      <ul className={classes.rows}>
        {rows.map(({ key, name, stretches, ends }) => (
          <li key={key}>
            <span className={classes.name}>{name}</span>
            <span className={classes.lane}>
              {drive && (
                <span
                  className={classes.drive}
                  data-stage="drive"
                  style={{ left: share(drive.fromMinute), width: share(drive.minutes) }}
                />
              )}
              {stretches.map(({ state, fromMinute, toMinute }, i) => (
                <span
                  key={i}
                  className={classes.stretch}
                  data-state={state}
                  style={{ left: share(fromMinute), width: share(toMinute - fromMinute) }}
                />
              ))}
              {ends.map(({ kind, minute, isTooSoon }, i) => (
                <span
                  key={i}
                  className={classes.end}
                  data-kind={kind}
                  data-soon={isTooSoon || undefined}
                  style={{ left: share(minute) }}
                  title={`${kind === 'ice' ? 'freezes' : 'dries'} at ${format.minutes(minute)}${isTooSoon ? ', before anything comes to it' : ' if nothing comes to it'}`}
                />
              ))}
            </span>
          </li>
        ))}
      </ul>
      <p className={classes.axis}>
        <span>0</span>
        <span className="figure">{format.minutes(minutes)}</span>
      </p>
      <p className={classes.legend}>
        {STATES.map(({ state, label }) => (
          <span key={state}>
            <span className={classes.swatch} data-state={state} aria-hidden /> {label}
          </span>
        ))}
        {drive && (
          <span>
            <span className={classes.swatch} data-state="drive" aria-hidden /> on the road, then at the second
            place
          </span>
        )}
        <span>
          <span className={classes.swatch} data-kind="ice" aria-hidden /> would freeze
        </span>
        <span>
          <span className={classes.swatch} data-kind="dry" aria-hidden /> would dry
        </span>
      </p>
    </section>
  );
}
