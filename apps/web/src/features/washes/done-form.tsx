import {
  Button,
  Chip,
  Group,
  SegmentedControl,
  Select,
  Stack,
  Text,
  Textarea,
  TextInput,
} from '@mantine/core';
import { METHODS, type PlaceRecord, type VehicleRecord, type WashRecord } from '@keen/core';
import { useState } from 'react';
import { useFinishWash, useLogWash } from '../../api/queries.js';
import { ApiError } from '../../api/client.js';
import { Dialog } from '../../parts/dialog.js';
import { useDraft } from '../../parts/drafts.js';
import { SeasonChips } from '../../parts/season-chips.js';
import { methodName, optionsOf, PANEL_NAMES, SPOTS_NAMES } from '../../words/names.js';
import { TypedNumber } from '../../parts/typed-number.js';
import { doneFrom, draftErrors, type DraftErrors, type WashDraft } from './wash-form.js';

interface DoneFormProps {
  /** The planned wash that is done; null: one that was not planned. */
  readonly wash: WashRecord | null;
  readonly initial: WashDraft;
  readonly vehicles: readonly VehicleRecord[];
  readonly places: readonly PlaceRecord[];
  readonly around: { readonly nowMs: number; readonly timeZone: string; readonly currency: string };
  readonly onClose: () => void;
  readonly onSaved: (record: WashRecord) => void;
}

/** Marks a wash as done: what was used and what was found. What is typed is kept over a reload. */
export function DoneForm({ wash, initial, vehicles, places, around, onClose, onSaved }: DoneFormProps) {
  const { value: draft, set, forget } = useDraft<WashDraft>(`wash-${wash?.id ?? 'new'}`, initial);
  const [errors, setErrors] = useState<DraftErrors>({});
  const finish = useFinishWash();
  const log = useLogWash();
  const handlers = {
    onSuccess: (record: WashRecord) => {
      forget();
      onSaved(record);
    },
    onError: (error: Error) =>
      setErrors(
        error instanceof ApiError
          ? { start: error.byField.startMs, minutes: error.byField.minutes, note: error.message }
          : { note: 'The program does not answer. What you typed is kept; try again.' },
      ),
  };
  const save = (): void => {
    const found = draftErrors(draft, around);
    setErrors(found);
    if (Object.keys(found).length > 0) return;
    const done = doneFrom(draft, around.timeZone);
    if (wash) finish.mutate({ id: wash.id, done }, handlers);
    else log.mutate({ ...done, vehicleId: draft.vehicleId, placeId: draft.placeId }, handlers);
  };
  const offered =
    places.find(({ id }) => id === draft.placeId)?.methods.map(({ methodId }) => methodId) ??
    METHODS.map(({ id }) => id);
  return (
    <Dialog onClose={onClose} title={wash ? 'Mark done' : 'Log a wash'}>
      <form
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          save();
        }}
      >
        <Stack gap="sm">
          {!wash && (
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
          )}
          <Group grow align="start">
            <TextInput
              type="datetime-local"
              label="Begun"
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
              label={`Paid, ${around.currency}`}
              value={draft.cost}
              onChange={(cost) => set({ cost })}
              min={0}
              decimalScale={2}
              error={errors.cost}
            />
          </Group>
          <div>
            <Text size="sm" fw={500} mb={4}>
              Work of the season that was done
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
          <Group justify="flex-end">
            <Button
              variant="default"
              onClick={() => {
                forget();
                onClose();
              }}
            >
              Cancel
            </Button>
            <Button type="submit" color="lamp.3" loading={finish.isPending || log.isPending}>
              {wash ? 'Mark done' : 'Log it'}
            </Button>
          </Group>
        </Stack>
      </form>
    </Dialog>
  );
}
