import type { PlaceRecord, VehicleRecord, WashRecord } from '@keen/core';
import { Button } from '@mantine/core';
import { Link } from 'react-router';
import { useFormat } from '../../format/use-format.js';
import { methodName, nameOf } from '../../words/names.js';
import { verdictText } from '../../words/verdict-words.js';
import { wayBeside } from '../../words/way-words.js';
import classes from './morning.module.css';

interface PlannedListProps {
  readonly title: string;
  /** Soonest first. */
  readonly washes: readonly WashRecord[];
  readonly vehicles: readonly VehicleRecord[] | undefined;
  readonly places: readonly PlaceRecord[] | undefined;
}

/** What is planned already. */
export function PlannedList({ title, washes: planned, vehicles, places }: PlannedListProps) {
  const format = useFormat();
  if (planned.length === 0) return null;
  return (
    <section className={classes.group}>
      <div className={classes.plannedHead}>
        <h2>{title}</h2>
        <Link className="no-print" to="/round">
          Prepare a round
        </Link>
      </div>
      {planned.map((wash) => (
        <article key={wash.id} className={`${classes.card} ${classes.planned}`}>
          <div>
            <div className={`${classes.hour} figure`}>{format.time(wash.startMs)}</div>
            <div className={`${classes.span} figure`}>{format.dayShort(wash.startMs)}</div>
          </div>
          <div className={classes.what}>
            <h3>{nameOf(vehicles, wash.vehicleId)}</h3>
            <p className={classes.how}>
              {nameOf(places, wash.placeId)}, {methodName(wash.methodId)}
            </p>
            {wash.predicted && (
              <p className="muted">
                When planned: {verdictText(wash.predicted.verdict, wash.predicted.limiting, format)}
                {wayBeside(wash.predicted.wayId, wash.predicted.limiting) && (
                  <>. {wayBeside(wash.predicted.wayId, wash.predicted.limiting)}</>
                )}
              </p>
            )}
          </div>
          <div className={`${classes.acts} no-print`}>
            {wash.startedMs !== null && (
              <Button color="lamp.3" component={Link} to={`/run/${wash.id}/live`}>
                Back to the run
              </Button>
            )}
            <Button variant="default" component={Link} to={`/run/${wash.id}`}>
              Run sheet
            </Button>
            <Button variant="default" component={Link} to="/plan">
              Plan
            </Button>
          </div>
        </article>
      ))}
    </section>
  );
}
