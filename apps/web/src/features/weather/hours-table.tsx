import type { WeatherAnswer } from '@keen/core';
import { useFormat } from '../../format/use-format.js';
import { FALL_NAMES, WEATHER_FIELD_NAMES } from '../../words/names.js';
import classes from './weather.module.css';

/** Hour by hour what is known and where from; what nobody knows says so. */
export function HoursTable({ view }: { readonly view: WeatherAnswer }) {
  const format = useFormat();
  const known = new Map([...view.past, ...view.ahead].map((hour) => [hour.atMs, hour]));
  return (
    <details className={classes.box}>
      <summary>Hour by hour, as a table</summary>
      <div className={classes.tall} tabIndex={0} role="region" aria-label="Hours of weather">
        <table className={classes.table}>
          <thead>
            <tr>
              <th>Hour</th>
              <th>Air</th>
              <th>Dew point</th>
              <th>Wind</th>
              <th>Cloud</th>
              <th>Falls</th>
              <th>HourSource by</th>
            </tr>
          </thead>
          <tbody>
            {view.hourSources.map(({ atMs, source, missing }) => {
              const hour = known.get(atMs);
              return (
                <tr key={atMs}>
                  <th scope="row">{format.dayTime(atMs)}</th>
                  {hour ? (
                    <>
                      <td className="figure">{format.temp(hour.airTempC)}</td>
                      <td className="figure">{format.temp(hour.dewPointC)}</td>
                      <td className="figure">{format.wind(hour.windMetresPerSecond)}</td>
                      <td className="figure">{format.share(hour.cloudFraction)}</td>
                      <td className="figure">
                        {hour.precipMm > 0
                          ? `${format.fall(hour.precipMm)} ${FALL_NAMES[hour.precipKind]}`
                          : 'nothing'}
                      </td>
                    </>
                  ) : (
                    <td colSpan={5}>
                      Not known: no source has {missing.map((field) => WEATHER_FIELD_NAMES[field]).join(', ')}
                    </td>
                  )}
                  <td>{source ?? 'nobody'}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
    </details>
  );
}
