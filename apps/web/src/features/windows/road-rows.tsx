import type { RoadState, WindowsView } from '@keen/core';
import { ROAD_STATE_NAMES } from '../../words/names.js';
import { CLOCK_HEIGHT, ROAD_HEIGHT, roadRuns } from './ribbon-view.js';

interface RoadRowsProps {
  readonly hours: WindowsView['hours'];
  readonly y: number;
  readonly cellWidth: number;
}

/** Filled further up the wetter and whiter the road is; its word stands in it where there is room. */
const ROAD_FILL: Readonly<Record<RoadState, { share: number; fill: string }>> = {
  dry: { share: 0.12, fill: 'var(--kr-slate)' },
  damp: { share: 0.3, fill: 'var(--kr-slate)' },
  wet: { share: 0.6, fill: 'var(--kr-brine-fill)' },
  slush: { share: 0.85, fill: 'var(--kr-brine-fill)' },
  snow: { share: 1, fill: 'var(--kr-ice)' },
  ice: { share: 0.7, fill: 'var(--kr-ice)' },
};
const UNKNOWN_FILL = { share: 1, fill: 'url(#verdict-unknown)' };
const PX_A_LETTER = 7;
/** The clock at full pace at 20 °C is drawn full. */
const FULL_PACE = 2;

/** The main road and how fast the salt clock runs, on the ribbon's time axis. */
export function RoadRows({ hours, y, cellWidth }: RoadRowsProps) {
  const clockY = y + ROAD_HEIGHT + 5;
  return (
    <g transform={`translate(0 ${y})`}>
      {roadRuns(hours).map(({ from, length, state }) => {
        const { share, fill } = state ? ROAD_FILL[state] : UNKNOWN_FILL;
        const word = state ? ROAD_STATE_NAMES[state] : 'not known';
        const width = length * cellWidth;
        return (
          <g key={from}>
            <rect
              x={from * cellWidth}
              width={width}
              y={ROAD_HEIGHT * (1 - share)}
              height={ROAD_HEIGHT * share}
              fill={fill}
              opacity={0.45}
            />
            {width > word.length * PX_A_LETTER + 6 && (
              <text x={from * cellWidth + 4} y={ROAD_HEIGHT - 6} style={{ fontSize: 11 }}>
                {word}
              </text>
            )}
          </g>
        );
      })}
      <g transform={`translate(0 ${clockY - y})`}>
        {hours.map(({ pace }, i) =>
          pace > 0 ? (
            <rect
              key={i}
              x={i * cellWidth}
              width={cellWidth}
              y={CLOCK_HEIGHT * (1 - Math.min(1, pace / FULL_PACE))}
              height={CLOCK_HEIGHT * Math.min(1, pace / FULL_PACE)}
              fill="var(--kr-salt)"
              opacity={0.75}
            />
          ) : null,
        )}
        <line
          x1={0}
          x2={hours.length * cellWidth}
          y1={CLOCK_HEIGHT}
          y2={CLOCK_HEIGHT}
          stroke="var(--kr-line)"
        />
      </g>
    </g>
  );
}
