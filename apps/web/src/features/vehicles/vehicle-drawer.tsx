import type { PlaceRecord, VehicleRecord } from '@keen/core';
import { Fieldset, Select, Textarea } from '@mantine/core';
import { useSaveVehicle } from '../../api/queries.js';
import { FormDrawer } from '../../parts/form-drawer.js';
import { SeasonChips } from '../../parts/season-chips.js';
import { useRecordForm } from '../../parts/use-record-form.js';
import { DrivesFields } from './drives-fields.js';
import { KindFields, LooksFields } from './looks-fields.js';
import { LastWashField } from './last-wash-field.js';
import { TargetFields } from './target-fields.js';
import { draftOf, NEW_VEHICLE, vehicleErrors, vehicleFrom } from '../../drafts/vehicle-form.js';
import { WhoFields } from './who-fields.js';

interface VehicleDrawerProps {
  /** null: a new one. */
  readonly vehicle: VehicleRecord | null;
  readonly places: readonly PlaceRecord[];
  readonly onClose: () => void;
  readonly onSaved: (saved: VehicleRecord) => void;
}

/** Adding or editing a vehicle. */
export function VehicleDrawer({ vehicle, places, onClose, onSaved }: VehicleDrawerProps) {
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
      <WhoFields draft={draft} set={set} errors={errors} />
      <LooksFields draft={draft} set={set} errors={errors} />
      <Select
        label="Parked overnight"
        description="A warm damp place lets salt work faster"
        placeholder="In the street"
        clearable
        clearButtonProps={{ 'aria-label': 'In the street' }}
        data={places.map(({ id, name }) => ({ value: id, label: name }))}
        value={draft.standsAtPlaceId}
        onChange={(standsAtPlaceId) => set({ standsAtPlaceId })}
        error={errors.standsAtPlaceId}
      />
      <DrivesFields draft={draft} set={set} errors={errors} />
      <KindFields draft={draft} set={set} errors={errors} />
      <TargetFields draft={draft} set={set} errors={errors} />
      <LastWashField draft={draft} set={set} errors={errors} />
      <Fieldset legend="Seasonal jobs that are wanted">
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
