import { Button, Group, TextInput } from '@mantine/core';
import { type ReactNode, useState } from 'react';
import { Dialog } from './dialog.js';

interface SureDialogProps {
  readonly title: string;
  /** What goes, what stays, and whether it comes back. */
  readonly children: ReactNode;
  /** What has to be typed. */
  readonly word: string;
  readonly label: string;
  /** What is said where something else was typed. */
  readonly otherwise: string;
  /** What the button does. */
  readonly act: string;
  readonly isBusy: boolean;
  readonly onAct: () => void;
  readonly onClose: () => void;
}

/** Asks for a word before something is done that no undo brings back. */
export function SureDialog(props: SureDialogProps) {
  const { title, children, word, label, otherwise, act, isBusy, onAct, onClose } = props;
  const [typed, setTyped] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const go = (): void => {
    if (typed.trim().toLowerCase() === word.toLowerCase()) onAct();
    else setFault(otherwise);
  };
  return (
    <Dialog title={title} onClose={onClose}>
      {children}
      <TextInput
        label={label}
        value={typed}
        onChange={(event) => {
          setTyped(event.currentTarget.value);
          setFault(null);
        }}
        error={fault}
        data-autofocus
      />
      <Group mt="md">
        <Button color="red.8" loading={isBusy} onClick={go}>
          {act}
        </Button>
        <Button variant="default" onClick={onClose}>
          Keep it
        </Button>
      </Group>
    </Dialog>
  );
}
