import type { Customer, PlaceRecord, VehicleRecord } from '@keen/core';

export interface BookingsProps {
  readonly customers: readonly Customer[];
  readonly vehicles: readonly VehicleRecord[];
  readonly places: readonly PlaceRecord[];
  readonly timeZone: string;
}
