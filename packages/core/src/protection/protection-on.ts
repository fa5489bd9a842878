import type { CarZone, Protection, Vehicle } from '../vehicle/index.js';
import { CAR_ZONES } from '../vehicle/index.js';
import { PH_STANDS } from './compatibility.js';

/** What lies on a zone: as kept for it, else as on the car; glass, wheels, trim and metal are bare unless told. */
export function protectionOn(
  vehicle: Pick<Vehicle, 'protection' | 'protections'>,
  zone: CarZone,
): Protection {
  const own = vehicle.protections.find((row) => row.zone === zone);
  if (own) return own.kind;
  const surface = CAR_ZONES.find((row) => row.zone === zone)?.surface;
  return surface === 'paint' || surface === 'plastic' ? vehicle.protection : 'bare';
}

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
