import { endOf } from '@keen/core';
import { Link } from 'react-router';
import { useClock, useWeather } from '../api/queries.js';
import { useKnownMorning } from '../api/plan-queries.js';
import { useWashes } from '../api/wash-queries.js';
import type { Format } from '../format/format.js';
import { useFormat } from '../format/use-format.js';
import {
  type ColdRuler as Ruler,
  coldRuler,
  HEIGHT,
  HOUR_WIDTH,
  labelsOf,
  RULER_HOURS,
  type Stretch,
  stretchOf,
} from './cold-ruler-view.js';
import classes from './cold-ruler.module.css';

/** The picture in words. */
function rulerText(
  { coldestC, warmestC, thaws }: Ruler,
  { plannedCount, source }: { readonly plannedCount: number; readonly source: string },
  format: Format,
): string {
  const range = `Next 24 hours: ${format.temp(coldestC)} to ${format.temp(warmestC)}`;
  const spans = thaws.map(({ fromMs, toMs }) => `${format.time(fromMs)} to ${format.time(toMs)}`);
  const cold = thaws.length === 0 ? 'never above freezing' : `above freezing ${spans.join(', ')}`;
  const planned = plannedCount === 0 ? 'no wash planned' : `${plannedCount} planned`;
  return `${range}, ${cold} (forecast, ${source}); ${planned}. To the weather`;
}

const placed = ({ from, to }: Stretch) => ({ left: `${from * 100}%`, width: `${(to - from) * 100}%` });

/** Stretches of the coming day on which washes are planned, and on which others would go. */
function useStretches(fromMs: number) {
  const { data: washes = [] } = useWashes();
  const { data: morning } = useKnownMorning();
  const planned = washes.filter(({ status }) => status === 'planned');
  const going = (morning?.answers ?? []).flatMap(({ best }) => best ?? []);
  return {
    planned: planned.flatMap(
      (wash) => stretchOf(fromMs, { startMs: wash.startMs, endMs: endOf(wash) }) ?? [],
    ),
    going: going.flatMap((window) => stretchOf(fromMs, window) ?? []),
  };
}

function Drawn({
  ruler,
  nowMs,
  source,
}: {
  readonly ruler: Ruler;
  readonly nowMs: number;
  readonly source: string;
}) {
  const format = useFormat();
  const { planned, going } = useStretches(ruler.fromMs);
  const needle = stretchOf(ruler.fromMs, { startMs: ruler.fromMs, endMs: nowMs })?.to ?? 0;
  return (
    <Link
      to="/weather"
      className={`${classes.ruler} no-print`}
      aria-label={rulerText(ruler, { plannedCount: planned.length, source }, format)}
    >
      <svg
        viewBox={`0 0 ${RULER_HOURS * HOUR_WIDTH} ${HEIGHT}`}
        preserveAspectRatio="none"
        aria-hidden="true"
      >
        <path className={classes.cold} d={ruler.cold} />
        {ruler.freezingY !== null && (
          <line
            className={classes.freezing}
            x1={0}
            x2={RULER_HOURS * HOUR_WIDTH}
            y1={ruler.freezingY}
            y2={ruler.freezingY}
          />
        )}
        <path className={classes.air} d={ruler.air} />
      </svg>
      <div aria-hidden="true">
        {ruler.freezingY !== null && (
          <span className={classes.zero} style={{ top: `clamp(9px, ${ruler.freezingY}px, ${HEIGHT - 9}px)` }}>
            {format.temp(0).replace(/[.,]0+/, '')}
          </span>
        )}
        {labelsOf(ruler, format.hourOfDay).map(({ atMs, share }) => (
          <span key={atMs} className={classes.hour} style={{ left: `${share * 100}%` }}>
            {format.time(atMs)}
          </span>
        ))}
        {going.map((stretch) => (
          <span key={`goes ${stretch.from}`} className={classes.going} style={placed(stretch)} />
        ))}
        {planned.map((stretch) => (
          <span key={`planned ${stretch.from}`} className={classes.planned} style={placed(stretch)} />
        ))}
        <span className={classes.needle} style={{ left: `${needle * 100}%` }} />
        <span className={`figure ${classes.now}`} style={{ left: `${needle * 100}%` }}>
          {format.time(nowMs)} {format.temp(ruler.nowC)}
        </span>
        <span className={classes.source}>{source}</span>
      </div>
    </Link>
  );
}

/** The next day as a strip under the bar: the air against freezing, what is planned and what would go, and where in it one stands. */
export function ColdRuler() {
  const { data: clock } = useClock();
  const { data: weather } = useWeather();
  const ruler = weather && coldRuler(weather.ahead);
  if (!clock || !ruler) return <div className={classes.empty} />;
  return <Drawn ruler={ruler} nowMs={clock.nowMs} source={weather.source} />;
}
