import { Group, Select } from '@mantine/core';
import { useClock } from '../../api/queries.js';
import { tempScale } from '../../format/scales.js';
import { useFormat } from '../../format/use-format.js';
import { NumberField } from '../../parts/number-field.js';
import { INDOOR_AIR_NAMES } from '../../words/place-words.js';
import { optionsOf } from '../../words/names.js';
import { KIND_FACTS } from '../../drafts/kind-facts.js';
import type { PlaceFieldsProps } from './place-fields-props.js';

/** What is known of the air indoors; nothing is asked of a place outdoors. */
export function AirFields({ draft, set, errors }: PlaceFieldsProps) {
  const { display, dayTime } = useFormat();
  const { data: clock } = useClock();
  if (KIND_FACTS[draft.kind].shelter !== 'indoors') return null;
  const degrees = { unit: `°${display.temperature}`, scale: tempScale(display) };
  return (
    <Group grow align="start">
      <Select
        label="Air indoors"
        description="A wash there is judged by it"
        data={optionsOf(INDOOR_AIR_NAMES)}
        value={draft.indoorAir}
        onChange={(indoorAir) => indoorAir && set({ indoorAir })}
        allowDeselect={false}
      />
      {draft.indoorAir === 'kept' && (
        <NumberField
          label="Kept at"
          hint="What the heater holds"
          {...degrees}
          value={draft.setpointC}
          onChange={(setpointC) => set({ setpointC })}
          error={errors.setpointC}
        />
      )}
      {draft.indoorAir === 'usual' && (
        <NumberField
          label="Usually about"
          hint="As you know it in winter"
          {...degrees}
          value={draft.usualC}
          onChange={(usualC) => set({ usualC })}
          error={errors.usualC}
        />
      )}
      {draft.indoorAir === 'read' && (
        <NumberField
          label="The thermometer shows"
          hint={
            draft.readAtMs === null
              ? 'Counts from now, fades within two days'
              : `Read ${dayTime(draft.readAtMs)}`
          }
          {...degrees}
          value={draft.readC}
          onChange={(readC) => set({ readC, readAtMs: clock?.nowMs ?? Date.now() })}
          error={errors.readC}
        />
      )}
      <NumberField
        label="Humidity read there"
        unit="%"
        hint="Empty: the model's own"
        value={draft.relHumidityPercent}
        onChange={(relHumidityPercent) => set({ relHumidityPercent })}
        decimals={0}
        error={errors.relHumidityPercent}
      />
    </Group>
  );
}
