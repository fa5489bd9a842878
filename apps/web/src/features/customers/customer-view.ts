import type { BookingRecord, Customer, UnsentMessage, VehicleRecord, WashRecord } from '@keen/core';
import type { Format } from '../../format/format.js';
import { nextPlanned } from '../../parts/next-planned.js';

interface Around {
  readonly vehicles: readonly VehicleRecord[];
  readonly bookings: readonly BookingRecord[];
  readonly washes: readonly WashRecord[];
  readonly unsent: readonly UnsentMessage[];
  readonly nowMs: number;
}

/** A customer's car, and what it may expect. */
export interface CustomersCar {
  readonly id: string;
  readonly name: string;
  /** When it was promised to be ready; null: nothing was. */
  readonly promisedMs: number | null;
  /** Begin of its next planned wash; null: none is planned. */
  readonly plannedMs: number | null;
  readonly lastWashMs: number | null;
}

export function carsOf({ id }: Customer, { vehicles, bookings, washes, nowMs }: Around): CustomersCar[] {
  return vehicles
    .filter(({ customerId }) => customerId === id)
    .map((car): CustomersCar => {
      const own = washes.filter(({ vehicleId }) => vehicleId === car.id);
      const promised = bookings
        .filter(({ vehicleId, readyByMs }) => vehicleId === car.id && readyByMs >= nowMs)
        .map(({ readyByMs }) => readyByMs);
      const done = own.filter(({ status }) => status === 'done').map(({ startMs }) => startMs);
      return {
        id: car.id,
        name: car.name,
        promisedMs: promised.length > 0 ? Math.min(...promised) : null,
        plannedMs: nextPlanned(washes, car.id)?.startMs ?? null,
        lastWashMs: done.length > 0 ? Math.max(...done) : null,
      };
    });
}

/** What a car may expect, the promise first. */
export function expectsText(car: CustomersCar, format: Pick<Format, 'dayTime' | 'dayShort'>): string {
  const { promisedMs, plannedMs, lastWashMs } = car;
  const parts = [
    promisedMs !== null && `promised by ${format.dayTime(promisedMs)}`,
    plannedMs !== null && `planned ${format.dayTime(plannedMs)}`,
    plannedMs === null && promisedMs !== null && 'no wash planned for it yet',
    plannedMs === null && promisedMs === null && 'nothing planned',
    lastWashMs !== null && plannedMs === null && `last washed ${format.dayShort(lastWashMs)}`,
  ];
  return parts.filter((part) => part !== false).join('; ');
}

/** Messages that this customer is still to be sent. */
export const unsentCount = ({ id }: Customer, { unsent }: Pick<Around, 'unsent'>): number =>
  unsent.filter(({ customerId }) => customerId === id).length;

/** A promise comes before a name: who waits soonest stands first. */
export function byPromise(customers: readonly Customer[], around: Around): Customer[] {
  const soonest = new Map(
    customers.map((customer) => [
      customer.id,
      Math.min(Infinity, ...carsOf(customer, around).flatMap(({ promisedMs }) => promisedMs ?? [])),
    ]),
  );
  const of = ({ id }: Customer): number => soonest.get(id) ?? Infinity;
  return customers.toSorted((a, b) => of(a) - of(b) || a.name.localeCompare(b.name));
}
