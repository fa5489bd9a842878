import type { Visit, WashRecord } from '@keen/core';
import { badField, conflict } from '../errors/api-error.js';
import type { Wanted } from './place-wash.js';

/** Washes that are wanted, those that a visit is made with, and those whose visit is over; each as it was read. */
export interface Paired {
  readonly wanted: readonly Wanted[];
  readonly partners: readonly WashRecord[];
  readonly left: readonly WashRecord[];
}

type Read = (id: string) => Promise<WashRecord | null>;

const SLOT = ['placeId', 'startMs', 'workerId'] as const;
const isSameSlot = (a: WashRecord, b: WashRecord): boolean => SLOT.every((key) => a[key] === b[key]);

/** A wash at the hour, the place and by the hands of the one that it is done with. */
const joining = (record: WashRecord, partner: WashRecord): WashRecord => ({
  ...record,
  startMs: partner.startMs,
  workerId: partner.workerId,
  isLocked: true,
  visit: null,
});

/** Which wash is it to be done with? By its own wish, or as before where it stays where it was; null: none. */
function partnerIdOf({ record, before, visitWith }: Wanted): string | null {
  if (visitWith !== undefined) return visitWith;
  const known = before?.visit?.withId ?? null;
  return before && isSameSlot(record, before) ? known : null;
}

/**
 * Puts washes that are to be done in one visit at one hour, before they are worked through.
 *
 * @param read a planned wash; null: there is none of that id any more
 * @throws 409 where one of a pair has begun, or is of the same car
 */
export async function paired(wanted: readonly Wanted[], read: Read): Promise<Paired> {
  const partners: WashRecord[] = [];
  const left: WashRecord[] = [];
  const done: Wanted[] = [];
  for (const want of wanted) {
    const partnerId = partnerIdOf(want);
    // Of two that wish for each other the first stays where it is put, and the second comes to it.
    const waits = wanted.slice(done.length + 1).some(({ record }) => record.id === partnerId);
    const known = done.find(({ record }) => record.id === partnerId)?.record;
    const partner = partnerId === null || waits ? null : (known ?? (await read(partnerId)));
    const was = want.before?.visit?.withId;
    if (was !== undefined && was !== partnerId) {
      const lost = wanted.some(({ record }) => record.id === was) ? null : await read(was);
      if (lost) left.push(lost);
    }
    if (!partner) {
      if (want.visitWith && !waits)
        throw conflict(`${want.field}visitWith`, 'visitWith: there is no such planned wash any more.');
      done.push({ ...want, record: { ...want.record, visit: null } });
      continue;
    }
    const { field } = want;
    if (partner.startedMs !== null || want.record.startedMs !== null)
      throw conflict(`${field}visitWith`, 'visitWith: one of the two is started already.');
    if (partner.vehicleId === want.record.vehicleId)
      throw badField(`${field}visitWith`, 'visitWith: both are washes of the same car.');
    if (!known) partners.push(partner);
    done.push({ ...want, record: joining(want.record, partner), partnerId: partner.id });
  }
  return { wanted: done, partners, left };
}

/**
 * Both washes of a pair with their visit.
 *
 * @param visit both worked through as one; null: they are none
 * @throws 409 with the reason
 */
export function inVisit(
  pair: readonly [WashRecord, WashRecord],
  visit: Visit | null,
  field: string,
): [WashRecord, WashRecord] {
  const [first, second] = pair;
  if (!visit)
    throw conflict(
      `${field}visitWith`,
      'visitWith: these two are no visit: both have to be done at one place that takes two cars, within the forecast, and neither may drive on.',
    );
  const against = visit.against.flat()[0];
  if (against)
    throw conflict(
      `${field}visitWith`,
      `visitWith: with one pair of hands for both, the rule ${against.ruleId} says no on one of them. Do one after the other.`,
    );
  const { minutes } = visit;
  return [
    { ...first, isLocked: true, visit: { withId: second.id, minutes } },
    { ...second, visit: { withId: first.id, minutes } },
  ];
}

/**
 * A wash that comes back to the plan with the one that it was in a visit with, where that one still stands as it stood; else by itself.
 *
 * @returns the wash, and the other one in their visit again; null: it is by itself
 */
export function rejoined(
  record: WashRecord,
  standing: readonly WashRecord[],
): { readonly record: WashRecord; readonly partner: WashRecord | null } {
  const { visit } = record;
  if (!visit) return { record, partner: null };
  const partner = standing.find(
    (one) => one.id === visit.withId && !one.visit && one.startedMs === null && isSameSlot(one, record),
  );
  if (!partner) return { record: { ...record, visit: null }, partner: null };
  return { record, partner: { ...partner, isLocked: true, visit: { ...visit, withId: record.id } } };
}
