import { Button, Group, Stack } from '@mantine/core';
import type { PlaceRecord, VehicleRecord, WashRecord } from '@keen/core';
import { useState } from 'react';
import { useFinishWash, useLogWash } from '../../api/wash-queries.js';
import { ApiError } from '../../api/client.js';
import { Dialog } from '../../parts/dialog.js';
import { useDraft } from '../../parts/drafts.js';
import { FoundFields, TakenFields, WhichFields } from './done-fields.js';
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
          : { note: 'The server is not responding. What you typed is kept; try again.' },
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
            <WhichFields draft={draft} set={set} errors={errors} vehicles={vehicles} places={places} />
          )}
          <TakenFields draft={draft} set={set} errors={errors} places={places} currency={around.currency} />
          <FoundFields draft={draft} set={set} errors={errors} />
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
