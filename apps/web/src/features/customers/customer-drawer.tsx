import { Checkbox, MultiSelect, Select, Textarea, TextInput } from '@mantine/core';
import type { Customer, VehicleRecord } from '@keen/core';
import { useSaveCustomer } from '../../api/customer-queries.js';
import { FormDrawer } from '../../parts/form-drawer.js';
import { HoursFields } from '../../parts/hours-fields.js';
import { useRecordForm } from '../../parts/use-record-form.js';
import { CONSENT_NAMES, optionsOf } from '../../words/names.js';
import { customerErrors, customerFrom, draftOf, NEW_CUSTOMER } from './customer-form.js';

interface CustomerDrawerProps {
  /** null: a new one. */
  readonly customer: Customer | null;
  readonly vehicles: readonly VehicleRecord[];
  readonly onClose: () => void;
  readonly onSaved: () => void;
}

/** Adding or editing a customer. */
export function CustomerDrawer({ customer, vehicles, onClose, onSaved }: CustomerDrawerProps) {
  const save = useSaveCustomer();
  const { draft, set, errors, failure, submit, cancel } = useRecordForm({
    draftKey: `customer-${customer?.id ?? 'new'}`,
    record: customer,
    initial: customer ? draftOf(customer, vehicles) : NEW_CUSTOMER,
    errorsOf: customerErrors,
    fieldsOf: customerFrom,
    save: (fields) => save.mutateAsync({ id: customer?.id, ...fields }),
    onSaved,
    onClose,
  });
  return (
    <FormDrawer
      title={customer ? `Edit ${customer.name}` : 'Add a customer'}
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
      <TextInput
        label="Reached by"
        description="As they said it; the program sends nothing"
        value={draft.contact}
        maxLength={200}
        onChange={(event) => set({ contact: event.currentTarget.value })}
        error={errors.contact}
      />
      <MultiSelect
        label="Cars"
        data={vehicles.map(({ id, name }) => ({ value: id, label: name }))}
        value={[...draft.vehicleIds]}
        onChange={(vehicleIds) => set({ vehicleIds })}
        searchable
        clearable
        clearButtonProps={{ 'aria-label': 'No cars' }}
        error={errors.vehicleIds}
      />
      <Select
        label="Photographs of their cars"
        description="The day on which it changes is kept; plates are masked anyway"
        data={optionsOf(CONSENT_NAMES)}
        value={draft.photoConsent}
        onChange={(value) => value && set({ photoConsent: value })}
        allowDeselect={false}
      />
      <Checkbox
        label="Their cars are available at certain hours only"
        description="The plan keeps washes within them"
        checked={draft.isLimited}
        onChange={(event) => set({ isLimited: event.currentTarget.checked })}
      />
      {draft.isLimited && (
        <HoursFields
          legend="Available"
          without="not"
          openHours={draft.hours}
          errors={errors}
          onChange={(hours) => set({ hours })}
        />
      )}
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
