import type { VehicleRecord } from '@keen/core';
import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { usePlaces, useRemove, useRestore, useVehicles } from '../../api/queries.js';
import { useFormat } from '../../format/use-format.js';
import { noticeOfFailure, noticeWithUndo } from '../../parts/notices.js';
import { Page } from '../../parts/page.js';
import { Empty, Failed, Loading } from '../../parts/states.js';
import classes from '../../parts/record-list.module.css';
import { BEHAVIOUR_NAMES, BODY_NAMES, PROTECTION_NAMES } from '../../words/car-names.js';
import { VehicleDrawer } from './vehicle-drawer.js';

/** What it may bear between two washes. */
function targetText({ target, cadenceDays }: VehicleRecord): string {
  if (target.kind === 'days') return `Every ${cadenceDays} days.`;
  return target.kind === 'salt-days'
    ? `Never more than ${target.most} days with salt on it.`
    : `Never more than ${target.most} active hours.`;
}

/** The vehicles of the shop. */
export function VehiclesPage() {
  const format = useFormat();
  const { data: vehicles, error, isPending, refetch } = useVehicles();
  const { data: places = [] } = usePlaces();
  const [open, setOpen] = useState<VehicleRecord | 'new' | null>(null);
  const [text, setText] = useState('');
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
  const placeName = (id: string | null): string =>
    places.find((place) => place.id === id)?.name ?? 'in the street';
  const deleteOne = ({ id, name }: VehicleRecord): void =>
    remove.mutate(id, {
      onSuccess: () => noticeWithUndo(`${name} deleted.`, () => restore.mutate(id)),
      onError: noticeOfFailure,
    });
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
          <Button color="lamp.3" onClick={() => setOpen('new')}>
            Add a vehicle
          </Button>
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
          <li key={vehicle.id} className={classes.item}>
            <div>
              <h2>{vehicle.name}</h2>
              <p className="muted">
                {BODY_NAMES[vehicle.bodyClass]}
                {vehicle.keeper && `, ${vehicle.keeper}`}
              </p>
              <p>
                {vehicle.protection === 'bare' ? 'No protection' : PROTECTION_NAMES[vehicle.protection]}
                {vehicle.protections.length > 0 && `, ${vehicle.protections.length} zones dated`}; water{' '}
                {BEHAVIOUR_NAMES[vehicle.waterBehaviour].toLowerCase()}. Stands{' '}
                {vehicle.standsAtPlaceId ? `at ${placeName(vehicle.standsAtPlaceId)}` : 'in the street'}.{' '}
                {targetText(vehicle)}
              </p>
              <p className="muted">
                {format.km(vehicle.driving.mainRoadKm)} main road, {format.km(vehicle.driving.townKm)} town,{' '}
                {format.km(vehicle.driving.bridgeKm)} bridge a day
              </p>
              {vehicle.notes && <p>{vehicle.notes}</p>}
            </div>
            <div className={`${classes.acts} no-print`}>
              <Button
                size="compact-md"
                variant="default"
                onClick={() => setOpen(vehicle)}
                aria-label={`Edit ${vehicle.name}`}
              >
                Edit
              </Button>
              <Button
                size="compact-md"
                variant="default"
                component={Link}
                to={`/windows/${vehicle.id}`}
                aria-label={`Windows of ${vehicle.name}`}
              >
                Windows
              </Button>
              <Button
                size="compact-md"
                variant="default"
                component={Link}
                to={`/salt/${vehicle.id}`}
                aria-label={`Salt on ${vehicle.name}`}
              >
                Salt
              </Button>
              <Button
                size="compact-md"
                variant="default"
                component={Link}
                to={`/condition/${vehicle.id}`}
                aria-label={`Condition of ${vehicle.name}`}
              >
                Condition
              </Button>
              <Button
                size="compact-md"
                variant="default"
                onClick={() => deleteOne(vehicle)}
                aria-label={`Delete ${vehicle.name}`}
              >
                Delete
              </Button>
            </div>
          </li>
        ))}
      </ul>
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
