import { Button } from '@mantine/core';
import type { Customer, VehicleRecord } from '@keen/core';
import { useState } from 'react';
import { useRemoveCustomer, useRestoreCustomer } from '../../api/customer-queries.js';
import { useFormat } from '../../format/use-format.js';
import { noticeOfFailure, noticeWithUndo } from '../../parts/notices.js';
import classes from '../../parts/record-list.module.css';
import { Empty } from '../../parts/states.js';
import { CONSENT_NAMES } from '../../words/names.js';
import { availabilityText } from './customer-form.js';
import { CustomerDrawer } from './customer-drawer.js';

interface CustomerListProps {
  readonly customers: readonly Customer[];
  readonly vehicles: readonly VehicleRecord[];
}

/** The people whose cars are washed. */
export function CustomerList({ customers, vehicles }: CustomerListProps) {
  const format = useFormat();
  const [open, setOpen] = useState<Customer | 'new' | null>(null);
  const remove = useRemoveCustomer();
  const restore = useRestoreCustomer();
  const deleteOne = ({ id, name }: Customer): void =>
    remove.mutate(id, {
      onSuccess: () => noticeWithUndo(`${name} deleted.`, () => restore.mutate(id)),
      onError: noticeOfFailure,
    });
  return (
    <>
      <div>
        <Button color="lamp.3" onClick={() => setOpen('new')}>
          Add a customer
        </Button>
      </div>
      {customers.length === 0 && (
        <Empty title="Nobody is in the book yet">Add a customer, and give them their cars.</Empty>
      )}
      <ul className={classes.list}>
        {customers.map((customer) => (
          <li key={customer.id} className={classes.item}>
            <div>
              <h2>{customer.name}</h2>
              <p>
                {vehicles
                  .filter(({ customerId }) => customerId === customer.id)
                  .map(({ name }) => name)
                  .join(', ') || 'No car yet'}
              </p>
              <p className="muted">
                {customer.contact ? `Reached by ${customer.contact}` : 'No way to reach them is noted'}
              </p>
              <p className="muted">
                {CONSENT_NAMES[customer.photoConsent]}
                {customer.consentMs === null
                  ? ' (not asked yet)'
                  : `, said on ${format.dayShort(customer.consentMs)}`}
              </p>
              <p className="muted">{availabilityText(customer.availability)}</p>
              {customer.notes && <p>{customer.notes}</p>}
            </div>
            <div className={`${classes.acts} no-print`}>
              <Button
                size="compact-md"
                variant="default"
                aria-label={`Edit ${customer.name}`}
                onClick={() => setOpen(customer)}
              >
                Edit
              </Button>
              <Button
                size="compact-md"
                variant="default"
                aria-label={`Delete ${customer.name}`}
                onClick={() => deleteOne(customer)}
              >
                Delete
              </Button>
            </div>
          </li>
        ))}
      </ul>
      {open !== null && (
        <CustomerDrawer
          key={open === 'new' ? 'new' : open.id}
          customer={open === 'new' ? null : open}
          vehicles={vehicles}
          onClose={() => setOpen(null)}
          onSaved={() => setOpen(null)}
        />
      )}
    </>
  );
}
