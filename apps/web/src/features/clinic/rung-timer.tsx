import { useEffect, useState } from 'react';
import { clockText } from '../../parts/clock-text.js';
import classes from './clinic.module.css';

interface RungTimerProps {
  /** Shortest and longest dwell, s. */
  readonly from: number;
  readonly to: number;
}

/** The dwell of a rung: from when it may come off, and by when it must. */
export function RungTimer({ from, to }: RungTimerProps) {
  const [startedMs, setStartedMs] = useState<number | null>(null);
  const [nowMs, setNowMs] = useState(0);
  useEffect(() => {
    if (startedMs === null) return;
    const timer = setInterval(() => setNowMs(Date.now()), 250);
    return () => clearInterval(timer);
  }, [startedMs]);
  if (startedMs === null)
    return (
      <button
        type="button"
        className={classes.start}
        onClick={() => {
          setStartedMs(Date.now());
          setNowMs(Date.now());
        }}
      >
        Start the dwell: {clockText(from)} to {clockText(to)}
      </button>
    );
  const seconds = Math.max(0, nowMs - startedMs) / 1000;
  const isOver = seconds >= to;
  return (
    <p className={classes.timer} data-over={isOver || undefined} role="timer">
      <span className="figure">{clockText(Math.max(0, to - seconds))}</span>
      {isOver
        ? 'Take it off now'
        : seconds < from
          ? `wait ${clockText(from - seconds)} more`
          : 'may come off'}
    </p>
  );
}
