import { Checkbox, Group, SegmentedControl, Select, Text } from '@mantine/core';
import { BEHAVIOUR_NAMES, BODY_NAMES, PROTECTION_NAMES, TONE_NAMES } from '../../words/car-names.js';
import { optionsOf } from '../../words/names.js';
import type { VehicleFieldsProps } from './vehicle-fields-props.js';

/** Its shape, its paint and what lies on it. */
export function LooksFields({ draft, set }: VehicleFieldsProps) {
  return (
    <>
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
    </>
  );
}

/** What of it wants a gentler hand. */
export function KindFields({ draft, set }: VehicleFieldsProps) {
  return (
    <>
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
    </>
  );
}
