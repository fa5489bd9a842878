import { randomUUID } from 'node:crypto';
import {
  choicesOf,
  type WashChoices,
  busyOf,
  endOf,
  type Worker,
  workersMeet,
  type PlaceRecord,
  type Predicted,
  slotOf,
  spansMeet,
  stayOf,
  type VehicleRecord,
  type WashRecord,
  type WayId,
} from '@keen/core';
import { badField, conflict, notFound } from '../errors/api-error.js';
import { checkedVariant } from '../settings/own-steps.js';
import { checkedProducts, merged } from '../settings/shop-lists.js';
import type { MoveWashDto, PlanWashDto } from './wash.dto.js';

/** What a planned wash is checked against. */
export interface Shop {
  readonly places: readonly PlaceRecord[];
  readonly vehicles: readonly VehicleRecord[];
  readonly workers: readonly Worker[];
  /** Of a wash as it is worked through; in its usual way where the forecast does not reach. */
  readonly minutesOf: (wash: WashRecord, vehicle: VehicleRecord, workedMinutes: number | null) => number;
  /** Wanted between two washes of the same hands. */
  readonly restMinutes: number;
  readonly nowMs: number;
}

export interface Wanted {
  readonly field: string;
  readonly record: WashRecord;
  /** Hands were not named: any that are free will do. */
  readonly anyWorker?: boolean;
  /** The way in which somebody wants it done; absent: the one that goes with the least bother. */
  readonly wayId?: WayId;
  /** What is chosen for this wash alone; absent: all is as the house has it. */
  readonly choices?: WashChoices;
  /** It comes back as it was, with the minutes that were counted then. */
  readonly isBack?: boolean;
  /** As it stood; absent: it is new. */
  readonly before?: WashRecord;
  /** To be done in one visit with this wash; null: by itself; absent: as before. */
  readonly visitWith?: string | null;
  /** The wash with which it is in a visit now. */
  readonly partnerId?: string;
  /** As the program works it through; absent where the forecast does not reach. */
  readonly worked?: Worked;
}

/** What the program says of a start: verdict and way, and the minutes that it takes so. */
export interface Worked {
  readonly predicted: Predicted;
  readonly minutes: number;
}

/** A wash as it is to be added. */
export function newWash(dto: PlanWashDto, field: string, shop: Shop): Wanted {
  const record: WashRecord = {
    id: randomUUID(),
    vehicleId: dto.vehicleId,
    placeId: dto.placeId,
    methodId: dto.methodId,
    status: 'planned',
    startMs: dto.startMs,
    minutes: 0,
    workerId: dto.workerId ?? shop.workers[0]?.id ?? 'owner',
    isLocked: dto.isLocked ?? true,
    startedMs: null,
    extras: dto.extras ?? [],
    costMinor: null,
    predicted: null,
    found: null,
  };
  return { field, record, anyWorker: dto.workerId === undefined, wayId: dto.wayId };
}

/** A planned wash as it is to stand after a change. */
export function movedWash(
  { id: _, wayId, products, variant, visitWith, ...change }: MoveWashDto & { readonly id: string },
  before: WashRecord | undefined,
  field: string,
): Wanted[] {
  if (!before) return [];
  const record = { ...before, ...change };
  const isSame = (['placeId', 'methodId', 'startMs'] as const).every((key) => record[key] === before[key]);
  // What somebody chose holds until the wash is moved.
  const chosen = isSame && before.predicted?.isOwnWay ? before.predicted.wayId : undefined;
  // Another method has other steps.
  const kept: WashChoices = record.methodId === before.methodId ? (before.predicted ?? {}) : {};
  const choices = choicesOf({
    products: merged(kept.products ?? {}, products, (rows) => checkedProducts(rows, `${field}products`)),
    variant: variant
      ? checkedVariant(`${field}variant`, variant)
      : variant === null
        ? undefined
        : kept.variant,
  });
  return [{ field, record, before, visitWith, wayId: wayId ?? chosen, choices }];
}

/** A wash among those that stand. */
interface Beside {
  /** Name of its field in what was sent, with a dot behind it; empty: at the top. */
  readonly field: string;
  readonly others: readonly WashRecord[];
  readonly shop: Shop;
}

/** Is there room at its place, and is the car nowhere else? From coming to leaving, the queue waited through between. @throws naming the field */
function requireRoom(wash: WashRecord, there: PlaceRecord, beside: Beside): void {
  const { field, others, shop } = beside;
  const stay = (other: WashRecord) => stayOf(slotOf(other, shop.nowMs), shop.places);
  const meeting = others.filter((other) => spansMeet(stay(wash), stay(other)));
  if (meeting.some(({ vehicleId }) => vehicleId === wash.vehicleId))
    throw conflict(`${field}startMs`, 'This vehicle has another wash planned at that time.');
  const full = meeting.filter(({ placeId }) => placeId === wash.placeId);
  if (full.length >= there.carsAtOnce)
    throw conflict(`${field}startMs`, `${there.name} is taken at that time by another planned wash.`);
}

/** Who does it: the one asked for, or anybody who is free. @throws naming the field */
function workerFor(
  wash: WashRecord,
  anyWorker: boolean | undefined,
  { field, others, shop }: Beside,
): string {
  const busyWith = (other: WashRecord) => busyOf(slotOf(other, shop.nowMs), shop.places);
  const busy = (workerId: string, restMinutes = shop.restMinutes): boolean =>
    others.some(
      (other) =>
        other.id !== wash.visit?.withId &&
        other.workerId === workerId &&
        workersMeet(busyWith(wash), busyWith(other), restMinutes),
    );
  const free = anyWorker ? shop.workers.find(({ id }) => !busy(id)) : undefined;
  const workerId = free?.id ?? wash.workerId;
  const who = shop.workers.find(({ id }) => id === workerId);
  if (!who) throw badField(`${field}workerId`, `workerId: nobody here is called ${workerId}.`);
  if (!busy(workerId)) return workerId;
  const why = busy(workerId, 0)
    ? 'has another wash then, queue and ways there and back included'
    : `would have less than the house’s ${shop.restMinutes} min of rest before or after another wash`;
  throw conflict(`${field}startMs`, `${who.name} ${why}. Choose another time or other hands.`);
}

/** Checks a wash against the shop and against all that stands beside it. @throws naming the field */
export function place(
  { field, record, anyWorker, isBack, worked }: Wanted,
  standing: readonly WashRecord[],
  shop: Shop,
): WashRecord {
  const vehicle = shop.vehicles.find(({ id }) => id === record.vehicleId);
  if (!vehicle) throw notFound('vehicle', record.vehicleId);
  const there = shop.places.find(({ id }) => id === record.placeId);
  if (!there) throw notFound('place', record.placeId);
  if (!there.methods.some(({ methodId }) => methodId === record.methodId))
    throw badField(`${field}methodId`, `methodId: ${record.methodId} cannot be done at ${there.name}.`);
  const wash = isBack
    ? record
    : {
        ...record,
        minutes: shop.minutesOf(record, vehicle, worked?.minutes ?? null),
        predicted: worked?.predicted ?? null,
      };
  if (endOf(wash) < shop.nowMs)
    throw badField(
      `${field}startMs`,
      'startMs is in the past; log a wash that was done instead of planning it.',
    );
  const beside = { field, others: standing.filter(({ id }) => id !== wash.id), shop };
  requireRoom(wash, there, beside);
  return { ...wash, workerId: workerFor(wash, anyWorker, beside) };
}
