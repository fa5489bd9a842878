import {
  CAR_ZONES,
  type CarZone,
  type Protection,
  type Vehicle,
  type WaterBehaviour,
  type ZoneGroup,
  type ZoneProtection,
} from '../vehicle/index.js';
import { protectionOn } from './protection-on.js';
import { standsStripping } from './wear.js';

/** What a done wash did to the protection. */
export interface CoatEvent {
  readonly atMs: number;
  /** Protection was taken off these on purpose. */
  readonly stripped: readonly ZoneGroup[];
  readonly laid: readonly {
    readonly kind: Exclude<Protection, 'bare'>;
    /** Of the bottle; null: not known. */
    readonly productName: string | null;
    readonly groups: readonly ZoneGroup[];
  }[];
  /** What lies there was topped up. */
  readonly isToppedUp: boolean;
  /** What water was seen to do when it was over. */
  readonly seen: readonly { readonly zone: CarZone; readonly behaviour: WaterBehaviour }[];
}

/** A top-up renews these; a coating's own years it does not (judgement). */
export const RENEWED_BY_TOP_UP: ReadonlySet<Protection> = new Set(['wax', 'sealant', 'spray-ceramic']);

export const isPainted = (zone: CarZone): boolean => {
  const surface = CAR_ZONES.find((row) => row.zone === zone)?.surface;
  return surface === 'paint' || surface === 'plastic';
};

const NOTHING_TOLD = { appliedMs: null, claimedLifeDays: null, observed: null, productName: null } as const;

/** One zone after one wash: stripped first, then coated or topped up. */
export function zoneAfter(row: ZoneProtection, group: ZoneGroup, event: CoatEvent): ZoneProtection {
  const { atMs } = event;
  const isBare = event.stripped.includes(group) && !standsStripping(row.kind);
  const stripped: ZoneProtection = isBare ? { ...row, ...NOTHING_TOLD, kind: 'bare' } : row;
  const coat = event.laid.findLast(({ groups }) => groups.includes(group));
  // A coating that is sprayed over is the coating still.
  if (coat && standsStripping(stripped.kind) && !standsStripping(coat.kind))
    return { ...stripped, observed: null };
  if (coat)
    return {
      ...stripped,
      ...NOTHING_TOLD,
      kind: coat.kind,
      appliedMs: atMs,
      productName: coat.productName,
    };
  const isRenewed = event.isToppedUp && RENEWED_BY_TOP_UP.has(stripped.kind);
  return isRenewed ? { ...stripped, appliedMs: atMs, observed: null } : stripped;
}

/** What water was seen to do after a wash is newer than any look before it. */
function withLook(row: ZoneProtection, { atMs, seen }: CoatEvent): ZoneProtection {
  const look = seen.find(({ zone }) => zone === row.zone);
  const isNewer = look && atMs > (row.observed?.atMs ?? -Infinity);
  return isNewer ? { ...row, observed: { behaviour: look.behaviour, atMs } } : row;
}

/**
 * What lies on each zone, once the washes since it was noted have taken off or put on what they did?
 *
 * @param vehicle the car's own protection and its map, as somebody noted them
 * @param events washes in any order; those before a zone's note or its date leave its coat as it was noted
 * @returns the map with every zone that a wash changed; a look from before a strip or a coat is forgotten with it
 */
export function protectionsAfter(
  vehicle: Pick<Vehicle, 'protection' | 'protections'>,
  events: readonly CoatEvent[],
): ZoneProtection[] {
  const inOrder = events.toSorted((a, b) => a.atMs - b.atMs);
  return CAR_ZONES.flatMap(({ zone, group }): ZoneProtection[] => {
    const noted = vehicle.protections.find((row) => row.zone === zone);
    const start: ZoneProtection = noted ?? {
      zone,
      kind: protectionOn(vehicle, zone),
      appliedMs: null,
      claimedLifeDays: null,
      observed: null,
    };
    const sinceMs = Math.max(start.notedMs ?? -Infinity, start.appliedMs ?? -Infinity);
    const now = inOrder.reduce((row, event) => {
      const changes = isPainted(zone) && event.atMs > sinceMs;
      const later = changes ? keepLook(row, zoneAfter(row, group, event), event) : row;
      return withLook(later, event);
    }, start);
    return noted || now !== start ? [now] : [];
  });
}

/** A look after the wash that is worked in saw what that wash left. */
const keepLook = (before: ZoneProtection, now: ZoneProtection, { atMs }: CoatEvent): ZoneProtection =>
  now !== before && before.observed && before.observed.atMs > atMs
    ? { ...now, observed: before.observed }
    : now;
