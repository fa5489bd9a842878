import type { WashRecord } from '@keen/core';

/** The next wash of a car that stands in the plan; null: none does. */
export const nextPlanned = (washes: readonly WashRecord[], vehicleId: string): WashRecord | null =>
  washes
    .filter((wash) => wash.status === 'planned' && wash.vehicleId === vehicleId)
    .toSorted((a, b) => a.startMs - b.startMs)[0] ?? null;
