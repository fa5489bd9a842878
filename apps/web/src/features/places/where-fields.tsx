import { Checkbox, Group, Select, TextInput } from '@mantine/core';
import { NumberField } from '../../parts/number-field.js';
import { optionsOf } from '../../words/names.js';
import { TAP_NAMES } from '../../words/place-words.js';
import type { PlaceFieldsProps } from './place-fields-props.js';

const ZONES = Intl.supportedValuesOf('timeZone');

/** Where it is on the map and what time it keeps there. */
function MapFields({ draft, set, errors }: PlaceFieldsProps) {
  return (
    <Group grow align="start">
      <NumberField
        label="Latitude"
        unit="° north"
        value={draft.latitudeDeg}
        onChange={(latitudeDeg) => set({ latitudeDeg })}
        decimals={4}
        error={errors.latitudeDeg}
      />
      <NumberField
        label="Longitude"
        unit="° east"
        value={draft.longitudeDeg}
        onChange={(longitudeDeg) => set({ longitudeDeg })}
        decimals={4}
        error={errors.longitudeDeg}
      />
      <Select
        label="Time zone"
        data={ZONES}
        searchable
        value={draft.timeZone}
        onChange={(zone) => zone && set({ timeZone: zone })}
        allowDeselect={false}
        error={errors.timeZone}
      />
    </Group>
  );
}

/** How a car stands there, how far it is, and what it offers. */
export function WhereFields(props: PlaceFieldsProps) {
  const { draft, set, errors } = props;
  return (
    <>
      <MapFields {...props} />
      <Group grow align="start">
        <NumberField
          label="Car's nose points"
          unit="° from north"
          value={draft.carHeadingDeg}
          onChange={(carHeadingDeg) => set({ carHeadingDeg })}
          decimals={0}
          error={errors.carHeadingDeg}
        />
        <NumberField
          label="Drive there"
          unit="min"
          value={draft.travelMinutes}
          onChange={(travelMinutes) => set({ travelMinutes })}
          decimals={0}
          error={errors.travelMinutes}
        />
        <NumberField
          label="Room for"
          unit="cars"
          value={draft.carsAtOnce}
          onChange={(carsAtOnce) => set({ carsAtOnce })}
          decimals={0}
          error={errors.carsAtOnce}
        />
      </Group>
      <Group grow align="start">
        <NumberField
          label="Stay at most"
          unit="min"
          hint="With one car; empty: as long as you like"
          value={draft.mostMinutes}
          onChange={(mostMinutes) => set({ mostMinutes })}
          decimals={0}
          error={errors.mostMinutes}
        />
        <TextInput
          label="Shade to dry in"
          description="Near by, in your words; named when the sun dries one side first"
          maxLength={120}
          value={draft.dryingSpot}
          onChange={(event) => set({ dryingSpot: event.currentTarget.value })}
          error={errors.dryingSpot}
        />
      </Group>
      <Group>
        <Checkbox
          label="Floor drain"
          checked={draft.hasDrain}
          onChange={(event) => set({ hasDrain: event.currentTarget.checked })}
        />
        <Checkbox
          label="Lamps"
          checked={draft.hasLight}
          onChange={(event) => set({ hasLight: event.currentTarget.checked })}
        />
        {draft.kind !== 'car-park' && (
          <Select
            aria-label="Tap"
            data={optionsOf(TAP_NAMES).map((option) => ({
              ...option,
              label: `Tap: ${option.label.toLowerCase()}`,
            }))}
            value={draft.tap}
            onChange={(tap) => tap && set({ tap })}
            allowDeselect={false}
            w={260}
          />
        )}
      </Group>
    </>
  );
}
