import { Checkbox, Group, Select, Textarea, TextInput } from '@mantine/core';
import type { Gear } from '@keen/core';
import { useSaveGear } from '../../api/kit-queries.js';
import { FormDrawer } from '../../parts/form-drawer.js';
import { useRecordForm } from '../../parts/use-record-form.js';
import { DUTY_NAMES, GEAR_NAMES } from '../../words/kit-names.js';
import { optionsOf } from '../../words/names.js';
import { TypedNumber } from '../../parts/typed-number.js';
import { VolumeField } from './volume-field.js';
import { gearDraft, type GearDraft, gearErrors, gearFrom, gearHas, NEW_GEAR } from './gear-form.js';

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
  const number = (field: Exclude<keyof GearDraft, 'hasGuard'>, label: string, description?: string) => (
    <TypedNumber
      label={label}
      description={description}
      value={draft[field]}
      onChange={(value) => set({ [field]: value })}
      decimalScale={2}
      error={errors[field]}
    />
  );
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
        {number('count', 'How many')}
        {has.laundry && number('cleanCount', 'Clean and dry')}
      </Group>
      {has.laundry && (
        <Group grow align="start">
          <Select
            label="Used on"
            description="Only what is for paint is counted for a wash"
            data={optionsOf(DUTY_NAMES)}
            value={draft.duty}
            onChange={(duty) => duty && set({ duty })}
            allowDeselect={false}
          />
          {number('launderedTimes', 'Laundered, times', 'Each of them, on average; counted on from here')}
        </Group>
      )}
      {has.pile && (
        <VolumeField
          label="Takes up, each"
          hint="Weigh one dry and dripping: pile and blend decide; empty takes the house’s figure"
          value={draft.holdsGrams}
          onChange={(holdsGrams) => set({ holdsGrams })}
          error={errors.holdsGrams}
        />
      )}
      {has.guard && (
        <Checkbox
          label="With a guard that keeps the grit down"
          checked={draft.hasGuard ?? false}
          indeterminate={draft.hasGuard === null}
          onChange={(event) => set({ hasGuard: event.currentTarget.checked })}
        />
      )}
      {has.bottle && (
        <Group grow align="start">
          <VolumeField
            label={draft.kind === 'bucket' ? 'Filled with' : 'Bottle'}
            value={draft.volumeMl}
            onChange={(volumeMl) => set({ volumeMl })}
            error={errors.volumeMl}
          />
          {has.output && (
            <VolumeField
              label="Leaves per bottle"
              hint="Measured: all that leaves while the bottle is drawn; empty where it puts out what is in it"
              inLitres
              value={draft.outputLitresPerBottle}
              onChange={(outputLitresPerBottle) => set({ outputLitresPerBottle })}
              error={errors.outputLitresPerBottle}
            />
          )}
        </Group>
      )}
      {has.life && (
        <Group grow align="start">
          <VolumeField
            label="Lasts"
            hint="At your water; the reference desk works it out"
            inLitres
            value={draft.lifeLitres}
            onChange={(lifeLitres) => set({ lifeLitres })}
            error={errors.lifeLitres}
          />
          <VolumeField
            label="Run through"
            inLitres
            value={draft.litresUsed}
            onChange={(litresUsed) => set({ litresUsed })}
            error={errors.litresUsed}
          />
        </Group>
      )}
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
