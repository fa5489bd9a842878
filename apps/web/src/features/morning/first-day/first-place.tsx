import type { PlaceKind } from '@keen/core';
import { Button, Group, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { useSavePlace, useSaveSettings } from '../../../api/queries.js';
import { type Format, makeFormat } from '../../../format/format.js';
import { noticeOfFailure } from '../../../parts/notices.js';
import { PLACE_KIND_NAMES } from '../../../words/place-words.js';
import { optionsOf } from '../../../words/names.js';
import { DEFAULT_TARIFF, DEFAULT_WATER, newPlace, ofKind } from '../../../drafts/place-draft.js';
import { placeFrom } from '../../../drafts/place-form.js';
import { type Coordinates, COORDINATES_FAULTS, readCoordinates } from './coordinates.js';
import classes from './first-day.module.css';
import { REGIONS, regionOf } from './regions.js';

const DECIMALS = 4;
const ownZone = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;
const textOf = ({ latitudeDeg, longitudeDeg }: Coordinates): string =>
  `${latitudeDeg.toFixed(DECIMALS)}, ${longitudeDeg.toFixed(DECIMALS)}`;

/** "$3.00 for 180 s, then $1.00 for each 60 s", as a new meter is taken. */
function meterText({ money }: Format): string {
  const { startPriceMinor, startSeconds, blockPriceMinor, blockSeconds } = DEFAULT_TARIFF;
  return `${money(startPriceMinor ?? 0)} for ${startSeconds} s, then ${money(blockPriceMinor ?? 0)} for each ${blockSeconds} s`;
}

/** Where the phone or the machine says that it is. */
function useOwnPosition(onFound: (text: string) => void): {
  readonly ask: () => void;
  readonly failure: string | null;
} {
  const [failure, setFailure] = useState<string | null>(null);
  const ask = (): void => {
    setFailure(null);
    navigator.geolocation.getCurrentPosition(
      ({ coords: { latitude, longitude } }) =>
        onFound(textOf({ latitudeDeg: latitude, longitudeDeg: longitude })),
      () => setFailure('This browser does not say where it is: paste the two numbers.'),
    );
  };
  return { ask, failure };
}

/** How the region measures and pays, and the first place to wash at. */
export function FirstPlace() {
  const [regionId, setRegionId] = useState(() => regionOf(navigator.languages).id);
  const [kind, setKind] = useState<PlaceKind>('self-serve-bay');
  const [name, setName] = useState<string | null>(null);
  const [where, setWhere] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const position = useOwnPosition((text) => {
    setWhere(text);
    setFault(null);
  });
  const settings = useSaveSettings();
  const place = useSavePlace();
  const shownName = name ?? PLACE_KIND_NAMES[kind];
  const region = REGIONS.find(({ id }) => id === regionId) ?? regionOf([]);
  const { display, drivesOn } = region;
  const format = makeFormat(display, ownZone());
  const keep = async (): Promise<void> => {
    const point = readCoordinates(where);
    setFault(typeof point === 'string' ? COORDINATES_FAULTS[point] : null);
    if (typeof point === 'string') return;
    await settings.mutateAsync({ display, drivesOn, timeZone: ownZone() });
    await place.mutateAsync(
      placeFrom({
        ...newPlace(ownZone(), point),
        ...ofKind(kind),
        tariff: kind === 'self-serve-bay' ? DEFAULT_TARIFF : null,
        name: shownName.trim() === '' ? PLACE_KIND_NAMES[kind] : shownName,
      }),
    );
  };
  return (
    <form
      noValidate
      className={classes.form}
      onSubmit={(event) => {
        event.preventDefault();
        keep().catch(noticeOfFailure);
      }}
    >
      <Select
        label="Units, money and side of the road"
        description="Each can be changed in Settings"
        data={REGIONS.map(({ id, name: label }) => ({ value: id, label }))}
        value={regionId}
        onChange={(id) => id && setRegionId(id)}
        allowDeselect={false}
      />
      <Group grow align="end">
        <Select
          label="Kind of place"
          data={optionsOf(PLACE_KIND_NAMES)}
          value={kind}
          onChange={(value) => value && setKind(value)}
          allowDeselect={false}
        />
        <TextInput
          label="Name of the place"
          value={shownName}
          maxLength={80}
          onChange={(event) => setName(event.currentTarget.value)}
        />
      </Group>
      <TextInput
        label="Where it is"
        description="Degrees north and east, as a map copies them: for the sun and the weather"
        placeholder="44.2312, −76.4860"
        value={where}
        onChange={(event) => {
          setWhere(event.currentTarget.value);
          setFault(null);
        }}
        error={fault ?? position.failure}
      />
      <p className="muted">
        Until you say otherwise under Places, water is taken as{' '}
        {format.hardness(DEFAULT_WATER.hardnessMgPerLitre ?? 0)} hard, the place as open from 7:00 to 21:00
        {kind === 'self-serve-bay' && <>, and its meter as {meterText(format)}</>} (defaults).
      </p>
      <Group>
        <Button type="submit" color="lamp.3" loading={settings.isPending || place.isPending}>
          Keep this place
        </Button>
        <Button variant="default" onClick={position.ask}>
          Use where I am now
        </Button>
      </Group>
    </form>
  );
}
