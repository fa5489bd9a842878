import type { WashPoint, WashSumAnswer } from '@keen/core';
import { useFormat } from '../../../format/use-format.js';
import classes from './wash.module.css';

const WIDTH = 640;
const LEFT = 56;
const RIGHT = 12;
const TEMP = { top: 12, height: 150 };
const WATER = { top: 190, height: 90 };
const FLOOR = WATER.top + WATER.height;

interface WashPictureProps {
  readonly points: readonly WashPoint[];
  readonly answer: WashSumAnswer;
}

const path = (points: readonly (readonly [number, number])[]): string =>
  points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join(' ');

/** One panel's temperature, water and ice over its whole wash, on one time axis. */
export function WashPicture({ points, answer }: WashPictureProps) {
  const format = useFormat();
  const minutes = Math.max(1, points.at(-1)?.minute ?? 1);
  const temps = points.map(({ tempC }) => tempC);
  const [low, high] = [Math.min(-1, ...temps), Math.max(1, ...temps)];
  const most = Math.max(1, ...points.map(({ waterGramsPerM2 }) => waterGramsPerM2));
  const x = (minute: number): number => LEFT + (minute / minutes) * (WIDTH - LEFT - RIGHT);
  const yTemp = (tempC: number): number => TEMP.top + ((high - tempC) / (high - low)) * TEMP.height;
  const yWater = (grams: number): number => WATER.top + (1 - grams / most) * WATER.height;
  const area = (read: (point: WashPoint) => number): string =>
    `${path(points.map((point) => [x(point.minute), yWater(read(point))]))} L${x(minutes)} ${FLOOR} L${LEFT} ${FLOOR} Z`;
  const ice = answer.spans.flatMap(({ firstIceMinute }) => firstIceMinute ?? []);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${FLOOR + 34}`}
      className={classes.picture}
      role="img"
      aria-label={`The panel over ${format.minutes(minutes)}: temperature above, water and ice below; the figures stand in the table.`}
    >
      <line className={classes.zero} x1={LEFT} x2={WIDTH - RIGHT} y1={yTemp(0)} y2={yTemp(0)} />
      <text className={classes.label} x={LEFT - 8} y={yTemp(0) + 4} textAnchor="end">
        {format.temp(0)}
      </text>
      <text className={classes.label} x={LEFT - 8} y={TEMP.top + 10} textAnchor="end">
        {format.temp(high)}
      </text>
      <path className={classes.temp} d={path(points.map(({ minute, tempC }) => [x(minute), yTemp(tempC)]))} />
      <path className={classes.water} d={area(({ waterGramsPerM2 }) => waterGramsPerM2)} />
      <path className={classes.ice} d={area(({ iceGramsPerM2 }) => iceGramsPerM2)} />
      <text className={classes.label} x={LEFT - 8} y={WATER.top + 10} textAnchor="end">
        {most.toFixed(0)} g/m²
      </text>
      {answer.spans.map(({ atMinute }, i) => (
        <g key={i}>
          <line className={classes.event} x1={x(atMinute)} x2={x(atMinute)} y1={TEMP.top} y2={FLOOR} />
          <text className={classes.label} x={x(atMinute) + 3} y={FLOOR + 14}>
            {i + 1}
          </text>
        </g>
      ))}
      {ice.map((minute, i) => (
        <text key={i} className={classes.iceLabel} x={x(minute) + 3} y={yTemp(0) - 5}>
          ice {format.minutes(minute)}
        </text>
      ))}
      <text className={classes.label} x={WIDTH - RIGHT} y={FLOOR + 30} textAnchor="end">
        {format.minutes(minutes)}
      </text>
    </svg>
  );
}
