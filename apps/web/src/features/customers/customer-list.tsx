import { Button } from '@mantine/core';
import type { Customer, VehicleRecord } from '@keen/core';
import { useState } from 'react';
import {
  useBookings,
  useRemoveCustomer,
  useRestoreCustomer,
  useUnsentMessages,
} from '../../api/customer-queries.js';
import { useClock } from '../../api/queries.js';
import { useWashes } from '../../api/wash-queries.js';
import { sayWithUndo } from '../../parts/notices.js';
import classes from '../../parts/record-list.module.css';
import { Empty } from '../../parts/states.js';
import { CustomerCard } from './customer-card.js';
import { byPromise, carsOf, unsentCount } from './customer-view.js';
import { EraseDialog } from './erase-dialog.js';
import { OwnerOnly } from '../../parts/owner-only.js';
import { CustomerDrawer } from './customer-drawer.js';

interface CustomerListProps {
  readonly customers: readonly Customer[];
  readonly vehicles: readonly VehicleRecord[];
}

/** The people whose cars are washed. */
export function CustomerList({ customers, vehicles }: CustomerListProps) {
  const { data: bookings = [] } = useBookings();
  const { data: washes = [] } = useWashes();
  const { data: unsent = [] } = useUnsentMessages();
  const { data: clock } = useClock();
  const around = { vehicles, bookings, washes, unsent, nowMs: clock?.nowMs ?? 0 };
  const [erased, setErased] = useState<Customer | null>(null);
  const [open, setOpen] = useState<Customer | 'new' | null>(null);
  const remove = useRemoveCustomer();
  const restore = useRestoreCustomer();
  const deleteOne = ({ id, name }: Customer): void =>
    void sayWithUndo(remove.mutateAsync(id), `${name} deleted.`, () => restore.mutateAsync(id));
  return (
    <>
      <OwnerOnly>
        <div>
          <Button color="lamp.3" onClick={() => setOpen('new')}>
            Add a customer
          </Button>
        </div>
      </OwnerOnly>
      {customers.length === 0 && (
        <Empty title="Nobody is in the book yet">Add a customer, and give them their cars.</Empty>
      )}
      <ul className={classes.list}>
        {byPromise(customers, around).map((customer) => (
          <CustomerCard
            key={customer.id}
            customer={customer}
            cars={carsOf(customer, around)}
            unsent={unsentCount(customer, around)}
            onEdit={() => setOpen(customer)}
            onDelete={() => deleteOne(customer)}
            onErase={() => setErased(customer)}
          />
        ))}
      </ul>
      {erased && <EraseDialog customer={erased} onClose={() => setErased(null)} />}
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
