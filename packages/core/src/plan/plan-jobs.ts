import type { BookedSpan } from '../booking/index.js';
import { type DuePeriod, duePeriods } from './due-periods.js';
import type { PlanJob, PlannedSlot, PlanRequest } from './plan-request.js';
import { busyOf, type WorkerSlot } from './workers.js';

/** Does a wash that stands fixed keep a promise: begun when the car is there, by the method agreed on, and home again in time? */
export const keepsBooking = (
  slot: Pick<PlannedSlot, 'vehicleId' | 'methodId'> & WorkerSlot,
  booking: Pick<BookedSpan, 'vehicleId' | 'fromMs' | 'readyByMs' | 'methodId'>,
  places: PlanRequest['places'],
): boolean =>
  slot.vehicleId === booking.vehicleId &&
  slot.startMs >= booking.fromMs &&
  busyOf(slot, places).toMs <= booking.readyByMs &&
  (booking.methodId === null || booking.methodId === slot.methodId);

/** Bookings of a car that no fixed wash keeps, in order. */
export function openBookings(
  { bookings, fixed, nowMs, places }: PlanRequest,
  vehicleId: string,
): BookedSpan[] {
  return bookings
    .filter((booking) => booking.vehicleId === vehicleId && booking.readyByMs > nowMs)
    .filter((booking) => !fixed.some((slot) => keepsBooking(slot, booking, places)))
    .sort((a, b) => a.readyByMs - b.readyByMs);
}

/** Washes that a car needs: those that are promised, and those of its cadence that no promise and no fixed wash comes near. */
export function jobsOf(request: PlanRequest): PlanJob[] {
  return request.cars.flatMap((car) => {
    const { vehicleId, due, cadenceDays } = car;
    const booked = openBookings(request, vehicleId).filter(({ fromMs }) => fromMs < request.horizonMs);
    const promised = booked.map(({ id, fromMs, readyByMs, methodId }, i): DuePeriod => ({
      index: -1 - i,
      dueMs: due.dueMs,
      fromMs: Math.max(request.nowMs, fromMs),
      toMs: Math.min(request.horizonMs, readyByMs),
      bookingId: id,
      readyByMs,
      methodId,
    }));
    const fixed = request.fixed.filter((slot) => slot.vehicleId === vehicleId);
    const standing = [
      ...fixed.map((slot) => ({ fromMs: slot.startMs, toMs: slot.endMs })),
      ...booked.map(({ fromMs, readyByMs }) => ({ fromMs, toMs: readyByMs })),
    ];
    const own = duePeriods({ dueMs: due.dueMs, cadenceDays }, request, standing);
    const periods = [...promised, ...own];
    const first = periods.reduce<DuePeriod | null>(
      (best, period) => (best && comesFirst(best, period) ? best : period),
      null,
    );
    return periods.map((period): PlanJob => {
      const agreed = booked.find(({ id }) => id === period.bookingId)?.extras ?? [];
      const agreedElsewhere = booked.flatMap(({ id, extras }) => (id === period.bookingId ? [] : extras));
      return { vehicleId, period, agreed, agreedElsewhere, takesDue: period === first };
    });
  });
}

/** Of two washes of a car, the one that is wanted by the earlier end. */
const comesFirst = (a: DuePeriod, b: DuePeriod): boolean =>
  a.toMs < b.toMs || (a.toMs === b.toMs && a.index < b.index);
