import { Group, Select, TextInput } from '@mantine/core';
import { useCustomers } from '../../api/customer-queries.js';
import type { VehicleFieldsProps } from './vehicle-fields-props.js';

/** What it is called and whose it is. */
export function WhoFields({ draft, set, errors }: VehicleFieldsProps) {
  const { data: customers } = useCustomers();
  return (
    <>
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
    </>
  );
}
