import { useClock, useWeather } from '../api/queries.js';
import { useFormat } from '../format/use-format.js';
import classes from './frame.module.css';

/** The time, and the air outside as last forecast for this hour. */
export function NowStrip() {
  const format = useFormat();
  const { data: clock } = useClock();
  const { data: weather } = useWeather();
  const hour = weather?.ahead[0];
  if (!clock) return null;
  return (
    <div className={classes.now}>
      <span>{format.dayShort(clock.nowMs)}</span>
      <span className="figure">{format.time(clock.nowMs)}</span>
      {hour && <span className="figure">{format.temp(hour.airTempC)}</span>}
    </div>
  );
}
