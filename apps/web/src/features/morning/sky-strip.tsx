import { useWeather } from '../../api/queries.js';
import { useFormat } from '../../format/use-format.js';
import classes from './sky-strip.module.css';
import { dayExtremes } from './sky-view.js';

/** The coming day in figures: range, wind, what falls; with its origin. */
export function SkyStrip() {
  const format = useFormat();
  const { data } = useWeather();
  if (!data) return null;
  const day = dayExtremes(data.ahead);
  if (!day) return null;
  const figures = [
    { label: 'Next 24 h, coldest', value: format.temp(day.coldestC) },
    { label: 'Warmest', value: format.temp(day.warmestC) },
    { label: 'Strongest wind', value: format.wind(day.strongestMetresPerSecond) },
    { label: 'Rain and snow', value: `${day.precipMm.toFixed(1)} mm` },
    {
      label: 'Crosses freezing',
      value: day.firstThawMs === null ? 'no' : `thaws ${format.time(day.firstThawMs)}`,
    },
  ];
  return (
    <dl className={classes.strip}>
      {figures.map(({ label, value }) => (
        <div key={label}>
          <dt>{label}</dt>
          <dd className="figure">{value}</dd>
        </div>
      ))}
      <div>
        <dt>Forecast ({data.source})</dt>
        <dd>
          issued {format.dayTime(data.issuedMs)}, {data.memberCount} variants
        </dd>
      </div>
    </dl>
  );
}
