import { useWeather } from '../../api/queries.js';
import { useFormat } from '../../format/use-format.js';
import { Page } from '../../parts/page.js';
import { Empty, Failed, Loading } from '../../parts/states.js';
import { HoursDrawing } from './hours-drawing.js';
import { HoursTable } from './hours-table.js';
import { ReadHours } from './read-hours.js';
import { SeeNow } from './see-now.js';
import { Sources } from './sources.js';
import classes from './weather.module.css';

/** What the weather is and will be, where from, and what one sees oneself. */
export function WeatherPage() {
  const format = useFormat();
  const { data: view, error, refetch } = useWeather();
  return (
    <Page
      title="Weather"
      lead={
        view
          ? `${view.source} is used first: forecast of ${format.dayTime(view.issuedMs)}, ${view.memberCount} variants.`
          : undefined
      }
    >
      {error && <Failed error={error} onRetry={() => void refetch()} />}
      {!error && !view && <Loading what="Fetching the weather" />}
      {view && view.ahead.length === 0 && (
        <Empty title="Nobody knows the hours to come">
          <span>Let a source count that tells a forecast, or read one below.</span>
        </Empty>
      )}
      {view && (
        <>
          <section className={classes.box}>
            <HoursDrawing view={view} />
          </section>
          <div className={classes.grid}>
            <SeeNow />
            <Sources />
          </div>
          <ReadHours />
          <HoursTable view={view} />
        </>
      )}
    </Page>
  );
}
