import { MS_PER_MINUTE, type PlaceRecord, type PlanView, SLOT_MS, type WashRecord } from '@keen/core';
import type { Format } from '../../format/format.js';

/** Planned washes that this one could be done in one visit with: another car, the same day, a place that takes both. */
export function companions(
  wash: WashRecord,
  { planned }: Pick<PlanView, 'planned'>,
  around: { readonly places: readonly PlaceRecord[]; readonly format: Pick<Format, 'dayKey'> },
): WashRecord[] {
  const place = around.places.find(({ id }) => id === wash.placeId);
  if (!place || place.carsAtOnce < 2 || wash.startedMs !== null) return [];
  const day = around.format.dayKey(wash.startMs);
  return planned.filter(
    (other) =>
      other.vehicleId !== wash.vehicleId &&
      other.placeId === wash.placeId &&
      other.status === 'planned' &&
      other.startedMs === null &&
      !other.visit &&
      around.format.dayKey(other.startMs) === day,
  );
}

/** When a wash of a visit could be done by itself: after the other one, both ways and the rest between, at a minute that the plan uses. */
export function afterwardsMs(other: WashRecord, place: PlaceRecord, restMinutes: number): number {
  const endMs = other.startMs + (other.minutes + 2 * place.travelMinutes + restMinutes) * MS_PER_MINUTE;
  return Math.ceil(endMs / SLOT_MS) * SLOT_MS;
}
