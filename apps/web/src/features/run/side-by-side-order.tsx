import { type RunPack, sideBySide } from '@keen/core';
import { useFormat } from '../../format/use-format.js';
import { RUN_STEP_NAMES } from '../../words/run-words.js';
import classes from './run.module.css';

interface SideBySideOrderProps {
  readonly pair: readonly [RunPack, RunPack];
  readonly names: readonly string[];
}

/** Both cars in one order, for one pair of hands. */
export function SideBySideOrder({ pair: [first, second], names }: SideBySideOrderProps) {
  const format = useFormat();
  const { steps, minutes, savedMinutes } = sideBySide(first.sheet.steps, second.sheet.steps);
  return (
    <section className={`${classes.box} ${classes.across}`}>
      <h2>Both side by side</h2>
      <p>
        {format.minutes(minutes)} from the first step to the last
        {savedMinutes > 0 && `, ${format.minutes(savedMinutes)} less than one after the other`} (estimated;
        one pair of hands; a running meter is not left for the other car).
      </p>
      <ol className={classes.shared}>
        {steps.map(({ car, step, fromMinute, minutes: hands, waitMinutes, overMinutes }, i) => (
          <li key={i} data-car={car}>
            <span className="figure">{format.minutes(fromMinute)}</span>
            <span>
              <strong>{names[car]}</strong>: {RUN_STEP_NAMES[step.id].toLowerCase()}, {format.minutes(hands)}
              {waitMinutes > 0 && ` (after waiting ${format.minutes(waitMinutes)})`}
              {overMinutes > 0 && (
                <span className={classes.warn}>
                  {' '}
                  what lies on it is {format.minutes(overMinutes)} over: wet it again meanwhile
                </span>
              )}
            </span>
          </li>
        ))}
      </ol>
    </section>
  );
}
