import { Button, Group } from '@mantine/core';
import type { ReactNode } from 'react';
import { ApiError } from '../api/client.js';
import classes from './note-form.module.css';

interface NoteFormProps {
  readonly submitLabel: string;
  readonly isSaving: boolean;
  readonly onSubmit: () => void;
  /** Said beside the button. */
  readonly said?: ReactNode;
  readonly children: ReactNode;
}

/** A short form in which one thing is noted. */
export function NoteForm({ submitLabel, isSaving, onSubmit, said, children }: NoteFormProps) {
  return (
    <form
      noValidate
      className={`${classes.form} no-print`}
      onSubmit={(event) => {
        event.preventDefault();
        onSubmit();
      }}
    >
      {children}
      <Group justify={said === undefined ? 'flex-end' : 'space-between'}>
        {said}
        <Button type="submit" variant="default" loading={isSaving}>
          {submitLabel}
        </Button>
      </Group>
    </form>
  );
}

/** What went wrong, by field; where the server is not responding, it is said at the field named. */
export const faultsOf = (error: Error, field: string): Readonly<Record<string, string>> =>
  error instanceof ApiError
    ? error.byField
    : { [field]: 'Not saved; the server is not responding. What you typed is kept.' };
