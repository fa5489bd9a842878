import { Button, VisuallyHidden } from '@mantine/core';
import type { BookingRecord } from '@keen/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useBookings, useRemoveBooking, useRestoreBooking } from '../../api/customer-queries.js';
import { useFormat } from '../../format/use-format.js';
import { sayWithUndo } from '../../parts/notices.js';
import { Empty, Failed, Loading } from '../../parts/states.js';
import { seasonJobsText } from '../../words/car-names.js';
import { methodName, nameOf } from '../../words/names.js';
import { BookingForm } from './booking-form.js';
import classes from './customers.module.css';
import { OwnerOnly } from '../../parts/owner-only.js';
import type { BookingsProps } from './bookings-props.js';

/** What is booked for customers; the plan keeps it before anything else that it can. */
export function Bookings(props: BookingsProps) {
  const { customers, vehicles } = props;
  const format = useFormat();
  const { data: bookings, error } = useBookings();
  const remove = useRemoveBooking();
  const restore = useRestoreBooking();
  const [isOpen, setOpen] = useState(false);
  if (error) return <Failed error={error} />;
  if (!bookings) return <Loading what="Fetching the bookings" />;
  const ownerOf = (vehicleId: string): string => {
    const customerId = vehicles.find(({ id }) => id === vehicleId)?.customerId;
    return customerId ? nameOf(customers, customerId) : 'nobody in the book';
  };
  const deleteOne = ({ id, vehicleId }: BookingRecord): void =>
    void sayWithUndo(
      remove.mutateAsync(id),
      `The booking of the ${nameOf(vehicles, vehicleId)} is cancelled.`,
      () => restore.mutateAsync(id),
    );
  return (
    <>
      <OwnerOnly>
        <div>
          <Button color="lamp.3" onClick={() => setOpen(true)}>
            Book a wash
          </Button>
        </div>
      </OwnerOnly>
      {isOpen && <BookingForm {...props} onClose={() => setOpen(false)} />}
      {bookings.length === 0 ? (
        <Empty title="Nothing is booked">
          A booking has its time; the plan keeps it if any weather allows it.
        </Empty>
      ) : (
        <section className={classes.box}>
          <table className={classes.table}>
            <thead>
              <tr>
                <th>Car</th>
                <th>Available from</th>
                <th>Ready by</th>
                <th>How</th>
                <th>Price</th>
                <th>
                  <VisuallyHidden>What can be done</VisuallyHidden>
                </th>
              </tr>
            </thead>
            <tbody>
              {bookings.map((booking) => (
                <tr key={booking.id}>
                  <th scope="row">
                    {nameOf(vehicles, booking.vehicleId)}
                    <div className="muted">{ownerOf(booking.vehicleId)}</div>
                    {booking.note && <div className="muted">{booking.note}</div>}
                  </th>
                  <td data-label="Available from">{format.dayTime(booking.fromMs)}</td>
                  <td data-label="Ready by">
                    <strong>{format.dayTime(booking.readyByMs)}</strong>
                  </td>
                  <td data-label="How">
                    {booking.methodId === null ? 'any method' : methodName(booking.methodId)}
                    {booking.extras.length > 0 && `, with ${seasonJobsText(booking.extras)}`}
                  </td>
                  <td className="figure" data-label="Price">
                    {booking.agreedMinor === null ? 'not agreed' : format.money(booking.agreedMinor)}
                  </td>
                  <td>
                    <OwnerOnly>
                      <Button
                        size="compact-sm"
                        variant="subtle"
                        aria-label={`Cancel the booking of the ${nameOf(vehicles, booking.vehicleId)}`}
                        onClick={() => deleteOne(booking)}
                      >
                        Cancel booking
                      </Button>
                    </OwnerOnly>
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="muted">
            See the <Link to="/plan">plan</Link> for status.
          </p>
        </section>
      )}
    </>
  );
}
