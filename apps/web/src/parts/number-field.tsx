import { NumberInput } from '@mantine/core';

interface NumberFieldProps {
  readonly label: string;
  readonly value: number | null;
  readonly onChange: (value: number | null) => void;
  readonly unit?: string;
  readonly min?: number;
  readonly max?: number;
  readonly decimals?: number;
  readonly error?: string;
  readonly hint?: string;
}

/** A number with its unit; empty is null, never 0. */
export function NumberField({
  label,
  value,
  onChange,
  unit,
  min,
  max,
  decimals = 1,
  error,
  hint,
}: NumberFieldProps) {
  return (
    <NumberInput
      label={unit ? `${label}, ${unit}` : label}
      description={hint}
      value={value ?? ''}
      onChange={(next) => onChange(next === '' ? null : Number(next))}
      min={min}
      max={max}
      clampBehavior="none"
      decimalScale={decimals}
      error={error}
    />
  );
}
