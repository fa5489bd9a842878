import { Button, Group, Stack } from '@mantine/core';
import type { ReactNode } from 'react';
import { SideDialog } from './dialog.js';

interface FormDrawerProps {
  readonly title: string;
  readonly isSaving: boolean;
  readonly failure: string | null;
  readonly onSave: () => void;
  readonly onCancel: () => void;
  /** Closes and keeps what was typed. */
  readonly onClose: () => void;
  readonly children: ReactNode;
}

/** A form at the side; closing it keeps the draft, cancelling forgets it. */
export function FormDrawer({
  title,
  isSaving,
  failure,
  onSave,
  onCancel,
  onClose,
  children,
}: FormDrawerProps) {
  return (
    <SideDialog title={title} onClose={onClose} closeLabel="Close and keep what is typed">
      <form
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          onSave();
        }}
      >
        <Stack gap="sm">
          {children}
          {failure && (
            <p role="alert" style={{ margin: 0, color: 'var(--kr-lamp)', fontWeight: 600 }}>
              {failure}
            </p>
          )}
          <Group justify="flex-end">
            <Button variant="default" onClick={onCancel}>
              Cancel
            </Button>
            <Button type="submit" color="lamp.3" loading={isSaving}>
              Save
            </Button>
          </Group>
        </Stack>
      </form>
    </SideDialog>
  );
}
