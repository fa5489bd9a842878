import { HOUSE_NUMBERS, LIMITS, PRICES, SEASON_JOBS, SEASON_NUMBERS, type SeasonJobRow } from '@keen/core';
import { useMayChange } from '../../api/access-queries.js';
import { useSaveSettings, useSettings } from '../../api/queries.js';
import { noticeOfFailure } from '../../parts/notices.js';
import { Page } from '../../parts/page.js';
import { Failed, Loading } from '../../parts/states.js';
import { SEASON_JOB_NAMES, SEASON_NAMES } from '../../words/car-names.js';
import { Accounts } from './accounts.js';
import { Backups } from './backups.js';
import { Calendars } from './calendars.js';
import { WorkersSection } from './workers.js';
import { HouseRules } from './house-rules.js';
import { NumberRows } from './number-rows.js';
import classes from './settings.module.css';
import { StartAgain } from './start-again.js';
import { Stock } from './stock.js';
import { capital, Units, DemoClock } from './units-section.js';

/** Units, limits and prices: what the program takes as given, and may be told otherwise. */
export function SettingsPage() {
  const { data: settings, error, isPending } = useSettings();
  const save = useSaveSettings();
  const mayChange = useMayChange();
  if (isPending)
    return (
      <Page title="Settings">
        <Loading what="Fetching the settings" />
      </Page>
    );
  if (error)
    return (
      <Page title="Settings">
        <Failed error={error} />
      </Page>
    );
  return (
    <Page title="Settings" lead="Judgement is labelled as such, and yours to change.">
      <Units settings={settings} onSave={(change) => save.mutate(change, { onError: noticeOfFailure })} />
      <DemoClock />
      <WorkersSection
        workers={settings.workers}
        onSave={(workers, read) => save.mutateAsync({ workers, was: { workers: read } })}
      />
      <Accounts workers={settings.workers} />
      <Calendars workers={settings.workers} />
      <section className={classes.box}>
        <h2>House rules</h2>
        <p className="muted" style={{ marginTop: 0 }}>
          Where good people disagree. Each choice moves verdicts, plans or sums at once, and says which.
        </p>
        <HouseRules
          choices={settings.house.choices}
          onChoose={(choices) => save.mutateAsync({ house: { choices } })}
        />
        <NumberRows
          rows={HOUSE_NUMBERS.map((row) => ({ ...row, origin: 'judgement' }))}
          values={settings.house.numbers}
          onSave={(id, value) => save.mutateAsync({ house: { numbers: { [id]: value } } })}
        />
      </section>
      <section className={classes.box}>
        <h2>Limits that decide a verdict</h2>
        <NumberRows
          rows={LIMITS.map((row) => ({ ...row, origin: `${row.status}, ${row.source}` }))}
          values={settings.limits}
          onSave={(id, value) => save.mutateAsync({ limits: { [id]: value } })}
        />
      </section>
      <section className={classes.box}>
        <h2>Seasonal jobs</h2>
        <p className="muted" style={{ marginTop: 0 }}>
          Done with a wash when its season has come and the hour suits. The product’s data sheet goes before
          these figures.
        </p>
        {SEASON_JOBS.map((job) => (
          <div key={job.id}>
            <h3>
              {capital(SEASON_JOB_NAMES[job.id])}
              <span className="muted"> · {seasonsText(job)}</span>
            </h3>
            <NumberRows
              rows={SEASON_NUMBERS.filter(({ jobId }) => jobId === job.id).map((row) => ({
                ...row,
                means: `${SEASON_JOB_NAMES[job.id]}: ${row.means}`,
                origin: 'judgement',
              }))}
              values={settings.season}
              onSave={(id, value) => save.mutateAsync({ season: { [id]: value } })}
            />
          </div>
        ))}
      </section>
      <Stock stock={settings.stock} onSave={(stock) => save.mutateAsync({ stock })} />
      <section className={classes.box}>
        <h2>What things are worth</h2>
        <NumberRows
          rows={PRICES.map((row) => ({ ...row, origin: 'judgement' }))}
          values={settings.prices}
          onSave={(id, value) => save.mutateAsync({ prices: { [id]: value } })}
        />
      </section>
      <Backups />
      {mayChange && <StartAgain />}
    </Page>
  );
}

function seasonsText({ seasons, everyDays }: SeasonJobRow): string {
  const when = new Intl.ListFormat('en').format(seasons.map((season) => SEASON_NAMES[season]));
  return everyDays === null ? `once ${when}` : `every ${everyDays} days ${when}`;
}
