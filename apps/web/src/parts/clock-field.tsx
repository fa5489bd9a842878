import { TextInput } from '@mantine/core';
import { useState } from 'react';
import { clockOf, minutesOf } from './wall-clock.js';

interface ClockFieldProps {
  readonly label: string;
  /** After midnight; NaN: what is typed is no time. */
  readonly minutes: number;
  readonly onChange: (minutes: number) => void;
  readonly error?: string | undefined;
}

/** A time of the day by the clock that the program shows, whatever the browser's own language. What is typed stands until it is left, and as long as it is no time. */
export function ClockField({ label, minutes, onChange, error }: ClockFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const isWrong = typed !== null && minutesOf(typed) === null;
  return (
    <TextInput
      aria-label={label}
      w={64}
      flex="none"
      styles={{ input: { paddingInline: '0.5rem' } }}
      inputMode="numeric"
      maxLength={5}
      value={typed ?? clockOf(minutes)}
      onChange={(event) => {
        const text = event.currentTarget.value;
        setTyped(text);
        onChange(minutesOf(text) ?? NaN);
      }}
      onBlur={() => {
        if (!isWrong) setTyped(null);
      }}
      error={isWrong ? 'As 07:30.' : error}
    />
  );
}
