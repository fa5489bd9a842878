import type { RunPack } from '@keen/core';
import { useFormat } from '../../format/use-format.js';
import { sunNowText } from '../../words/sun-words.js';
import classes from './sun-now.module.css';

/** Which side the sun is on now, and when that changes; nothing where no beam falls on the car. */
export function SunNow({
  pack,
  nowMs,
}: {
  readonly pack: Pick<RunPack, 'sunLine' | 'place'>;
  readonly nowMs: number;
}) {
  const format = useFormat();
  const text = pack.sunLine
    ? sunNowText({ ...pack.sunLine, dryingSpot: pack.place.dryingSpot }, nowMs, format)
    : null;
  return text === null ? null : <p className={classes.sun}>{text}</p>;
}
