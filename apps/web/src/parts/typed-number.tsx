import { NumberInput, type NumberInputProps } from '@mantine/core';
import type { ClipboardEvent } from 'react';
import { numberOf } from './number-text.js';

/**
 * A number as it is typed: its sign, its comma and its end stay, also where it is pasted. What lies outside the limits is left
 * standing, so that the form can say so.
 */
export function TypedNumber({ onChange, ...props }: NumberInputProps) {
  const paste = (event: ClipboardEvent<HTMLInputElement>): void => {
    const text = event.clipboardData.getData('text');
    const value = numberOf(text);
    // What the field would read otherwise: a printed minus, or a comma, is not its own.
    if (value === null || !/[−–,]/.test(text)) return;
    event.preventDefault();
    onChange?.(value);
  };
  return (
    <NumberInput
      allowedDecimalSeparators={['.', ',']}
      clampBehavior="none"
      onPaste={paste}
      onChange={onChange}
      {...props}
    />
  );
}

/** A number to so many places; a text that is being typed as it is. */
export const shownNumber = (value: number | string, decimals: number): number | string =>
  typeof value === 'number' ? Number(value.toFixed(decimals)) : value;
