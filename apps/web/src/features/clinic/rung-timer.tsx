import { useEffect, useState } from 'react';
import { useDraft } from '../../parts/drafts.js';
import { clockText } from '../../parts/clock-text.js';
import classes from './clinic.module.css';

interface RungTimerProps {
  /** Shortest and longest dwell, s. */
  readonly from: number;
  readonly to: number;
  /** Of the rung in this case: its dwell goes on over a reload. */
  readonly name: string;
}

/** The dwell of a rung: from when it may come off, and by when it must. */
export function RungTimer({ from, to, name }: RungTimerProps) {
  const { value, set } = useDraft<{ name: string | null; startedMs: number | null }>('spot-dwell', {
    name: null,
    startedMs: null,
  });
  const startedMs = value.name === name ? value.startedMs : null;
  const [nowMs, setNowMs] = useState(() => Date.now());
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
          const beganMs = Date.now();
          set({ name, startedMs: beganMs });
          setNowMs(beganMs);
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
