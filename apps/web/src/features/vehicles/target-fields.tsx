import { Group, Select } from '@mantine/core';
import { NumberField } from '../../parts/number-field.js';
import { TARGET_NAMES } from '../../words/car-names.js';
import { optionsOf } from '../../words/names.js';
import type { VehicleFieldsProps } from './vehicle-fields-props.js';

/** What it may bear between two washes. */
export function TargetFields({ draft, set, errors }: VehicleFieldsProps) {
  return (
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
  );
}
