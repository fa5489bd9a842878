import { Button } from '@mantine/core';
import { Link } from 'react-router';
import { useClock, usePlaces, useVehicles } from '../../api/queries.js';
import { useWashes } from '../../api/wash-queries.js';
import { useFormat } from '../../format/use-format.js';
import { Page } from '../../parts/page.js';
import list from '../../parts/record-list.module.css';
import { Empty, Failed, Loading } from '../../parts/states.js';
import { methodName, nameOf } from '../../words/names.js';
import { roundChoices } from './round-view.js';

/** What a helper has to do: the own washes ahead, each with its preparation and its run. */
export function OwnWashes() {
  const format = useFormat();
  const { data: washes, error } = useWashes();
  const { data: vehicles } = useVehicles();
  const { data: places } = usePlaces();
  const { data: clock } = useClock();
  const isReady = washes && vehicles && places && clock;
  const days = isReady ? roundChoices(washes, clock.nowMs, format) : [];
  return (
    <Page
      title="Your washes"
      actions={
        days.length > 0 && (
          <Button variant="default" component={Link} to="/round">
            Prepare them in one go
          </Button>
        )
      }
    >
      {error && <Failed error={error} />}
      {!isReady && !error && <Loading what="Fetching your washes" />}
      {isReady && days.length === 0 && (
        <Empty title="No wash of yours is planned">
          <span>What the owner plans for you appears here.</span>
        </Empty>
      )}
      {days.map(({ day, washes: ofDay }) => (
        <section key={day} aria-label={day}>
          <h2>{day}</h2>
          <ul className={list.list}>
            {ofDay.map(({ id, startMs, vehicleId, placeId, methodId }) => (
              <li key={id} className={list.item}>
                <h3>
                  {format.time(startMs)} {nameOf(vehicles, vehicleId)}
                </h3>
                <p>
                  {nameOf(places, placeId)}, {methodName(methodId)}
                </p>
                <div className={list.acts}>
                  <Button component={Link} to={`/run/${id}/live`} size="xl">
                    Start
                  </Button>
                  <Button component={Link} to={`/run/${id}`} size="xl" variant="default">
                    Run sheet
                  </Button>
                </div>
              </li>
            ))}
          </ul>
        </section>
      ))}
    </Page>
  );
}
