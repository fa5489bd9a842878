import type { FilmTrace } from '@keen/core';
import { useMemo } from 'react';
import type { Format } from '../../format/format.js';
import { MarginGauge } from '../../parts/margin-gauge.js';
import { type EdgeKind, edgeKind, wipeMargin } from './lab-view.js';
import classes from './lab.module.css';

interface HeadlineProps {
  readonly trace: FilmTrace;
  readonly wipeMinutes: number;
  readonly inHandFraction: number;
  readonly format: Format;
}

const EDGE_WORDS: Readonly<Record<EdgeKind, string>> = {
  freezes: 'it freezes first',
  dries: 'it dries first',
  neither: 'neither dry nor ice in this time',
};

function marginSentence(kind: EdgeKind, marginMinutes: number | null, format: Format): string {
  if (marginMinutes === null) return 'It stays wet for as long as it is followed: there is time to wipe it.';
  const ends = kind === 'freezes' ? 'freezes' : 'dries';
  return marginMinutes < 0
    ? `It ${ends} ${format.minutes(-marginMinutes)} too early to be wiped.`
    : `It can be wiped, with ${format.minutes(marginMinutes)} left before it ${ends}.`;
}

/** The wet edge, what ends it, and how far it is from the time that wiping takes. */
export function Headline({ trace, wipeMinutes, inHandFraction, format }: HeadlineProps) {
  const kind = edgeKind(trace);
  const { marginMinutes, neededMinutes } = wipeMargin(trace, wipeMinutes, inHandFraction);
  const isShort = marginMinutes !== null && marginMinutes < 0;
  const facts = useMemo(
    () =>
      [
        ['Dry after', trace.dryMinutes === null ? 'later' : format.minutes(trace.dryMinutes)],
        ['First ice', trace.firstIceMinutes === null ? 'never' : format.minutes(trace.firstIceMinutes)],
        ['Coldest', format.temp(trace.lowestTempC)],
        ['Warmest', format.temp(trace.highestTempC)],
        ['Dry panel settles at', format.temp(trace.dryPanelTempC)],
        ['Wet panel settles at', format.temp(trace.wetPanelTempC)],
      ] as const,
    [trace, format],
  );
  return (
    <div className={classes.headline} aria-live="polite">
      <p className={classes.edge} data-short={isShort}>
        <span className={classes.label}>Time before it dries or freezes</span>
        <strong className="figure">
          {trace.wetEdgeMinutes === null ? 'open' : format.minutes(trace.wetEdgeMinutes)}
        </strong>
        <span>{EDGE_WORDS[kind]}</span>
      </p>
      <div className={classes.margin}>
        {marginMinutes !== null && (
          <MarginGauge
            finding={{ margin: marginMinutes, unit: 'min', comfort: marginMinutes / neededMinutes }}
            format={format}
          />
        )}
        <p>{marginSentence(kind, marginMinutes, format)}</p>
        <p className="muted">Wiping needs {format.minutes(neededMinutes)} with time in hand.</p>
      </div>
      <dl className={classes.facts}>
        {facts.map(([name, value]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd className="figure">{value}</dd>
          </div>
        ))}
      </dl>
    </div>
  );
}

const TABLE_ROWS = 24;

export function TraceTable({ trace, format }: { readonly trace: FilmTrace; readonly format: Format }) {
  const every = Math.max(1, Math.ceil(trace.points.length / TABLE_ROWS));
  const rows = trace.points.filter((_, i) => i % every === 0 || i === trace.points.length - 1);
  return (
    <details>
      <summary>As a table</summary>
      <table className={classes.table}>
        <thead>
          <tr>
            <th scope="col">After</th>
            <th scope="col">Temperature</th>
            <th scope="col">Water, g/m²</th>
            <th scope="col">Ice, g/m²</th>
            <th scope="col">Salt, %</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((point) => (
            <tr key={point.minutes}>
              <th scope="row" className="figure">
                {format.minutes(point.minutes)}
              </th>
              <td className="figure">{format.temp(point.tempC)}</td>
              <td className="figure">{point.waterGramsPerM2.toFixed(1)}</td>
              <td className="figure">{point.iceGramsPerM2.toFixed(1)}</td>
              <td className="figure">{point.massPercent.toFixed(1)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
