import { Button, Group, TextInput } from '@mantine/core';
import type { Customer } from '@keen/core';
import { useState } from 'react';
import { useEraseCustomer } from '../../api/customer-queries.js';
import { Dialog } from '../../parts/dialog.js';
import { noticeOfFailure } from '../../parts/notices.js';

interface EraseDialogProps {
  readonly customer: Customer;
  readonly onClose: () => void;
}

/** Asks for the name before a customer is erased: it is the one thing here that cannot be taken back. */
export function EraseDialog({ customer, onClose }: EraseDialogProps) {
  const { id, name } = customer;
  const erase = useEraseCustomer();
  const [typed, setTyped] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const go = (): void => {
    if (typed.trim() !== name) {
      setFault(`Type ${name} as it is written here.`);
      return;
    }
    erase.mutate(id, { onSuccess: onClose, onError: noticeOfFailure });
  };
  return (
    <Dialog title={`Erase ${name} for good`} onClose={onClose}>
      <p>
        Name, contact, notes, bookings, messages, photographs and what was written on runs go. Their cars
        leave the list without a name; salt and washes stay in the shop’s figures. This cannot be undone.
      </p>
      <p>Backups made before still hold it until they are thinned out, at most a year.</p>
      <TextInput
        label="Type the name to erase it"
        value={typed}
        onChange={(event) => {
          setTyped(event.currentTarget.value);
          setFault(null);
        }}
        error={fault}
        data-autofocus
      />
      <Group mt="md">
        <Button color="red.8" loading={erase.isPending} onClick={go}>
          Erase for good
        </Button>
        <Button variant="default" onClick={onClose}>
          Keep it
        </Button>
      </Group>
    </Dialog>
  );
}
