import { Button, Select, TextInput } from '@mantine/core';
import {
  HOUSE_NUMBERS,
  LIMITS,
  PRICES,
  SEASON_JOBS,
  SEASON_NUMBERS,
  type SeasonJobRow,
  type Settings,
} from '@keen/core';
import { useState } from 'react';
import {
  type SettingsChange,
  useClock,
  useSaveSettings,
  useSetClock,
  useSettings,
} from '../../api/queries.js';
import { HARDNESS_LABELS } from '../../format/format.js';
import { fromLocalInput, toLocalInput } from '../../format/local-input.js';
import { useFormat } from '../../format/use-format.js';
import { noticeOfFailure, noticeWithUndo } from '../../parts/notices.js';
import { Page } from '../../parts/page.js';
import { Failed, Loading } from '../../parts/states.js';
import { SEASON_JOB_NAMES, SEASON_NAMES } from '../../words/car-names.js';
import { optionsOf } from '../../words/names.js';
import { Backups } from './backups.js';
import { Calendars } from './calendars.js';
import { WorkersSection } from './workers.js';
import { HouseRules } from './house-rules.js';
import { NumberRows } from './number-rows.js';
import classes from './settings.module.css';
import { Stock } from './stock.js';

const TEMPERATURES = { C: '°C', F: '°F' } as const;
const WINDS = { ms: 'm/s', kmh: 'km/h', mph: 'mph' } as const;
const DISTANCES = { km: 'km', mi: 'miles' } as const;
const VOLUMES = { L: 'litres', gal: 'US gallons' } as const;
const SIDES = { right: 'the right', left: 'the left' } as const;
const CURRENCIES = ['CAD', 'USD', 'EUR', 'GBP', 'NOK', 'SEK', 'DKK', 'CHF', 'PLN', 'JPY'];
const ZONES = Intl.supportedValuesOf('timeZone');

/** Units, limits and prices: what the program takes as given, and may be told otherwise. */
export function SettingsPage() {
  const { data: settings, error, isPending } = useSettings();
  const save = useSaveSettings();
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
    </Page>
  );
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

function seasonsText({ seasons, everyDays }: SeasonJobRow): string {
  const when = new Intl.ListFormat('en').format(seasons.map((season) => SEASON_NAMES[season]));
  return everyDays === null ? `once ${when}` : `every ${everyDays} days ${when}`;
}

interface UnitsProps {
  readonly settings: Settings;
  readonly onSave: (change: SettingsChange) => void;
}

function Units({ settings, onSave }: UnitsProps) {
  const { display } = settings;
  const onCurrency = (currency: string): void => {
    if (currency === display.currency) return;
    onSave({ display: { currency } });
    noticeWithUndo(
      `Amounts keep their numbers: what was ${display.currency} is now read as ${currency}, nothing is converted.`,
      () => onSave({ display: { currency: display.currency } }),
    );
  };
  return (
    <section className={classes.box}>
      <h2>Units and time zone</h2>
      <div className={classes.fields}>
        <Select
          label="Temperature"
          w={120}
          data={optionsOf(TEMPERATURES)}
          value={display.temperature}
          onChange={(temperature) => temperature && onSave({ display: { temperature } })}
          allowDeselect={false}
        />
        <Select
          label="Wind"
          w={120}
          data={optionsOf(WINDS)}
          value={display.wind}
          onChange={(wind) => wind && onSave({ display: { wind } })}
          allowDeselect={false}
        />
        <Select
          label="Distance"
          w={120}
          data={optionsOf(DISTANCES)}
          value={display.distance}
          onChange={(distance) => distance && onSave({ display: { distance } })}
          allowDeselect={false}
        />
        <Select
          label="Hardness"
          w={120}
          data={optionsOf(HARDNESS_LABELS)}
          value={display.hardness}
          onChange={(hardness) => hardness && onSave({ display: { hardness } })}
          allowDeselect={false}
        />
        <Select
          label="Volume"
          w={120}
          data={optionsOf(VOLUMES)}
          value={display.volume}
          onChange={(volume) => volume && onSave({ display: { volume } })}
          allowDeselect={false}
        />
        <Select
          label="Traffic side"
          w={130}
          data={optionsOf(SIDES)}
          value={settings.drivesOn}
          onChange={(drivesOn) => drivesOn && onSave({ drivesOn })}
          allowDeselect={false}
        />
        <Select
          label="Currency"
          w={120}
          data={CURRENCIES}
          value={display.currency}
          onChange={(currency) => currency && onCurrency(currency)}
          allowDeselect={false}
        />
        <Select
          label="Time zone"
          w={230}
          searchable
          data={ZONES}
          value={settings.timeZone}
          onChange={(timeZone) => timeZone && onSave({ timeZone })}
          allowDeselect={false}
        />
      </div>
    </section>
  );
}

/** The demo's clock can be moved; the forecast moves with it. */
function DemoClock() {
  const format = useFormat();
  const { data: clock } = useClock();
  const setClock = useSetClock();
  const [text, setText] = useState<string | null>(null);
  if (!clock?.canBeSet) return null;
  const shown = text ?? toLocalInput(clock.nowMs, format.timeZone);
  const atMs = fromLocalInput(shown, format.timeZone);
  return (
    <section className={classes.box}>
      <h2>The demo's clock</h2>
      <div className={classes.fields}>
        <TextInput
          type="datetime-local"
          label="It is now"
          value={shown}
          onChange={(event) => setText(event.currentTarget.value)}
          error={atMs === null ? 'Give a date and a time.' : undefined}
        />
        <Button
          variant="default"
          disabled={atMs === null}
          loading={setClock.isPending}
          onClick={() =>
            atMs !== null &&
            setClock.mutate(atMs, { onSuccess: () => setText(null), onError: noticeOfFailure })
          }
        >
          Move the clock
        </Button>
      </div>
    </section>
  );
}
