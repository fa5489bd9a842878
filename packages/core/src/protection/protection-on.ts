import type { CarZone, Protection, Vehicle, ZoneProtection } from '../vehicle/index.js';
import { CAR_ZONES, zoneOf } from '../vehicle/index.js';
import { PH_STANDS } from './compatibility.js';

/** What lies on a zone: as kept for it, else as on the car; glass, wheels, trim and metal are bare unless told. */
export function protectionOn(
  vehicle: Pick<Vehicle, 'protection' | 'protections'>,
  zone: CarZone,
): Protection {
  const own = vehicle.protections.find((row) => row.zone === zone);
  if (own) return own.kind;
  const { surface } = zoneOf(zone);
  return surface === 'paint' || surface === 'plastic' ? vehicle.protection : 'bare';
}

/** What lies on a zone of which nobody noted when it was put on, nor what was seen of it. */
export const undated = (zone: CarZone, kind: Protection): ZoneProtection => ({
  zone,
  kind,
  appliedMs: null,
  claimedLifeDays: null,
  observed: null,
});

/** The protection that gives way first to strong soap, and where it lies; null where the whole car is bare. */
export function weakestProtection(
  vehicle: Pick<Vehicle, 'protection' | 'protections'>,
): { readonly zone: CarZone; readonly kind: Exclude<Protection, 'bare'> } | null {
  let weakest: { zone: CarZone; kind: Exclude<Protection, 'bare'> } | null = null;
  for (const { zone } of CAR_ZONES) {
    const kind = protectionOn(vehicle, zone);
    if (kind === 'bare') continue;
    if (!weakest || PH_STANDS[kind].high < PH_STANDS[weakest.kind].high) weakest = { zone, kind };
  }
  return weakest;
}
