import { type Customer, type PlaceRecord, type Settings, type VehicleRecord } from '@keen/core';

export interface MessagesProps {
  readonly customers: readonly Customer[];
  readonly vehicles: readonly VehicleRecord[];
  readonly places: readonly PlaceRecord[];
  readonly templates: Settings['templates'];
}
