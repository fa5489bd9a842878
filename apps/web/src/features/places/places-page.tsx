import { Button } from '@mantine/core';
import type { PlaceRecord } from '@keen/core';
import { useState } from 'react';
import { useClock, usePlaces, useRemove, useRestore } from '../../api/queries.js';
import { useFormat } from '../../format/use-format.js';
import { sayWithUndo } from '../../parts/notices.js';
import { Page } from '../../parts/page.js';
import { Empty, Failed, Loading } from '../../parts/states.js';
import { PlaceCard } from './place-card.js';
import classes from '../../parts/drawn-card.module.css';
import { OwnerOnly } from '../../parts/owner-only.js';
import { PlaceDrawer } from './place-drawer.js';

/** The places to wash, and their waters. */
export function PlacesPage() {
  const format = useFormat();
  const { data: places, error, isPending, refetch } = usePlaces();
  const [open, setOpen] = useState<PlaceRecord | 'new' | null>(null);
  const { data: clock } = useClock();
  const remove = useRemove('places');
  const restore = useRestore('places');
  if (isPending)
    return (
      <Page title="Places">
        <Loading what="Fetching the places" />
      </Page>
    );
  if (error)
    return (
      <Page title="Places">
        <Failed error={error} onRetry={() => void refetch()} />
      </Page>
    );
  const deleteOne = ({ id, name }: PlaceRecord): void =>
    void sayWithUndo(remove.mutateAsync(id), `${name} deleted.`, () => restore.mutateAsync(id));
  return (
    <Page
      title="Places"
      lead="Where a car can be washed, and what water runs there. Dots are today’s sun, full where it reaches the car."
      actions={
        <OwnerOnly>
          <Button color="lamp.3" onClick={() => setOpen('new')}>
            Add a place
          </Button>
        </OwnerOnly>
      }
    >
      {places.length === 0 && (
        <Empty title="No places yet">
          Add a garage, a bay or a drive, and every vehicle is judged there.
        </Empty>
      )}
      <ul className={classes.list}>
        {places.map((place) => (
          <PlaceCard
            key={place.id}
            place={place}
            places={places}
            nowMs={clock?.nowMs ?? 0}
            onEdit={() => setOpen(place)}
            onDelete={() => deleteOne(place)}
          />
        ))}
      </ul>
      {open !== null && (
        <PlaceDrawer
          key={open === 'new' ? 'new' : open.id}
          place={open === 'new' ? null : open}
          places={places}
          timeZone={format.timeZone}
          currency={format.display.currency}
          onClose={() => setOpen(null)}
        />
      )}
    </Page>
  );
}
