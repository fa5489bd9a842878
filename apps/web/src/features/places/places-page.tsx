import { Button } from '@mantine/core';
import { lastWater, type PlaceRecord } from '@keen/core';
import { useState } from 'react';
import { usePlaces, useRemove, useRestore } from '../../api/queries.js';
import type { Format } from '../../format/format.js';
import { useFormat } from '../../format/use-format.js';
import { noticeOfFailure, noticeWithUndo } from '../../parts/notices.js';
import { Page } from '../../parts/page.js';
import { Empty, Failed, Loading } from '../../parts/states.js';
import classes from '../../parts/record-list.module.css';
import { methodName } from '../../words/names.js';
import { PLACE_KIND_NAMES, TAP_NAMES } from '../../words/place-words.js';
import { PlaceDrawer } from './place-drawer.js';

/** "; finished at the unit, 5 min on": where a wash that begins here may end. */
function finishText({ finishAt }: PlaceRecord, places: readonly PlaceRecord[], format: Format): string {
  const second = places.find(({ id }) => id === finishAt?.placeId);
  return second && finishAt
    ? `; finished at ${second.name}, ${format.minutes(finishAt.driveMinutes)} on`
    : '';
}

/** The places to wash, and their waters. */
export function PlacesPage() {
  const format = useFormat();
  const { data: places, error, isPending, refetch } = usePlaces();
  const [open, setOpen] = useState<PlaceRecord | 'new' | null>(null);
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
    remove.mutate(id, {
      onSuccess: () => noticeWithUndo(`${name} deleted.`, () => restore.mutate(id)),
      onError: noticeOfFailure,
    });
  return (
    <Page
      title="Places"
      lead="Where a car can be washed, and what water runs there."
      actions={
        <Button color="lamp.3" onClick={() => setOpen('new')}>
          Add a place
        </Button>
      }
    >
      {places.length === 0 && (
        <Empty title="No places yet">
          Add a garage, a bay or a drive, and every vehicle is judged there.
        </Empty>
      )}
      <ul className={classes.list}>
        {places.map((place) => {
          const water = lastWater(place);
          return (
            <li key={place.id} className={classes.item}>
              <div>
                <h2>{place.name}</h2>
                <p className="muted">
                  {PLACE_KIND_NAMES[place.kind]},{' '}
                  {place.methods
                    .map(
                      ({ methodId, priceMinor }) => `${methodName(methodId)} at ${format.money(priceMinor)}`,
                    )
                    .join('; ')}
                </p>
                <p>
                  Dries on: {water.name}, {format.hardness(water.hardnessMgPerLitre)} hardness,{' '}
                  {water.tdsMgPerLitre} mg/L solids ({water.origin}).
                </p>
                <p className="muted">
                  {place.hasDrain ? 'Drain' : 'No drain'}; {place.hasLight ? 'lamps' : 'no lamps'}; tap:{' '}
                  {TAP_NAMES[place.tap].toLowerCase()}; {format.minutes(place.travelMinutes)} away
                  {finishText(place, places, format)}
                </p>
                {place.notes && <p>{place.notes}</p>}
              </div>
              <div className={`${classes.acts} no-print`}>
                <Button
                  size="compact-md"
                  variant="default"
                  onClick={() => setOpen(place)}
                  aria-label={`Edit ${place.name}`}
                >
                  Edit
                </Button>
                <Button
                  size="compact-md"
                  variant="default"
                  onClick={() => deleteOne(place)}
                  aria-label={`Delete ${place.name}`}
                >
                  Delete
                </Button>
              </div>
            </li>
          );
        })}
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
