import { type WashRecord, isAhead } from '@keen/core';
import { place, type Shop, type Wanted } from './place-wash.js';
import { rejoined } from './visits.js';

/** What a change rests on, as it was read. */
export interface Meant {
  readonly removed: readonly WashRecord[];
  readonly before: readonly WashRecord[];
  readonly lost: readonly WashRecord[];
  readonly worked: readonly Wanted[];
  /** Washes that others join for a visit, as they were and as they will be. */
  readonly partners: readonly Changed[];
  /** Washes whose visit is over, since the other one is moved or removed. */
  readonly left: readonly WashRecord[];
}

export interface Changed {
  readonly before: WashRecord;
  readonly after: WashRecord;
}

/** Where everything stands after a change, checked one after the other. @throws 400, 404 or 409 naming the change and its field */
export function placeAll({ lost, left, partners, worked }: Meant, others: readonly WashRecord[], shop: Shop) {
  const placed: WashRecord[] = [];
  const standing = (): WashRecord[] => [...others, ...placed];
  const rejoins: WashRecord[] = [];
  const restored = lost.map((found, i) => {
    // What is over stands in nobody's way, and comes back as it was.
    if (!isAhead(found, shop.nowMs)) return found;
    const { record, partner } = rejoined(found, others);
    if (partner) rejoins.push(partner);
    const wash = place({ field: `restore.${i}.`, record, isBack: true }, standing(), shop);
    placed.push(wash);
    return wash;
  });
  const released = left.map((wash): Changed => ({ before: wash, after: { ...wash, visit: null } }));
  placed.push(...released.map(({ after }) => after));
  for (const { after } of partners)
    placed.push(place({ field: '', record: after, isBack: true }, standing(), shop));
  const records = worked.map((want) => {
    const wash = place(want, standing(), shop);
    placed.push(wash);
    return wash;
  });
  return { restored, rejoins, released, records };
}
