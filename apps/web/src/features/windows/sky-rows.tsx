import { MS_PER_HOUR, type ForecastHour, type WindowsView } from '@keen/core';
import type { Format } from '../../format/format.js';
import { linePoints, runsOf, spreadPoints } from '../../parts/hour-lines.js';
import { DAY_HEIGHT, SKY_HEIGHT, tempScale } from './ribbon-view.js';

interface SkyRowsProps {
  readonly view: WindowsView;
  readonly hours: readonly ForecastHour[];
  readonly cellWidth: number;
  readonly format: Format;
}

/** Days, daylight, the air with its spread, the freeze line and what falls, on the ribbon's time axis. */
export function SkyRows({ view, hours, cellWidth, format }: SkyRowsProps) {
  const scale = tempScale(hours);
  const width = view.hourCount * cellWidth;
  const x = (atMs: number): number => ((atMs - view.fromMs) / MS_PER_HOUR) * cellWidth;
  const runs = runsOf(hours);
  const starts = hours.filter(
    (hour, i) => i === 0 || format.dayKey(hour.atMs) !== format.dayKey(hours[i - 1]?.atMs ?? 0),
  );
  return (
    <g>
      <rect y={DAY_HEIGHT} width={width} height={SKY_HEIGHT} fill="var(--kr-night)" />
      {view.days.map(({ sunriseMs, sunsetMs }) => (
        <rect
          key={sunriseMs}
          x={x(sunriseMs)}
          y={DAY_HEIGHT}
          width={x(sunsetMs) - x(sunriseMs)}
          height={SKY_HEIGHT}
          fill="var(--kr-panel)"
        />
      ))}
      {starts.map(({ atMs }, i) => (
        <g key={atMs}>
          <line x1={x(atMs)} x2={x(atMs)} y1={0} y2="100%" stroke="var(--kr-line)" />
          <text x={x(atMs) + 5} y={15} fontWeight={i === 0 ? 700 : 500}>
            {i === 0 && x(starts[1]?.atMs ?? 0) < 70 ? '' : format.dayShort(atMs)}
          </text>
        </g>
      ))}
      <g transform={`translate(0 ${DAY_HEIGHT})`}>
        {runs.map((run) => (
          <polygon
            key={run[0]?.atMs}
            points={spreadPoints(run, { x, y: scale.y })}
            fill="var(--kr-ice)"
            opacity={0.22}
          />
        ))}
        <line
          x1={0}
          x2={width}
          y1={scale.y(0)}
          y2={scale.y(0)}
          stroke="var(--kr-ice)"
          strokeWidth={1.5}
          strokeDasharray="7 4"
        />
        {runs.map((run) => (
          <polyline
            key={run[0]?.atMs}
            points={linePoints(
              run.map(({ atMs, airTempC }) => ({ atMs, value: airTempC })),
              { x, y: scale.y },
            )}
            fill="none"
            stroke="var(--kr-ink)"
            strokeWidth={2}
          />
        ))}
        {hours.map((hour) =>
          hour.precipMm > 0.05 ? (
            <rect
              key={hour.atMs}
              x={x(hour.atMs) + 0.15 * cellWidth}
              width={cellWidth * 0.7}
              y={SKY_HEIGHT - Math.min(30, hour.precipMm * 12)}
              height={Math.min(30, hour.precipMm * 12)}
              fill="var(--kr-ice)"
              opacity={hour.precipKind === 'snow' ? 0.5 : 0.9}
            />
          ) : null,
        )}
        {hours.map((hour) =>
          format.hourOfDay(hour.atMs) % (cellWidth < 12 ? 12 : 6) === 0 ? (
            <text
              key={hour.atMs}
              x={x(hour.atMs) + 2}
              y={SKY_HEIGHT - 4}
              style={{ fontSize: 11, fill: 'var(--kr-muted)' }}
            >
              {String(format.hourOfDay(hour.atMs)).padStart(2, '0')}
            </text>
          ) : null,
        )}
      </g>
    </g>
  );
}
