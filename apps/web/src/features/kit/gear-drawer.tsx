import { Checkbox, Group, Select, Textarea, TextInput } from '@mantine/core';
import type { Gear } from '@keen/core';
import { useSaveGear } from '../../api/kit-queries.js';
import { FormDrawer } from '../../parts/form-drawer.js';
import { useRecordForm } from '../../parts/use-record-form.js';
import { GEAR_NAMES } from '../../words/kit-names.js';
import { optionsOf } from '../../words/names.js';
import { BottleFields, ClothFields, CountField, LifeFields } from './gear-fields.js';
import { gearDraft, gearErrors, gearFrom, gearHas, NEW_GEAR } from './gear-form.js';

interface GearDrawerProps {
  /** null: a new one. */
  readonly gear: Gear | null;
  readonly onClose: () => void;
}

/** Adding or editing cloths, sprayers, lances, machines, filters. */
export function GearDrawer({ gear, onClose }: GearDrawerProps) {
  const save = useSaveGear();
  const { draft, set, errors, failure, submit, cancel } = useRecordForm({
    draftKey: `gear-${gear?.id ?? 'new'}`,
    record: gear,
    initial: gear ? gearDraft(gear) : NEW_GEAR,
    errorsOf: gearErrors,
    fieldsOf: gearFrom,
    save: (fields) => save.mutateAsync({ id: gear?.id, ...fields }),
    onSaved: onClose,
    onClose,
  });
  const has = gearHas(draft.kind);
  const form = { draft, set, errors };
  return (
    <FormDrawer
      title={gear ? `Edit ${gear.name}` : 'Add gear'}
      isSaving={save.isPending}
      failure={failure}
      onSave={submit}
      onCancel={cancel}
      onClose={onClose}
    >
      <TextInput
        label="Name"
        value={draft.name}
        maxLength={80}
        onChange={(event) => set({ name: event.currentTarget.value })}
        error={errors.name}
        data-autofocus
        required
      />
      <Group grow align="start">
        <Select
          label="What it is"
          data={optionsOf(GEAR_NAMES)}
          value={draft.kind}
          onChange={(kind) => kind && set({ kind })}
          allowDeselect={false}
        />
        <CountField {...form} field="count" label="How many" />
        {has.laundry && <CountField {...form} field="cleanCount" label="Clean and dry" />}
      </Group>
      {has.laundry && <ClothFields {...form} />}
      {has.guard && (
        <Checkbox
          label="With a guard that keeps the grit down"
          checked={draft.hasGuard ?? false}
          indeterminate={draft.hasGuard === null}
          onChange={(event) => set({ hasGuard: event.currentTarget.checked })}
        />
      )}
      {has.bottle && <BottleFields {...form} />}
      {has.life && <LifeFields {...form} />}
      <Textarea
        label="Notes"
        value={draft.notes}
        maxLength={1000}
        autosize
        minRows={2}
        onChange={(event) => set({ notes: event.currentTarget.value })}
      />
    </FormDrawer>
  );
}
