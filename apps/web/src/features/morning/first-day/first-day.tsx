import type { PlaceRecord, VehicleRecord } from '@keen/core';
import { Button } from '@mantine/core';
import { IconCheck } from '@tabler/icons-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useTryMadeUp } from '../../../api/start-again-queries.js';
import { noticeOfFailure } from '../../../parts/notices.js';
import { FirstCar } from './first-car.js';
import classes from './first-day.module.css';
import { FirstPlace } from './first-place.js';

interface StepProps {
  readonly title: string;
  /** What is there already; null: nothing yet. */
  readonly done: string | null;
  readonly children: ReactNode;
}

function Step({ title, done, children }: StepProps) {
  return (
    <li data-done={done !== null || undefined}>
      <h2>
        {title}
        {done !== null && (
          <span className={classes.done}>
            <IconCheck size={18} aria-hidden /> {done}
          </span>
        )}
      </h2>
      {done === null && children}
    </li>
  );
}

/** A shop that is made up, to look around in; wiped again under the settings. */
function LookAround() {
  const fill = useTryMadeUp();
  return (
    <p>
      <Button
        variant="default"
        loading={fill.isPending}
        onClick={() => void fill.mutateAsync().catch(noticeOfFailure)}
      >
        Look around in a made-up shop
      </Button>{' '}
      <span className="muted">Twelve cars, a season of weather; wiped again under Settings.</span>
    </p>
  );
}

interface FirstDayProps {
  readonly vehicles: readonly VehicleRecord[];
  readonly places: readonly PlaceRecord[];
}

/** What an empty shop is asked before the first answer; what is there already is not asked again, and everything else is in the menu. */
export function FirstDay({ vehicles, places }: FirstDayProps) {
  const names = (rows: readonly { readonly name: string }[]): string | null =>
    rows.length === 0 ? null : rows.map(({ name }) => name).join(', ');
  return (
    <section className={classes.firstDay} aria-label="The first day">
      <p>
        Two things, and this page says when, where and how to wash. All else has a sensible value that you can
        change later.
      </p>
      <ol>
        <Step title="Where do you wash?" done={names(places)}>
          <FirstPlace />
        </Step>
        <Step title="Which car?" done={names(vehicles)}>
          <FirstCar />
        </Step>
      </ol>
      <p className="muted">
        Weather comes from a simulated station until you give a forecast or hours of your own:{' '}
        <Link to="/weather">Weather</Link>. A list of cars can be read under{' '}
        <Link to="/vehicles">Vehicles</Link>.
      </p>
      {vehicles.length === 0 && places.length === 0 && <LookAround />}
    </section>
  );
}
