import type { Customer } from '@keen/core';
import { useEraseCustomer } from '../../api/customer-queries.js';
import { noticeOfFailure } from '../../parts/notices.js';
import { SureDialog } from '../../parts/sure-dialog.js';

interface EraseDialogProps {
  readonly customer: Customer;
  readonly onClose: () => void;
}

/** Asks for the name before a customer is erased. */
export function EraseDialog({ customer, onClose }: EraseDialogProps) {
  const { id, name } = customer;
  const erase = useEraseCustomer();
  return (
    <SureDialog
      title={`Erase ${name} for good`}
      word={name}
      label="Type the name to erase it"
      otherwise={`Type ${name} as it is written here.`}
      act="Erase for good"
      isBusy={erase.isPending}
      onAct={() => void erase.mutateAsync(id).then(onClose, noticeOfFailure)}
      onClose={onClose}
    >
      <p>
        Name, contact, notes, bookings, messages, photographs and what was written on runs go. Their cars
        leave the list without a name; salt and washes stay in the shop’s figures. This cannot be undone.
      </p>
      <p>
        Backups made before still hold it until they are thinned out, at most a year; a live copy for three
        days.
      </p>
    </SureDialog>
  );
}
