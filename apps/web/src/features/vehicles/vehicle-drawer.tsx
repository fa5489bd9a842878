import type { PlaceRecord, VehicleRecord } from '@keen/core';
import {
  Checkbox,
  Fieldset,
  Group,
  SegmentedControl,
  Select,
  Text,
  Textarea,
  TextInput,
} from '@mantine/core';
import { useCustomers } from '../../api/customer-queries.js';
import { useSaveVehicle } from '../../api/queries.js';
import { FormDrawer } from '../../parts/form-drawer.js';
import { NumberField } from '../../parts/number-field.js';
import { SeasonChips } from '../../parts/season-chips.js';
import { useRecordForm } from '../../parts/use-record-form.js';
import {
  BEHAVIOUR_NAMES,
  BODY_NAMES,
  optionsOf,
  PROTECTION_NAMES,
  TARGET_NAMES,
  TONE_NAMES,
} from '../../words/names.js';
import { draftOf, NEW_VEHICLE, vehicleErrors, vehicleFrom } from './vehicle-form.js';

const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;

interface VehicleDrawerProps {
  /** null: a new one. */
  readonly vehicle: VehicleRecord | null;
  readonly places: readonly PlaceRecord[];
  readonly onClose: () => void;
  readonly onSaved: (saved: VehicleRecord) => void;
}

