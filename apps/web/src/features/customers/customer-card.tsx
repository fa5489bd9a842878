import { Button, Menu } from '@mantine/core';
import type { Customer } from '@keen/core';
import { Link } from 'react-router';
import { askEverything } from '../../api/customer-queries.js';
import { useFormat } from '../../format/use-format.js';
import { download } from '../../parts/download.js';
import { noticeOfFailure } from '../../parts/notices.js';
import classes from '../../parts/record-list.module.css';
import { CONSENT_NAMES } from '../../words/names.js';
import { availabilityText } from './customer-form.js';
import { type CustomersCar, expectsText } from './customer-view.js';
import { OwnerOnly } from '../../parts/owner-only.js';
import { MoreMenu } from '../../parts/more-menu.js';
import own from './customers.module.css';

interface CustomerCardProps {
  readonly customer: Customer;
  readonly cars: readonly CustomersCar[];
  readonly unsent: number;
  readonly onEdit: () => void;
  readonly onDelete: () => void;
  readonly onErase: () => void;
}

/** One customer: how they are reached, what each of their cars may expect, and what they are still to hear. */
export function CustomerCard({ customer, cars, unsent, onEdit, onDelete, onErase }: CustomerCardProps) {
  const format = useFormat();
  const { id, name, contact, notes, photoConsent, consentMs, availability } = customer;
  const takeOut = (): void =>
    void askEverything(id)
      .then((all) => download(`${name}.json`, JSON.stringify(all, null, 2), 'application/json'))
      .catch(noticeOfFailure);
  return (
    <li className={classes.item}>
      <div>
        <h2>{name}</h2>
        <p className="muted">{contact || 'No way to reach them is noted'}</p>
        <ul className={own.cars} aria-label={`Cars of ${name}`}>
          {cars.length === 0 && <li className="muted">No car yet</li>}
          {cars.map((car) => (
            <li key={car.id} data-promised={car.promisedMs !== null || undefined}>
              <Link to={`/windows/${car.id}`}>{car.name}</Link> <span>{expectsText(car, format)}</span>
            </li>
          ))}
        </ul>
        {notes && <p>{notes}</p>}
        <p className="muted">
          {availabilityText(availability)}. {photoConsent !== 'none' && 'Photographs: '}
          {CONSENT_NAMES[photoConsent]}
          {consentMs === null ? ' (not asked yet)' : `, said on ${format.dayShort(consentMs)}`}.
        </p>
      </div>
      <OwnerOnly>
        <div className={`${classes.acts} no-print`}>
          {unsent > 0 && (
            <Button size="compact-md" variant="default" component={Link} to="/customers?show=messages">
              {unsent === 1 ? '1 message to send' : `${unsent} messages to send`}
            </Button>
          )}
          <Button size="compact-md" variant="default" aria-label={`Edit ${name}`} onClick={onEdit}>
            Edit
          </Button>
          <MoreMenu about={name} size="compact-md">
            <Menu.Item onClick={takeOut}>All that is known, as a file</Menu.Item>
            <Menu.Divider />
            <Menu.Item onClick={onDelete}>Delete</Menu.Item>
            <Menu.Item onClick={onErase}>Erase for good …</Menu.Item>
          </MoreMenu>
        </div>
      </OwnerOnly>
    </li>
  );
}
