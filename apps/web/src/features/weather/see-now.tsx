import { Group, Select } from '@mantine/core';
import {
  type PrecipKind,
  type RoadClass,
  type RoadState,
  SEEN_WINDS,
  SIGHT_FADE_HOURS,
  type SightRecord,
} from '@keen/core';
import { useState } from 'react';
import { useBringBack, useDelete } from '../../api/salt-queries.js';
import { useSee, useSights } from '../../api/weather-queries.js';
import type { Format } from '../../format/format.js';
import { useFormat } from '../../format/use-format.js';
import { faultsOf, NoteForm } from '../../parts/note-form.js';
import { sayWithUndo } from '../../parts/notices.js';
import { NumberField } from '../../parts/number-field.js';
import { DeleteButton } from '../../parts/delete-button.js';
import { FALL_NAMES, optionsOf, ROAD_NAMES, ROAD_STATE_NAMES } from '../../words/names.js';
import classes from './weather.module.css';

const SKIES = [
  { value: '0', label: 'Clear' },
  { value: '0.25', label: 'Some cloud' },
  { value: '0.5', label: 'Half' },
  { value: '0.8', label: 'Mostly cloud' },
  { value: '1', label: 'Overcast' },
];
const WINDS = SEEN_WINDS.map(({ id, sign, metresPerSecond }) => ({
  value: String(metresPerSecond),
  label: `${id}: ${sign}`,
}));

const numberOrNull = (text: string | null): number | null => (text === null ? null : Number(text));

function sightText(sight: SightRecord, format: Format): string {
  const { airTempC, windMetresPerSecond, cloudFraction, falling, roadClass, roadState } = sight;
  const parts = [
    airTempC === null ? null : `air ${format.temp(airTempC)}`,
    windMetresPerSecond === null ? null : `wind ${format.wind(windMetresPerSecond)}`,
    cloudFraction === null ? null : `cloud ${format.share(cloudFraction)}`,
    falling === null ? null : falling === 'none' ? 'nothing falls' : `${FALL_NAMES[falling]} falls`,
    roadClass && roadState ? `${ROAD_NAMES[roadClass].toLowerCase()} ${ROAD_STATE_NAMES[roadState]}` : null,
  ];
  return parts.filter((part) => part !== null).join(', ');
}

/** What one sees out of the door; it corrects the next hours. */
export function SeeNow() {
  const format = useFormat();
  const see = useSee();
  const isFahrenheit = format.display.temperature === 'F';
  const [air, setAir] = useState<number | null>(null);
  const [wind, setWind] = useState<string | null>(null);
  const [sky, setSky] = useState<string | null>(null);
  const [falling, setFalling] = useState<PrecipKind | null>(null);
  const [road, setRoad] = useState<RoadClass>('main');
  const [state, setState] = useState<RoadState | null>(null);
  const [errors, setErrors] = useState<Readonly<Record<string, string>>>({});
  const submit = (): void => {
    setErrors({});
    see.mutate(
      {
        airTempC: air === null ? null : isFahrenheit ? (air - 32) / 1.8 : air,
        windMetresPerSecond: numberOrNull(wind),
        cloudFraction: numberOrNull(sky),
        falling,
        roadClass: state === null ? null : road,
        roadState: state,
      },
      {
        onSuccess: () => {
          setAir(null);
          setWind(null);
          setSky(null);
          setFalling(null);
          setState(null);
        },
        onError: (error) => setErrors(faultsOf(error, 'airTempC')),
      },
    );
  };
  return (
    <section className={classes.box}>
      <h2>What I see now</h2>
      <p className="muted">
        It counts in this hour and fades back to the forecast: the air over about {SIGHT_FADE_HOURS.airTempC}{' '}
        h, cloud over {SIGHT_FADE_HOURS.cloudFraction} h, wind over {SIGHT_FADE_HOURS.windMetresPerSecond} h
        (judgement). A road seen goes on from what was seen.
      </p>
      <NoteForm submitLabel="Count it" isSaving={see.isPending} onSubmit={submit} said={<Sights />}>
        <Group grow align="start">
          <NumberField
            label="Air"
            unit={isFahrenheit ? '°F' : '°C'}
            value={air}
            onChange={setAir}
            error={errors.airTempC}
          />
          <Select
            label="Sky"
            data={SKIES}
            value={sky}
            onChange={setSky}
            clearable
            error={errors.cloudFraction}
          />
        </Group>
        <Select
          label="Wind"
          data={WINDS}
          value={wind}
          onChange={setWind}
          clearable
          error={errors.windMetresPerSecond}
        />
        <Select
          label="Rain or snow"
          data={optionsOf(FALL_NAMES)}
          value={falling}
          onChange={setFalling}
          clearable
          error={errors.falling}
        />
        <Group grow align="start">
          <Select
            label="Road"
            data={optionsOf(ROAD_NAMES)}
            value={road}
            onChange={(value) => value && setRoad(value)}
            allowDeselect={false}
          />
          <Select
            label="Its state"
            data={optionsOf(ROAD_STATE_NAMES)}
            value={state}
            onChange={setState}
            clearable
            error={errors.roadState}
          />
        </Group>
      </NoteForm>
    </section>
  );
}

function Sights() {
  const format = useFormat();
  const { data: sights } = useSights();
  const { mutateAsync: remove } = useDelete('weather');
  const { mutateAsync: bringBack } = useBringBack('weather');
  if (!sights || sights.length === 0)
    return <span className="muted">Nothing was noted in the last day.</span>;
  const forget = (id: string): void => {
    const path = `weather/sights/${id}`;
    void sayWithUndo(remove(path), 'What was seen no longer counts.', () => bringBack(path));
  };
  return (
    <ul className={classes.list} role="status">
      {sights.map((sight) => (
        <li key={sight.id}>
          <span>
            {format.time(sight.atMs)}: {sightText(sight, format)}
          </span>
          <DeleteButton
            what={`what was seen at ${format.time(sight.atMs)}`}
            onClick={() => forget(sight.id)}
          />
        </li>
      ))}
    </ul>
  );
}
