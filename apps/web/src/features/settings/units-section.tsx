import { Button, Select, TextInput } from '@mantine/core';
import { type Settings } from '@keen/core';
import { useState } from 'react';
import { type SettingsChange, useClock, useSetClock } from '../../api/queries.js';
import { HARDNESS_LABELS } from '../../format/format.js';
import { fromLocalInput, toLocalInput } from '../../format/local-input.js';
import { useFormat } from '../../format/use-format.js';
import { noticeOfFailure, noticeWithUndo } from '../../parts/notices.js';
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
  readonly onSave: (change: SettingsChange) => void;
}

export function Units({ settings, onSave }: UnitsProps) {
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
