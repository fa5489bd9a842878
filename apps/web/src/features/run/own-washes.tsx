import { Button } from '@mantine/core';
import { Link } from 'react-router';
import type { TodaysContact } from '@keen/core';
import { useTodaysContacts } from '../../api/customer-queries.js';
import { useClock, usePlaces, useVehicles } from '../../api/queries.js';
import { useWashes } from '../../api/wash-queries.js';
import { useFormat } from '../../format/use-format.js';
import { Page } from '../../parts/page.js';
import list from '../../parts/record-list.module.css';
import { Empty, Failed, Loading } from '../../parts/states.js';
import { methodName, nameOf } from '../../words/names.js';
import { roundChoices } from './round-view.js';

interface ContactProps {
  /** undefined: nobody in the book. */
  readonly contact: TodaysContact | undefined;
  readonly isToday: boolean;
}

/** A telephone number, as one can be called. */
const NUMBER = /^\+?[\d\s()./-]{5,}$/;

/** Whose car it is and how they are reached, on its day alone. */
function Contact({ contact, isToday }: ContactProps) {
  if (!contact || !isToday) return null;
  const { name, contact: reached } = contact;
  return (
    <p>
      {name}
      {reached && ', '}
      {NUMBER.test(reached) ? <a href={`tel:${reached.replaceAll(/[^\d+]/g, '')}`}>{reached}</a> : reached}
    </p>
  );
}

/** What a helper has to do: the own washes ahead, each with its preparation and its run. */
export function OwnWashes() {
  const format = useFormat();
  const { data: washes, error } = useWashes();
  const { data: vehicles } = useVehicles();
  const { data: places } = usePlaces();
  const { data: clock } = useClock();
  const { data: contacts = [] } = useTodaysContacts();
  const isReady = washes && vehicles && places && clock;
  const days = isReady ? roundChoices(washes, clock.nowMs, format) : [];
  const today = clock ? format.day(clock.nowMs) : '';
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
                <Contact
                  contact={contacts.find((one) => one.vehicleId === vehicleId)}
                  isToday={day === today}
                />
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
