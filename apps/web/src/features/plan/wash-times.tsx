import { busyOf, MS_PER_MINUTE, type PlaceRecord } from '@keen/core';
import type { Block } from './plan-view.js';
import type { WashPanelProps } from './wash-panel-props.js';
import classes from './wash-panel.module.css';

const busyWith = ({ wash, ...work }: Block, places: readonly PlaceRecord[]) =>
  busyOf({ ...work, isBegun: wash !== null && wash.startedMs !== null }, places);

/** From when to when it takes its hands, where that is more than the wash. */
export function Away({ block, places, format }: WashPanelProps) {
  const place = places.find(({ id }) => id === block.placeId);
  const { fromMs, toMs } = busyWith(block, places);
  if (!place || (fromMs === block.startMs && toMs === block.endMs)) return null;
  const queue = (toMs - block.endMs) / MS_PER_MINUTE - place.travelMinutes;
  return (
    <p className="muted">
      Away from {format.time(fromMs)} to {format.time(toMs)}: the way there and back,{' '}
      <span className="figure">{format.minutes(place.travelMinutes)}</span> each
      {queue > 0 && (
        <>
          , and about <span className="figure">{format.minutes(queue)}</span> in the queue at that hour
        </>
      )}{' '}
      (both as set for the place).
    </p>
  );
}

/** What was promised to the customer, and whether this start keeps it. */
export function Promised({ block, view, places, format }: WashPanelProps) {
  const period = view.choices.find(
    ({ vehicleId, window }) => vehicleId === block.vehicleId && window.startMs === block.startMs,
  )?.period;
  const booking = view.bookings.find(
    ({ id, vehicleId, fromMs, readyByMs }) =>
      id === period?.bookingId ||
      (vehicleId === block.vehicleId && block.startMs >= fromMs && block.startMs < readyByMs),
  );
  if (!booking) return null;
  const isKept = busyWith(block, places).toMs <= booking.readyByMs;
  return (
    <p className={isKept ? undefined : classes.against}>
      Booked, ready by <strong>{format.dayTime(booking.readyByMs)}</strong>
      {isKept ? '' : ', which this start does not keep'}
      {booking.note && <span className="muted"> · {booking.note}</span>}
    </p>
  );
}
