import type { PlaceRecord, VehicleAnswer, VehicleRecord } from '@keen/core';
import { Link } from 'react-router';
import { useFormat } from '../../format/use-format.js';
import { NearestWays } from '../../parts/nearest-ways.js';
import { nameOf } from '../../words/names.js';
import { unplannedText } from '../../words/plan-words.js';
import { dueText } from '../../words/due-words.js';
import classes from './morning.module.css';
import { bodyGrade } from './morning-view.js';

interface RestProps {
  readonly answers: readonly VehicleAnswer[];
  readonly vehicles: readonly VehicleRecord[] | undefined;
  readonly places: readonly PlaceRecord[] | undefined;
}

/** Cars that are due and not in the plan, with what is nearest. */
export function Stuck({ answers, vehicles, places }: RestProps) {
  const format = useFormat();
  if (answers.length === 0) return null;
  return (
    <section className={classes.group}>
      <h2>Due, but not in the plan</h2>
      <ul className={`${classes.rest} ${classes.stuck}`}>
        {answers.map(({ vehicleId, due, reason, nearest }) => (
          <li key={vehicleId}>
            <Link to={`/windows/${vehicleId}`}>{nameOf(vehicles, vehicleId)}</Link>, {dueText(due)}
            {reason && <span className="muted">: {unplannedText(reason, format)}</span>}
            <NearestWays
              vehicleId={vehicleId}
              vehicleName={nameOf(vehicles, vehicleId)}
              ways={nearest}
              places={places}
            />
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Cars that can wait. */
export function NotDue({ answers, vehicles }: RestProps) {
  if (answers.length === 0) return null;
  return (
    <section className={classes.group}>
      <h2>Not due yet</h2>
      <ul className={classes.rest}>
        {answers.map(({ vehicleId, due, soil }) => (
          <li key={vehicleId}>
            <Link to={`/windows/${vehicleId}`}>{nameOf(vehicles, vehicleId)}</Link>
            <br />
            <span className="muted">
              {dueText(due)}, soil grade {bodyGrade(soil)} ({due.isLastWashKnown ? 'estimated' : 'assumed'})
            </span>
            {!due.isLastWashKnown && (
              <>
                {' '}
                <Link
                  to={`/condition/${vehicleId}`}
                  aria-label={`Look at ${nameOf(vehicles, vehicleId)}, and say how dirty it is`}
                >
                  Look at it, and say how dirty it is
                </Link>
              </>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
