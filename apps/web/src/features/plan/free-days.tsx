import type { Format } from '../../format/format.js';
import classes from './board.module.css';
import type { DayStrip } from './plan-view.js';

interface FreeDaysProps {
  /** In order, each the day after the one before. */
  readonly strips: readonly DayStrip[];
  readonly format: Format;
}

/** Days on which nothing stands, as one line. */
export function FreeDays({ strips, format }: FreeDaysProps) {
  const [first, last] = [strips[0], strips.at(-1)].map((strip) => format.dayShort(strip?.fromMs ?? 0));
  return (
    <p className={classes.free}>
      <strong>{first === last ? first : `${first} to ${last}`}</strong> nothing planned
    </p>
  );
}
