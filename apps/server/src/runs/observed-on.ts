import {
  type PanelId,
  type VehicleRecord,
  type WashFound,
  ZONE_OF_PANEL,
  type ZoneProtection,
} from '@keen/core';

/** The zones of a vehicle with what water was seen to do on its panels; a zone not told of before keeps the car's protection. */
export function observedOn(
  vehicle: Pick<VehicleRecord, 'protection' | 'protections'>,
  behaviour: NonNullable<WashFound['behaviour']>,
  atMs: number,
): ZoneProtection[] {
  const seen = Object.entries(behaviour).map(([panel, what]) => ({
    zone: ZONE_OF_PANEL[panel as PanelId],
    observed: { behaviour: what, atMs },
  }));
  const zones = new Map(vehicle.protections.map((row) => [row.zone, row]));
  for (const { zone, observed } of seen) {
    const before = zones.get(zone);
    zones.set(zone, {
      ...(before ?? { zone, kind: vehicle.protection, appliedMs: null, claimedLifeDays: null }),
      observed,
    });
  }
  return [...zones.values()];
}
