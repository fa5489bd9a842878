import { Fieldset, Group } from '@mantine/core';
import { unitOf } from '../../format/shown-unit.js';
import { useFormat } from '../../format/use-format.js';
import { NumberField } from '../../parts/number-field.js';
import type { VehicleFieldsProps } from './vehicle-fields-props.js';

const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;

/** Where and how far it drives, on which days. */
export function DrivesFields({ draft, set, errors }: VehicleFieldsProps) {
  const perDay = unitOf('km a day', useFormat().display);
  return (
    <>
      <Group grow align="start">
        <NumberField
          label="Main road"
          {...perDay}
          value={draft.mainRoadKm}
          onChange={(mainRoadKm) => set({ mainRoadKm })}
          min={0}
          max={1500}
          error={errors.mainRoadKm}
        />
        <NumberField
          label="Town"
          {...perDay}
          value={draft.townKm}
          onChange={(townKm) => set({ townKm })}
          min={0}
          max={1500}
          error={errors.townKm}
        />
        <NumberField
          label="Bridge"
          {...perDay}
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
    </>
  );
}
