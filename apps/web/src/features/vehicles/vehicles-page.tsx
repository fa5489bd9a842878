import type { PlaceRecord, VehicleRecord } from '@keen/core';
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
import { nameOf } from '../../words/names.js';
import { VehicleDrawer } from './vehicle-drawer.js';

/** What it may bear between two washes. */
function targetText({ target, cadenceDays }: VehicleRecord): string {
  if (target.kind === 'days') return `Every ${cadenceDays} days.`;
  return target.kind === 'salt-days'
    ? `Never more than ${target.most} days with salt on it.`
    : `Never more than ${target.most} hours of salt at work.`;
}

/** Where each car has a page of its own. */
const PAGES = [
  { path: 'windows', text: 'Windows', label: 'Windows of' },
  { path: 'salt', text: 'Salt', label: 'Salt on' },
  { path: 'condition', text: 'Condition', label: 'Condition of' },
] as const;

interface VehicleItemProps {
  readonly vehicle: VehicleRecord;
  readonly places: readonly PlaceRecord[];
  readonly onEdit: (vehicle: VehicleRecord) => void;
  readonly onDelete: (vehicle: VehicleRecord) => void;
}

function VehicleItem({ vehicle, places, onEdit, onDelete }: VehicleItemProps) {
  const format = useFormat();
  return (
    <li className={classes.item}>
      <div>
        <h2>{vehicle.name}</h2>
        <p className="muted">
          {BODY_NAMES[vehicle.bodyClass]}
          {vehicle.keeper && `, ${vehicle.keeper}`}
        </p>
        <p>
          {vehicle.protection === 'bare' ? 'No protection' : PROTECTION_NAMES[vehicle.protection]}
          {vehicle.protections.length > 0 && `, ${vehicle.protections.length} zones dated`}; water{' '}
          {BEHAVIOUR_NAMES[vehicle.waterBehaviour].toLowerCase()}. Parked overnight{' '}
          {vehicle.standsAtPlaceId ? `at ${nameOf(places, vehicle.standsAtPlaceId)}` : 'in the street'}.{' '}
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
          onClick={() => onEdit(vehicle)}
          aria-label={`Edit ${vehicle.name}`}
        >
          Edit
        </Button>
        {PAGES.map(({ path, text, label }) => (
          <Button
            key={path}
            size="compact-md"
            variant="default"
            component={Link}
            to={`/${path}/${vehicle.id}`}
            aria-label={`${label} ${vehicle.name}`}
          >
            {text}
          </Button>
        ))}
        <Button
          size="compact-md"
          variant="default"
          onClick={() => onDelete(vehicle)}
          aria-label={`Delete ${vehicle.name}`}
        >
          Delete
        </Button>
      </div>
    </li>
  );
}

/** The vehicles of the shop. */
export function VehiclesPage() {
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
          <VehicleItem
            key={vehicle.id}
            vehicle={vehicle}
            places={places}
            onEdit={setOpen}
            onDelete={deleteOne}
          />
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
