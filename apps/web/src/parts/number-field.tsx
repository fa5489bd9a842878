import type { Scale } from '../format/scales.js';
import { useState } from 'react';
import { numberOf } from './number-text.js';
import { TypedNumber } from './typed-number.js';

const AS_KEPT: Scale = { toShown: (value) => value, fromShown: (shown) => shown };

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
  readonly scale?: Scale;
}

/** A number with its unit; empty is null, never 0. What is typed stands until it means another number than the value. */
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
  scale = AS_KEPT,
}: NumberFieldProps) {
  const [typed, setTyped] = useState<string | number | null>(null);
  const meant = (text: string | number): number | null => {
    const shown = numberOf(text);
    return shown === null ? null : scale.fromShown(shown);
  };
  const isTyped = typed !== null && meant(typed) === value;
  const shown = value === null ? '' : Number(scale.toShown(value).toFixed(decimals));
  return (
    <TypedNumber
      label={unit ? `${label}, ${unit}` : label}
      description={hint}
      value={isTyped ? typed : shown}
      onChange={(next) => {
        setTyped(next);
        onChange(meant(next));
      }}
      min={min}
      max={max}
      decimalScale={decimals}
      error={error}
    />
  );
}
