import { Chip, Group, SegmentedControl, Select, Text, Textarea, TextInput } from '@mantine/core';
import { METHODS, type PlaceRecord, type VehicleRecord } from '@keen/core';
import { SeasonChips } from '../../parts/season-chips.js';
import { TypedNumber } from '../../parts/typed-number.js';
import { PANEL_NAMES, SPOTS_NAMES } from '../../words/car-names.js';
import { methodName, optionsOf } from '../../words/names.js';
import type { DraftErrors, WashDraft } from './wash-form.js';

interface DoneFieldsProps {
  readonly draft: WashDraft;
  readonly set: (change: Partial<WashDraft>) => void;
  readonly errors: DraftErrors;
}

/** Which car was washed, and where: of a wash that nobody planned. */
export function WhichFields({
  draft,
  set,
  errors,
  vehicles,
  places,
}: DoneFieldsProps & {
  readonly vehicles: readonly VehicleRecord[];
  readonly places: readonly PlaceRecord[];
}) {
  return (
    <Group grow align="start">
      <Select
        label="Vehicle"
        data={vehicles.map(({ id, name }) => ({ value: id, label: name }))}
        value={draft.vehicleId || null}
        onChange={(value) => set({ vehicleId: value ?? '' })}
        error={errors.vehicleId}
        searchable
      />
      <Select
        label="Place"
        data={places.map(({ id, name }) => ({ value: id, label: name }))}
        value={draft.placeId || null}
        onChange={(value) =>
          set({
            placeId: value ?? '',
            methodId: places.find(({ id }) => id === value)?.methods[0]?.methodId ?? '',
          })
        }
        error={errors.placeId}
      />
    </Group>
  );
}

/** When, for how long, by which method and for how much. */
export function TakenFields({
  draft,
  set,
  errors,
  places,
  currency,
}: DoneFieldsProps & { readonly places: readonly PlaceRecord[]; readonly currency: string }) {
  const offered =
    places.find(({ id }) => id === draft.placeId)?.methods.map(({ methodId }) => methodId) ??
    METHODS.map(({ id }) => id);
  return (
    <>
      <Group grow align="start">
        <TextInput
          type="datetime-local"
          label="Start"
          value={draft.start}
          onChange={(event) => set({ start: event.currentTarget.value })}
          error={errors.start}
        />
        <TypedNumber
          label="Minutes"
          value={draft.minutes}
          onChange={(minutes) => set({ minutes })}
          min={1}
          max={1440}
          error={errors.minutes}
          data-autofocus
        />
      </Group>
      <Group grow align="start">
        <Select
          label="Method"
          data={offered.map((value) => ({ value, label: methodName(value) }))}
          value={draft.methodId || null}
          onChange={(value) => set({ methodId: value ?? '' })}
          error={errors.methodId}
          allowDeselect={false}
        />
        <TypedNumber
          label={`Paid, ${currency}`}
          value={draft.cost}
          onChange={(cost) => set({ cost })}
          min={0}
          decimalScale={2}
          error={errors.cost}
        />
      </Group>
    </>
  );
}

/** What was done besides, and what was found. */
export function FoundFields({ draft, set, errors }: DoneFieldsProps) {
  return (
    <>
      <div>
        <Text size="sm" fw={500} mb={4}>
          Seasonal jobs that were done
        </Text>
        <SeasonChips value={draft.extras} onChange={(extras) => set({ extras })} size="md" />
      </div>
      <div>
        <Text size="sm" fw={500} id="spots-label">
          Spots
        </Text>
        <SegmentedControl
          fullWidth
          aria-labelledby="spots-label"
          data={optionsOf(SPOTS_NAMES)}
          value={draft.spots}
          onChange={(value) => set({ spots: value })}
        />
      </div>
      <div>
        <Text size="sm" fw={500} mb={4}>
          Where water froze (none if it did not)
        </Text>
        <Chip.Group multiple value={draft.icePanels} onChange={(value) => set({ icePanels: value })}>
          <Group gap="xs">
            {optionsOf(PANEL_NAMES).map(({ value, label }) => (
              <Chip key={value} value={value} size="md">
                {label}
              </Chip>
            ))}
          </Group>
        </Chip.Group>
      </div>
      <TextInput
        label="What stayed dirty"
        value={draft.leftovers}
        maxLength={500}
        onChange={(event) => set({ leftovers: event.currentTarget.value })}
      />
      <Textarea
        label="Note"
        autosize
        minRows={2}
        value={draft.note}
        maxLength={2000}
        onChange={(event) => set({ note: event.currentTarget.value })}
        error={errors.note}
      />
    </>
  );
}
