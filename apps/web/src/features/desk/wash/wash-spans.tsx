import type { WashSumAnswer } from '@keen/core';
import { useFormat } from '../../../format/use-format.js';
import classes from './wash.module.css';

interface SpansProps {
  readonly answer: WashSumAnswer;
}

/** The figures of each span of the wash. */
export function WashSpans({ answer }: SpansProps) {
  const format = useFormat();
  const at = (minute: number | null): string => (minute === null ? 'none' : format.minutes(minute));
  return (
    <div className={classes.scroll} role="region" aria-label="From each event to the next" tabIndex={0}>
      <table className={classes.table} aria-label="From each event to the next">
        <thead>
          <tr>
            <th>Event</th>
            <th>Begins at</th>
            <th>First ice</th>
            <th>Dry</th>
            <th>Coldest</th>
            <th>Water left</th>
            <th>Ice left</th>
          </tr>
        </thead>
        <tbody>
          {answer.spans.map((span, i) => (
            <tr key={i}>
              <td className="figure">{i + 1}</td>
              <td className="figure">{format.temp(span.startTempC)}</td>
              <td className="figure">{at(span.firstIceMinute)}</td>
              <td className="figure">{at(span.dryMinute)}</td>
              <td className="figure">{format.temp(span.lowestTempC)}</td>
              <td className="figure">{span.endWaterGramsPerM2.toFixed(1)} g/m²</td>
              <td className="figure">{span.endIceGramsPerM2.toFixed(1)} g/m²</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