/** Adding or editing a vehicle. */
export function VehicleDrawer({ vehicle, places, onClose, onSaved }: VehicleDrawerProps) {
  const { data: customers } = useCustomers();
  const save = useSaveVehicle();
  const { draft, set, errors, failure, submit, cancel } = useRecordForm({
    draftKey: `vehicle-${vehicle?.id ?? 'new'}`,
    record: vehicle,
    initial: vehicle ? draftOf(vehicle) : NEW_VEHICLE,
    errorsOf: vehicleErrors,
    fieldsOf: vehicleFrom,
    save: (fields) => save.mutateAsync({ id: vehicle?.id, ...fields }),
    onSaved,
    onClose,
  });
  return (
    <FormDrawer
      title={vehicle ? `Edit ${vehicle.name}` : 'Add a vehicle'}
      isSaving={save.isPending}
      failure={failure}
      onSave={submit}
      onCancel={cancel}
      onClose={onClose}
    >
      <TextInput
        label="Name"
        description="Colour and shape; no plate"
        value={draft.name}
        maxLength={80}
        onChange={(event) => set({ name: event.currentTarget.value })}
        error={errors.name}
        data-autofocus
        required
      />
      <Group grow>
        <TextInput
          label="Keeper"
          value={draft.keeper}
          maxLength={80}
          onChange={(event) => set({ keeper: event.currentTarget.value })}
        />
        <Select
          label="Customer"
          placeholder="Nobody in the book"
          clearable
          clearButtonProps={{ 'aria-label': 'Nobody in the book' }}
          data={(customers ?? []).map(({ id, name }) => ({ value: id, label: name }))}
          value={draft.customerId}
          onChange={(customerId) => set({ customerId })}
          error={errors.customerId}
        />
        <TextInput
          label="Colour"
          value={draft.colourName}
          maxLength={60}
          onChange={(event) => set({ colourName: event.currentTarget.value })}
        />
      </Group>
      <Group grow>
        <Select
          label="Shape"
          data={optionsOf(BODY_NAMES)}
          value={draft.bodyClass}
          onChange={(value) => value && set({ bodyClass: value })}
          allowDeselect={false}
        />
        <Select
          label="Paint"
          description="Dark paint warms in the sun and shows spots"
          data={optionsOf(TONE_NAMES)}
          value={draft.paintTone}
          onChange={(value) => value && set({ paintTone: value })}
          allowDeselect={false}
        />
      </Group>
      <Group grow align="end">
        <Select
          label="Protection"
          description="Zone by zone on its condition page"
          data={optionsOf(PROTECTION_NAMES)}
          value={draft.protection}
          onChange={(value) => value && set({ protection: value })}
          allowDeselect={false}
        />
        <Select
          label="Water on the paint"
          description="Where no zone says otherwise"
          data={optionsOf(BEHAVIOUR_NAMES)}
          value={draft.waterBehaviour}
          onChange={(value) => value && set({ waterBehaviour: value })}
          allowDeselect={false}
        />
      </Group>
      <div>
        <Text size="sm" fw={500} id="material-label">
          Body panels
        </Text>
        <SegmentedControl
          aria-labelledby="material-label"
          data={[
            { value: 'steel', label: 'Steel' },
            { value: 'aluminium', label: 'Aluminium' },
          ]}
          value={draft.bodyMaterial}
          onChange={(value) => set({ bodyMaterial: value === 'aluminium' ? 'aluminium' : 'steel' })}
        />
      </div>
      <Select
        label="Stands at night"
        description="A warm damp place lets salt work faster"
        placeholder="In the street"
        clearable
        clearButtonProps={{ 'aria-label': 'In the street' }}
        data={places.map(({ id, name }) => ({ value: id, label: name }))}
        value={draft.standsAtPlaceId}
        onChange={(standsAtPlaceId) => set({ standsAtPlaceId })}
        error={errors.standsAtPlaceId}
      />
      <Group grow align="start">
        <NumberField
          label="Main road"
          unit="km a day"
          value={draft.mainRoadKm}
          onChange={(mainRoadKm) => set({ mainRoadKm })}
          min={0}
          max={1500}
          error={errors.mainRoadKm}
        />
        <NumberField
          label="Town"
          unit="km a day"
          value={draft.townKm}
          onChange={(townKm) => set({ townKm })}
          min={0}
          max={1500}
          error={errors.townKm}
        />
        <NumberField
          label="Bridge"
          unit="km a day"
          value={draft.bridgeKm}
          onChange={(bridgeKm) => set({ bridgeKm })}
          min={0}
          max={1500}
          error={errors.bridgeKm}
        />
      </Group>
      <Fieldset legend="The week, in usual days' driving">
        <Group grow gap={6} align="start" wrap="nowrap">
          {WEEKDAYS.map((day, i) => (
            <NumberField
              key={day}
              label={day}
              value={draft.weekShares[i] ?? null}
              onChange={(share) =>
                set({ weekShares: draft.weekShares.map((old, at) => (at === i ? share : old)) })
              }
              min={0}
              max={10}
            />
          ))}
        </Group>
        <p className="muted" style={{ margin: '0.3rem 0 0' }}>
          0 stays at home, 1 a usual day, 2 twice the way. Drives that are logged go before the habit.
        </p>
        {errors.weekShares && (
          <p role="alert" style={{ margin: 0, color: 'var(--kr-lamp)' }}>
            {errors.weekShares}
          </p>
        )}
      </Fieldset>
      <Checkbox
        label="Delicate wheels"
        description="Polished, gloss-black or bare metal: grit is rinsed off first, no strong chemistry"
        checked={draft.delicateWheels}
        onChange={(event) => set({ delicateWheels: event.currentTarget.checked })}
      />
      <Checkbox
        label="Has a charge port"
        description="Dried and protected after each wash by hand; never while it charges"
        checked={draft.hasChargePort}
        onChange={(event) => set({ hasChargePort: event.currentTarget.checked })}
      />
      <Group grow align="start">
        <Select
          label="Never more than"
          description="What it may bear between two washes"
          data={optionsOf(TARGET_NAMES)}
          value={draft.targetKind}
          onChange={(value) => value && set({ targetKind: value })}
          allowDeselect={false}
        />
        {draft.targetKind === 'days' ? (
          <NumberField
            label="Days between washes"
            hint="From one wash to the next"
            value={draft.cadenceDays}
            onChange={(cadenceDays) => set({ cadenceDays })}
            min={1}
            max={365}
            decimals={0}
            error={errors.cadenceDays}
          />
        ) : (
          <NumberField
            label={TARGET_NAMES[draft.targetKind]}
            hint="By the salt ledger; at the latest after 90 days"
            value={draft.targetMost}
            onChange={(targetMost) => set({ targetMost })}
            min={1}
            max={1000}
            decimals={0}
            error={errors.targetMost}
          />
        )}
      </Group>
      <Fieldset legend="Work of the season that is wanted">
        <SeasonChips value={draft.seasonJobs} onChange={(seasonJobs) => set({ seasonJobs })} />
      </Fieldset>
      <Textarea
        label="Notes"
        autosize
        minRows={2}
        value={draft.notes}
        maxLength={2000}
        onChange={(event) => set({ notes: event.currentTarget.value })}
      />
    </FormDrawer>
  );
}
