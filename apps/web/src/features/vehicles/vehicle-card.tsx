import type { PlaceRecord, VehicleAnswer, VehicleRecord, WashRecord } from '@keen/core';
import { Button, Menu } from '@mantine/core';
import { Link } from 'react-router';
import { useFormat } from '../../format/use-format.js';
import { saltThumbnail } from '../../parts/salt-layer.js';
import { UnfoldedCar } from '../../parts/unfolded-car.js';
import { BEHAVIOUR_NAMES, BODY_NAMES, PROTECTION_NAMES } from '../../words/car-names.js';
import { dueText } from '../../words/due-words.js';
import { nameOf } from '../../words/names.js';
import classes from '../../parts/drawn-card.module.css';
import { OwnerOnly } from '../../parts/owner-only.js';
import { MoreMenu } from '../../parts/more-menu.js';
import { nextText, targetText } from './vehicle-view.js';

interface VehicleCardProps {
  readonly vehicle: VehicleRecord;
  /** As the morning has it; absent while it is worked out. */
  readonly answer: VehicleAnswer | undefined;
  readonly washes: readonly WashRecord[];
  readonly places: readonly PlaceRecord[];
  readonly onEdit: () => void;
  readonly onDelete: () => void;
}

/** One car: the salt on it, when it is due, its next wash, and how it is kept. */
export function VehicleCard({ vehicle, answer, washes, places, onEdit, onDelete }: VehicleCardProps) {
  const format = useFormat();
  const { id, name, keeper, bodyClass, protection, waterBehaviour, standsAtPlaceId, driving, notes } =
    vehicle;
  const next = nextText(vehicle, answer, { washes, places, format });
  return (
    <li className={classes.card}>
      <div className={classes.drawing}>
        <UnfoldedCar
          bodyClass={bodyClass}
          layer={saltThumbnail(answer?.zones ?? [])}
          label={`Salt on ${name}`}
          isThumbnail
        />
      </div>
      <div>
        <h2>{name}</h2>
        <p className="muted">
          {BODY_NAMES[bodyClass]}
          {keeper && `, ${keeper}`}
          {answer && (
            <>
              {' · '}
              <strong>{dueText(answer.due)}</strong>
            </>
          )}
        </p>
        {next && (
          <p>
            <strong>{next.lead}:</strong> {next.text}
          </p>
        )}
        <p className="muted">
          {protection === 'bare' ? 'No protection' : PROTECTION_NAMES[protection]}, water{' '}
          {BEHAVIOUR_NAMES[waterBehaviour].toLowerCase()}; {targetText(vehicle)}; parked overnight{' '}
          {standsAtPlaceId ? `at ${nameOf(places, standsAtPlaceId)}` : 'in the street'};{' '}
          {format.km(driving.mainRoadKm + driving.townKm + driving.bridgeKm)} a day
        </p>
        {notes && <p className="muted">{notes}</p>}
      </div>
      <div className={`${classes.acts} no-print`}>
        <Button variant="default" component={Link} to={`/windows/${id}`} aria-label={`Windows of ${name}`}>
          When to wash
        </Button>
        <MoreMenu about={name}>
          <OwnerOnly>
            <Menu.Item onClick={onEdit}>Edit</Menu.Item>
          </OwnerOnly>
          <Menu.Item component={Link} to={`/salt/${id}`}>
            Salt
          </Menu.Item>
          <Menu.Item component={Link} to={`/condition/${id}`}>
            Condition
          </Menu.Item>
          <Menu.Item component={Link} to={`/balance/${id}`}>
            Balance
          </Menu.Item>
          <OwnerOnly>
            <Menu.Divider />
            <Menu.Item onClick={onDelete}>Delete</Menu.Item>
          </OwnerOnly>
        </MoreMenu>
      </div>
    </li>
  );
}
