import type { FilmTrace } from '@keen/core';
import type { Format } from '../../format/format.js';
import { linePath, tempScaleOf } from './lab-view.js';
import classes from './lab.module.css';

export const LEFT = 62;

export const RIGHT = 14;

export const TEMP = { top: 14, height: 168 };

export const WATER = { top: 214, height: 128 };

export const BRINE = { top: 372, height: 62 };

/** What the parts of the drawing share. */
export interface Frame {
  readonly trace: FilmTrace;
  /** From minutes to the drawing. */
  readonly x: (minute: number) => number;
  readonly width: number;
  readonly minutes: number;
  readonly bottom: number;
  readonly format: Format;
}

export function Temperatures({
  trace: { points },
  x,
  width,
  format,
  airTempC,
}: Frame & { readonly airTempC: number }) {
  const temps = tempScaleOf(points, airTempC);
  const yTemp = (tempC: number): number => TEMP.top + (1 - temps.at(tempC)) * TEMP.height;
  return (
    <>
      {[temps.low, 0, temps.high].map((tempC) => (
        <g key={tempC}>
          <line
            x1={LEFT}
            x2={width - RIGHT}
            y1={yTemp(tempC)}
            y2={yTemp(tempC)}
            stroke={tempC === 0 ? 'var(--kr-ice)' : 'var(--kr-line)'}
            strokeDasharray={tempC === 0 ? '7 4' : undefined}
            strokeWidth={1.4}
          />
          <text x={LEFT - 6} y={yTemp(tempC)} textAnchor="end" dominantBaseline="central">
            {format.temp(tempC)}
          </text>
        </g>
      ))}
      <line
        x1={LEFT}
        x2={width - RIGHT}
        y1={yTemp(airTempC)}
        y2={yTemp(airTempC)}
        stroke="var(--kr-slate)"
        strokeDasharray="2 4"
      />
      <text x={width - RIGHT} y={yTemp(airTempC) - 7} textAnchor="end" className={classes.quiet}>
        air
      </text>
      <path
        d={linePath(points, ({ tempC }) => tempC, { x, y: yTemp })}
        fill="none"
        stroke="var(--kr-ink)"
        strokeWidth={2.6}
      />
      <text x={LEFT} y={TEMP.top - 4} className={classes.quiet}>
        Panel and film
      </text>
    </>
  );
}

export function Waters({ trace: { points }, x, width }: Frame) {
  const mostWater = Math.max(1, ...points.map(({ waterGramsPerM2 }) => waterGramsPerM2));
  const yWater = (grams: number): number => WATER.top + (1 - grams / mostWater) * WATER.height;
  const endX = x(points.at(-1)?.minutes ?? 0);
  const water = linePath(points, ({ waterGramsPerM2 }) => waterGramsPerM2, { x, y: yWater });
  const ice = linePath(points, ({ iceGramsPerM2 }) => iceGramsPerM2, { x, y: yWater });
  const floor = WATER.top + WATER.height;
  return (
    <>
      <path d={`${water}L${endX} ${floor}L${LEFT} ${floor}z`} fill="var(--kr-brine-fill)" opacity={0.4} />
      <path d={water} fill="none" stroke="var(--kr-brine)" strokeWidth={2} />
      <path d={`${ice}L${endX} ${floor}L${LEFT} ${floor}z`} fill="url(#lab-ice)" />
      <line x1={LEFT} x2={width - RIGHT} y1={floor} y2={floor} stroke="var(--kr-line)" />
      <text x={LEFT - 6} y={WATER.top + 6} textAnchor="end">
        {mostWater.toFixed(0)} g/m²
      </text>
      <text x={LEFT} y={WATER.top - 8} className={classes.quiet}>
        Water (plain), of it ice (hatched)
      </text>
    </>
  );
}

export function Strengths({ trace: { points }, x }: Frame) {
  const mostSalt = Math.max(1, ...points.map(({ massPercent }) => massPercent));
  const ySalt = (percent: number): number => BRINE.top + (1 - percent / mostSalt) * BRINE.height;
  return (
    <>
      <path
        d={linePath(points, ({ massPercent }) => massPercent, { x, y: ySalt })}
        fill="none"
        stroke="var(--kr-salt)"
        strokeWidth={2}
      />
      <text x={LEFT - 6} y={BRINE.top + 6} textAnchor="end">
        {mostSalt.toFixed(0)} %
      </text>
      <text x={LEFT} y={BRINE.top - 8} className={classes.quiet}>
        Strength of what is liquid
      </text>
    </>
  );
}

export function Events({
  trace,
  x,
  width,
  minutes,
  bottom,
  format,
  wipeNeededMinutes,
}: Frame & { readonly wipeNeededMinutes: number }) {
  const events = [
    { at: trace.firstIceMinutes, label: 'first ice', color: 'var(--kr-ice)' },
    { at: trace.dryMinutes, label: 'dry', color: 'var(--kr-ink)' },
    { at: wipeNeededMinutes, label: 'wiped by', color: 'var(--kr-muted)' },
  ];
  return (
    <>
      {events.map(({ at, label, color }, i) =>
        at === null || at > minutes ? null : (
          <g key={label}>
            <line x1={x(at)} x2={x(at)} y1={TEMP.top} y2={bottom} stroke={color} strokeWidth={2.2} />
            <text
              x={x(at) + (x(at) > width * 0.8 ? -5 : 5)}
              y={TEMP.top + 14 + i * 16}
              textAnchor={x(at) > width * 0.8 ? 'end' : 'start'}
              className={classes.event}
              style={{ fill: color }}
              stroke="var(--kr-panel)"
              strokeWidth={3.5}
              paintOrder="stroke"
            >
              {label} {format.minutes(at)}
            </text>
          </g>
        ),
      )}
    </>
  );
}
