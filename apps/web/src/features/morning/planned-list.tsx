import type { PlaceRecord, VehicleAnswer, VehicleRecord, WashRecord, WashVisit } from '@keen/core';
import { Button } from '@mantine/core';
import { Link } from 'react-router';
import { useFormat } from '../../format/use-format.js';
import { methodName, nameOf } from '../../words/names.js';
import { verdictText } from '../../words/verdict-words.js';
import { wayBeside } from '../../words/way-words.js';
import { CardCar } from './card-car.js';
import classes from './morning.module.css';

interface PlannedListProps {
  readonly title: string;
  /** Soonest first. */
  readonly washes: readonly WashRecord[];
  readonly vehicles: readonly VehicleRecord[] | undefined;
  readonly places: readonly PlaceRecord[] | undefined;
  /** As the morning has them. */
  readonly answers: readonly Pick<VehicleAnswer, 'vehicleId' | 'zones'>[];
}

/** What is planned already. */
export function PlannedList({ title, washes: planned, vehicles, places, answers }: PlannedListProps) {
  const format = useFormat();
  if (planned.length === 0) return null;
  const visitText = ({ withId, minutes }: WashVisit, all: readonly WashRecord[]): string => {
    const other = all.find(({ id }) => id === withId);
    const name = other ? nameOf(vehicles, other.vehicleId) : 'another car';
    return `In one visit with ${name}, ${format.minutes(minutes)} for both.`;
  };
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
          <div className={classes.when}>
            <div className={`${classes.hour} figure`}>{format.time(wash.startMs)}</div>
            <div className={`${classes.span} figure`}>{format.dayShort(wash.startMs)}</div>
          </div>
          <CardCar
            vehicle={vehicles?.find(({ id }) => id === wash.vehicleId)}
            zones={answers.find(({ vehicleId }) => vehicleId === wash.vehicleId)?.zones}
          />
          <div className={classes.what}>
            <h3>{nameOf(vehicles, wash.vehicleId)}</h3>
            <p className={classes.how}>
              {nameOf(places, wash.placeId)}, {methodName(wash.methodId)}
            </p>
            {wash.visit && <p className={classes.how}>{visitText(wash.visit, planned)}</p>}
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
