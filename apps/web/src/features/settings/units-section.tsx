import { Button, Select, TextInput } from '@mantine/core';
import { type Settings } from '@keen/core';
import { useState } from 'react';
import { type SettingsChange, useClock, useSetClock } from '../../api/queries.js';
import { HARDNESS_LABELS } from '../../format/format.js';
import { fromLocalInput, toLocalInput } from '../../format/local-input.js';
import { useFormat } from '../../format/use-format.js';
import { noticeOfFailure, sayWithUndo } from '../../parts/notices.js';
import { optionsOf } from '../../words/names.js';
import classes from './settings.module.css';

const TEMPERATURES = { C: '°C', F: '°F' } as const;

const WINDS = { ms: 'm/s', kmh: 'km/h', mph: 'mph' } as const;

const DISTANCES = { km: 'km', mi: 'miles' } as const;

const VOLUMES = { L: 'litres', gal: 'US gallons' } as const;

const SIDES = { right: 'the right', left: 'the left' } as const;

const CURRENCIES = ['CAD', 'USD', 'EUR', 'GBP', 'NOK', 'SEK', 'DKK', 'CHF', 'PLN', 'JPY'];

const ZONES = Intl.supportedValuesOf('timeZone');

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

interface UnitsProps {
  readonly settings: Settings;
  readonly onSave: (change: SettingsChange) => Promise<unknown>;
}

export function Units({ settings, onSave }: UnitsProps) {
  const { display } = settings;
  const set = (change: SettingsChange): void => void onSave(change).catch(noticeOfFailure);
  const onCurrency = (currency: string): void => {
    if (currency === display.currency) return;
    void sayWithUndo(
      onSave({ display: { currency } }),
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
          onChange={(temperature) => temperature && set({ display: { temperature } })}
          allowDeselect={false}
        />
        <Select
          label="Wind"
          w={120}
          data={optionsOf(WINDS)}
          value={display.wind}
          onChange={(wind) => wind && set({ display: { wind } })}
          allowDeselect={false}
        />
        <Select
          label="Distance"
          w={120}
          data={optionsOf(DISTANCES)}
          value={display.distance}
          onChange={(distance) => distance && set({ display: { distance } })}
          allowDeselect={false}
        />
        <Select
          label="Hardness"
          w={120}
          data={optionsOf(HARDNESS_LABELS)}
          value={display.hardness}
          onChange={(hardness) => hardness && set({ display: { hardness } })}
          allowDeselect={false}
        />
        <Select
          label="Volume"
          w={120}
          data={optionsOf(VOLUMES)}
          value={display.volume}
          onChange={(volume) => volume && set({ display: { volume } })}
          allowDeselect={false}
        />
        <Select
          label="Traffic side"
          w={130}
          data={optionsOf(SIDES)}
          value={settings.drivesOn}
          onChange={(drivesOn) => drivesOn && set({ drivesOn })}
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
          onChange={(timeZone) => timeZone && set({ timeZone })}
          allowDeselect={false}
        />
      </div>
    </section>
  );
}

/** The demo's clock can be moved; the forecast moves with it. */
export function DemoClock() {
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
            atMs !== null && void setClock.mutateAsync(atMs).then(() => setText(null), noticeOfFailure)
          }
        >
          Move the clock
        </Button>
      </div>
    </section>
  );
}
