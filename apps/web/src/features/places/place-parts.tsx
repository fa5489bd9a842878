import { Button, Fieldset, Group, Select, Stack, TextInput } from '@mantine/core';
import type { HorizonPoint, Opening } from '@keen/core';
import { HARDNESS_LABELS } from '../../format/format.js';
import { hardnessScale, tempScale } from '../../format/scales.js';
import { useFormat } from '../../format/use-format.js';
import { NumberField } from '../../parts/number-field.js';
import { type WaterDraft } from '../../drafts/place-draft.js';
import { type QueueRow } from '../../drafts/queue-rows.js';
import type { PlaceErrors } from '../../drafts/place-errors.js';

const ORIGINS = [
  { value: 'measured', label: 'Measured' },
  { value: 'estimated', label: 'Estimated' },
  { value: 'default', label: 'Default' },
];

interface WaterFieldsProps {
  readonly legend: string;
  readonly prefix: string;
  readonly water: WaterDraft;
  readonly errors: PlaceErrors;
  readonly onChange: (water: WaterDraft) => void;
}

/** One water of a place: what it leaves and how warm it comes. */
export function WaterFields({ legend, prefix, water, errors, onChange }: WaterFieldsProps) {
  const { display } = useFormat();
  const set = (change: Partial<WaterDraft>): void => onChange({ ...water, ...change });
  return (
    <Fieldset legend={legend}>
      <Stack gap="xs">
        <Group grow align="start">
          <TextInput
            label="Name"
            value={water.name}
            maxLength={60}
            onChange={(event) => set({ name: event.currentTarget.value })}
            error={errors[`${prefix}.name`]}
          />
          <Select
            label="Origin"
            data={ORIGINS}
            value={water.origin}
            onChange={(origin) => origin && set({ origin: origin as WaterDraft['origin'] })}
            allowDeselect={false}
          />
        </Group>
        <Group grow align="start">
          <NumberField
            label="Hardness"
            unit={HARDNESS_LABELS[display.hardness]}
            scale={hardnessScale(display)}
            decimals={display.hardness === 'mgPerLitreCaCO3' ? 1 : 2}
            value={water.hardnessMgPerLitre}
            onChange={(hardnessMgPerLitre) => set({ hardnessMgPerLitre })}
            error={errors[`${prefix}.hardnessMgPerLitre`]}
          />
          <NumberField
            label="Dissolved solids"
            unit="mg/L"
            value={water.tdsMgPerLitre}
            onChange={(tdsMgPerLitre) => set({ tdsMgPerLitre })}
            error={errors[`${prefix}.tdsMgPerLitre`]}
          />
          <NumberField
            label="Comes at"
            unit={`°${display.temperature}`}
            scale={tempScale(display)}
            value={water.tempC}
            onChange={(tempC) => set({ tempC })}
            error={errors[`${prefix}.tempC`]}
          />
        </Group>
      </Stack>
    </Fieldset>
  );
}

interface Column<T> {
  readonly field: keyof T & string;
  readonly label: string;
  readonly max: number;
  readonly unit?: string;
}

interface RowsFieldsProps<T> {
  readonly legend: string;
  readonly hint: string;
  readonly columns: readonly Column<T>[];
  readonly rows: readonly T[];
  readonly blank: T;
  readonly onChange: (rows: readonly T[]) => void;
}

/** A short list of numbers: a horizon profile, the open ends of a bay, or stretches of waiting. */
function RowsFields<T extends object>({ legend, hint, columns, rows, blank, onChange }: RowsFieldsProps<T>) {
  return (
    <Fieldset legend={legend}>
      <p className="muted" style={{ margin: '0 0 0.4rem' }}>
        {hint}
      </p>
      <Stack gap={6}>
        {rows.map((row, i) => (
          <Group key={i} wrap="nowrap" align="end">
            {columns.map(({ field, label, max, unit = '°' }) => (
              <NumberField
                key={field}
                label={label}
                unit={unit}
                min={0}
                max={max}
                decimals={0}
                value={Number(row[field])}
                onChange={(value) =>
                  onChange(
                    rows.map((old, at) =>
                      at === i ? { ...old, [field]: Math.min(max, Math.max(0, value ?? 0)) } : old,
                    ),
                  )
                }
              />
            ))}
            <Button
              variant="default"
              onClick={() => onChange(rows.filter((_, at) => at !== i))}
              aria-label={`Remove row ${i + 1}`}
            >
              Remove
            </Button>
          </Group>
        ))}
        <div>
          <Button variant="default" size="compact-md" onClick={() => onChange([...rows, blank])}>
            Add a row
          </Button>
        </div>
      </Stack>
    </Fieldset>
  );
}

export function HorizonFields(props: {
  readonly rows: readonly HorizonPoint[];
  readonly onChange: (rows: readonly HorizonPoint[]) => void;
}) {
  return (
    <RowsFields
      {...props}
      legend="What hides the sun"
      hint="Below this height in this direction the sun is hidden. Directions run clockwise from north."
      columns={[
        { field: 'azimuthDeg', label: 'Direction', max: 360 },
        { field: 'elevationDeg', label: 'Hidden below', max: 90 },
      ]}
      blank={{ azimuthDeg: 180, elevationDeg: 10 }}
    />
  );
}

export function OpeningFields(props: {
  readonly rows: readonly Opening[];
  readonly onChange: (rows: readonly Opening[]) => void;
}) {
  return (
    <RowsFields
      {...props}
      legend="Open ends"
      hint="The arcs through which the sun comes in, clockwise from north, and how high they open as seen from the car."
      columns={[
        { field: 'fromDeg', label: 'From', max: 360 },
        { field: 'toDeg', label: 'To', max: 360 },
        { field: 'topElevationDeg', label: 'Opens up to', max: 90 },
      ]}
      blank={{ fromDeg: 120, toDeg: 160, topElevationDeg: 35 }}
    />
  );
}

export function QueueFields(props: {
  readonly legend: string;
  readonly rows: readonly QueueRow[];
  readonly onChange: (rows: readonly QueueRow[]) => void;
}) {
  return (
    <RowsFields
      {...props}
      hint="Minutes in the queue between two hours of the day; none elsewhere."
      columns={[
        { field: 'fromHour', label: 'From', max: 24, unit: 'h' },
        { field: 'toHour', label: 'To', max: 24, unit: 'h' },
        { field: 'minutes', label: 'Waiting', max: 240, unit: 'min' },
      ]}
      blank={{ fromHour: 16, toHour: 18, minutes: 10 }}
    />
  );
}
