import { Checkbox, Select, TextInput } from '@mantine/core';
import type { DisplaySettings } from '@keen/core';
import { shownUnit } from '../../format/shown-unit.js';
import type { DeskField } from './desk-view.js';
import { fieldWords, unitWords } from './field-words.js';

interface DeskInputProps {
  /** Name of the sum. */
  readonly sum: string;
  readonly field: DeskField;
  readonly value: string | boolean | undefined;
  readonly error: string | undefined;
  readonly display: DisplaySettings;
  readonly onChange: (value: string | boolean) => void;
}

/** One figure of a sum, in the user's unit. */
export function DeskInput({ sum, field, value, error, display, onChange }: DeskInputProps) {
  const unit = unitWords(sum, shownUnit(field.unit, display).label);
  const label = `${fieldWords(sum, field.name)}${unit ? `, ${unit}` : ''}${field.isOptional ? ' (if known)' : ''}`;
  const text = typeof value === 'string' ? value : '';
  if (field.kind === 'switch')
    return (
      <Checkbox
        label={label}
        checked={value === true}
        onChange={(event) => onChange(event.currentTarget.checked)}
      />
    );
  if (field.kind === 'choice')
    return (
      <Select
        label={label}
        data={[...field.choices]}
        value={text || null}
        onChange={(choice) => onChange(choice ?? '')}
        error={error}
      />
    );
  return (
    <TextInput
      label={label}
      description={field.kind === 'list' ? 'Several, with spaces between' : undefined}
      inputMode={field.kind === 'number' ? 'decimal' : undefined}
      value={text}
      onChange={(event) => onChange(event.currentTarget.value)}
      error={error}
    />
  );
}
