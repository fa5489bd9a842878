import { useMediaQuery } from '@mantine/hooks';
import type { FilmTrace } from '@keen/core';
import type { Format } from '../../format/format.js';
import { drawnMinutes, minuteTicks } from './lab-view.js';
import classes from './lab.module.css';
import {
  LEFT,
  RIGHT,
  TEMP,
  WATER,
  BRINE,
  type Frame,
  Temperatures,
  Waters,
  Strengths,
  Events,
} from './life-parts.js';

interface LifeDrawingProps {
  readonly trace: FilmTrace;
  readonly airTempC: number;
  readonly horizonMinutes: number;
  readonly wipeNeededMinutes: number;
  readonly hasBrine: boolean;
  readonly format: Format;
}

const WIDE = 720;

const NARROW = 380;

const AXIS_Y = 18;

/** The film's life: its temperature above, water and ice below, and the strength of a brine under them, on one time axis. */
export function LifeDrawing(props: LifeDrawingProps) {
  const { trace, airTempC, horizonMinutes, wipeNeededMinutes, hasBrine, format } = props;
  const isNarrow = useMediaQuery('(max-width: 48em)', false, { getInitialValueInEffect: false });
  const width = isNarrow ? NARROW : WIDE;
  const minutes = drawnMinutes(trace, horizonMinutes);
  const x = (at: number): number => LEFT + (Math.min(at, minutes) / minutes) * (width - LEFT - RIGHT);
  const bottom = hasBrine ? BRINE.top + BRINE.height : WATER.top + WATER.height;
  const frame: Frame = { trace, x, width, minutes, bottom, format };
  return (
    <svg
      viewBox={`0 0 ${width} ${bottom + 2 * AXIS_Y}`}
      className={classes.drawing}
      role="img"
      aria-label={`Life of the film over ${format.minutes(minutes)}; the figures stand beside it and in the table below.`}
    >
      <defs>
        <pattern
          id="lab-ice"
          width="7"
          height="7"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width="7" height="7" fill="var(--kr-ice)" opacity="0.35" />
          <rect width="2.4" height="7" fill="var(--kr-ice)" />
        </pattern>
      </defs>
      <Temperatures {...frame} airTempC={airTempC} />
      <Waters {...frame} />
      {hasBrine && <Strengths {...frame} />}

      {minuteTicks(minutes, isNarrow ? 4 : 7).map((tick) => (
        <g key={tick}>
          <line x1={x(tick)} x2={x(tick)} y1={TEMP.top} y2={bottom} stroke="var(--kr-line)" opacity={0.5} />
          <text x={x(tick)} y={bottom + AXIS_Y} textAnchor="middle">
            {tick}
          </text>
        </g>
      ))}
      <text x={width - RIGHT} y={bottom + 2 * AXIS_Y - 4} textAnchor="end" className={classes.quiet}>
        minutes from the last rinse
      </text>
      <Events {...frame} wipeNeededMinutes={wipeNeededMinutes} />
    </svg>
  );
}
