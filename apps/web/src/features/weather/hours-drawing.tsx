import { MS_PER_HOUR, type WeatherAnswer } from '@keen/core';
import { useFormat } from '../../format/use-format.js';
import { linePoints, runsOf, spreadPoints } from '../../parts/hour-lines.js';
import { airRange, sourceRuns } from './weather-view.js';
import classes from './weather.module.css';

const HOUR_WIDTH = 5;
const AIR_TOP = 22;
const AIR_HEIGHT = 120;
const TOLD_TOP = AIR_TOP + AIR_HEIGHT + 10;
const TOLD_HEIGHT = 22;

type ToX = (atMs: number) => number;

/** Rain and snow as bars, from the floor of the air up. */
function Falling({ hours, x }: { readonly hours: WeatherAnswer['past']; readonly x: ToX }) {
  return hours
    .filter(({ precipMm }) => precipMm > 0.05)
    .map(({ atMs, precipMm, precipKind }) => (
      <rect
        key={atMs}
        x={x(atMs)}
        width={HOUR_WIDTH - 1}
        y={AIR_TOP + AIR_HEIGHT - Math.min(36, precipMm * 12)}
        height={Math.min(36, precipMm * 12)}
        fill="var(--kr-ice)"
        opacity={precipKind === 'snow' ? 0.5 : 0.9}
      />
    ));
}

/** Who said what each hour is. */
function SourceRow({ hourSources, x }: Pick<WeatherAnswer, 'hourSources'> & { readonly x: ToX }) {
  return (
    <>
      <defs>
        <pattern
          id="nobody-knows"
          width="7"
          height="7"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width="7" height="7" fill="var(--kr-panel)" />
          <rect width="2" height="7" fill="var(--kr-slate)" />
        </pattern>
      </defs>
      {sourceRuns(hourSources).map(({ fromMs: atMs, hourCount, source, isKnown }) => (
        <g key={atMs}>
          <rect
            x={x(atMs)}
            y={TOLD_TOP}
            width={hourCount * HOUR_WIDTH}
            height={TOLD_HEIGHT}
            fill={isKnown ? 'var(--kr-slate-soft)' : 'url(#nobody-knows)'}
            stroke="var(--kr-slate)"
            strokeWidth={0.5}
          />
          {isKnown && hourCount * HOUR_WIDTH > 8 * (source ?? '').length && (
            <text x={x(atMs) + 5} y={TOLD_TOP + 15}>
              {source}
            </text>
          )}
        </g>
      ))}
    </>
  );
}

/** The last day and what is to come: the air with its spread, what falls, and where from. */
export function HoursDrawing({ view }: { readonly view: WeatherAnswer }) {
  const format = useFormat();
  const { hourSources, past, ahead, fromMs } = view;
  const startMs = hourSources[0]?.atMs ?? fromMs;
  const width = hourSources.length * HOUR_WIDTH;
  const { lowC, highC } = airRange(view);
  const x = (atMs: number): number => ((atMs - startMs) / MS_PER_HOUR) * HOUR_WIDTH;
  const y = (tempC: number): number => AIR_TOP + ((highC - tempC) / (highC - lowC)) * AIR_HEIGHT;
  const days = hourSources.filter(
    ({ atMs }, i) => i === 0 || format.dayKey(atMs) !== format.dayKey(hourSources[i - 1]?.atMs ?? 0),
  );
  const line = [...past, ...ahead];
  return (
    <div className={classes.scroll} tabIndex={0} role="region" aria-label="Air and where from">
      <svg
        width={width}
        height={TOLD_TOP + TOLD_HEIGHT + 2}
        role="img"
        aria-label="Air temperature of the last day and the days to come, and where from. The table below holds the same."
      >
        {days.map(({ atMs }, i) => (
          <g key={atMs}>
            <line x1={x(atMs)} x2={x(atMs)} y1={0} y2="100%" stroke="var(--kr-line)" />
            {(i > 0 || x(days[1]?.atMs ?? Infinity) > 70) && (
              <text x={x(atMs) + 4} y={14}>
                {format.dayShort(atMs)}
              </text>
            )}
          </g>
        ))}
        {runsOf(ahead).map((run) => (
          <polygon
            key={run[0]?.atMs}
            points={spreadPoints(run, { x, y })}
            fill="var(--kr-ice)"
            opacity={0.22}
          />
        ))}
        <line
          x1={0}
          x2={width}
          y1={y(0)}
          y2={y(0)}
          stroke="var(--kr-ice)"
          strokeDasharray="7 4"
          strokeWidth={1.5}
        />
        <Falling hours={line} x={x} />
        {runsOf(line).map((run) => (
          <polyline
            key={run[0]?.atMs}
            points={linePoints(
              run.map(({ atMs, airTempC }) => ({ atMs, value: airTempC })),
              { x, y },
            )}
            fill="none"
            stroke="var(--kr-ink)"
            strokeWidth={2}
          />
        ))}
        <line x1={x(fromMs)} x2={x(fromMs)} y1={16} y2="100%" stroke="var(--kr-ink)" strokeWidth={2} />
        <text x={x(fromMs) + 4} y={AIR_TOP + 12} fontWeight={700}>
          now
        </text>
        {[highC, 0, lowC].map((tempC) => (
          <text
            key={tempC}
            x={4}
            y={Math.min(AIR_TOP + AIR_HEIGHT - 4, y(tempC) + (tempC === highC ? 11 : -3))}
          >
            {format.temp(tempC)}
          </text>
        ))}
        <SourceRow hourSources={hourSources} x={x} />
      </svg>
    </div>
  );
}
