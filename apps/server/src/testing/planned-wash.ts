import type { WashRecord } from '@keen/core';

/** A wash that is planned by hand in the bay, with what a test changes of it. */
export const plannedWash = (id: string, startMs: number, change: Partial<WashRecord> = {}): WashRecord => ({
  id,
  vehicleId: 'black',
  placeId: 'bay',
  methodId: 'bay-contact',
  status: 'planned',
  startMs,
  minutes: 60,
  workerId: 'owner',
  isLocked: true,
  startedMs: null,
  extras: [],
  costMinor: null,
  predicted: null,
  found: null,
  ...change,
});
