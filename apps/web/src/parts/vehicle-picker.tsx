import type { VehicleRecord } from '@keen/core';
import { Select } from '@mantine/core';

interface VehiclePickerProps {
  readonly vehicles: readonly VehicleRecord[] | undefined;
  readonly value: string;
  readonly onChoose: (vehicleId: string) => void;
}

/** Chooses the vehicle that a view is about. */
export function VehiclePicker({ vehicles = [], value, onChoose }: VehiclePickerProps) {
  return (
    <Select
      label="Vehicle"
      data={vehicles.map(({ id, name }) => ({ value: id, label: name }))}
      value={value}
      onChange={(id) => id && onChoose(id)}
      allowDeselect={false}
      searchable
      w={230}
    />
  );
}
