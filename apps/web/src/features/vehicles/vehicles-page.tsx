import type { VehicleRecord } from '@keen/core';
import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import { useMorning } from '../../api/plan-queries.js';
import { useWashes } from '../../api/wash-queries.js';
import { usePlaces, useRemove, useRestore, useVehicles } from '../../api/queries.js';
import { sayWithUndo } from '../../parts/notices.js';
import { Page } from '../../parts/page.js';
import { Empty, Failed, Loading } from '../../parts/states.js';
import { CarList } from './car-list.js';
import { VehicleCard } from './vehicle-card.js';
import classes from '../../parts/drawn-card.module.css';
import { OwnerOnly } from '../../parts/owner-only.js';
import { VehicleDrawer } from './vehicle-drawer.js';

/** The vehicles of the shop. */
export function VehiclesPage() {
  const { data: vehicles, error, isPending, refetch } = useVehicles();
  const { data: places = [] } = usePlaces();
  const { data: washes = [] } = useWashes();
  const { data: morning } = useMorning();
  const [open, setOpen] = useState<VehicleRecord | 'new' | null>(null);
  const [text, setText] = useState('');
  const [isReading, setReading] = useState(false);
  const remove = useRemove('vehicles');
  const restore = useRestore('vehicles');
  if (isPending)
    return (
      <Page title="Vehicles">
        <Loading what="Fetching the vehicles" />
      </Page>
    );
  if (error)
    return (
      <Page title="Vehicles">
        <Failed error={error} onRetry={() => void refetch()} />
      </Page>
    );

  const wanted = text.trim().toLowerCase();
  const shown = vehicles.filter(({ name, keeper }) => `${name} ${keeper}`.toLowerCase().includes(wanted));
  const deleteOne = ({ id, name }: VehicleRecord): void =>
    void sayWithUndo(remove.mutateAsync(id), `${name} deleted.`, () => restore.mutateAsync(id));
  return (
    <Page
      title="Vehicles"
      lead={`${vehicles.length} in the shop.`}
      actions={
        <>
          <TextInput
            label="Find"
            value={text}
            onChange={(event) => setText(event.currentTarget.value)}
            w={180}
          />
          <OwnerOnly>
            <Button variant="default" onClick={() => setReading(true)}>
              Read a list
            </Button>
            <Button color="lamp.3" onClick={() => setOpen('new')}>
              Add a vehicle
            </Button>
          </OwnerOnly>
        </>
      }
    >
      {shown.length === 0 && (
        <Empty title={vehicles.length === 0 ? 'No vehicles yet' : 'Nothing matches'}>
          Add a vehicle, and its windows are worked out at once.
        </Empty>
      )}
      <ul className={classes.list}>
        {shown.map((vehicle) => (
          <VehicleCard
            key={vehicle.id}
            vehicle={vehicle}
            answer={morning?.answers.find(({ vehicleId }) => vehicleId === vehicle.id)}
            washes={washes}
            places={places}
            onEdit={() => setOpen(vehicle)}
            onDelete={() => deleteOne(vehicle)}
          />
        ))}
      </ul>
      {isReading && <CarList onClose={() => setReading(false)} />}
      {open !== null && (
        <VehicleDrawer
          key={open === 'new' ? 'new' : open.id}
          vehicle={open === 'new' ? null : open}
          places={places}
          onClose={() => setOpen(null)}
          onSaved={() => setOpen(null)}
        />
      )}
    </Page>
  );
}
