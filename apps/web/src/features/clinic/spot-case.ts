import { type CarZone, materialOfZone, type RungDone, type Spot, type SpotRecord } from '@keen/core';

/** The spots that are being worked on. */
export interface SpotCase extends Spot {
  readonly done: readonly RungDone[];
  /** null: on no car of the shop's. */
  readonly vehicleId: string | null;
  readonly zone: CarZone | null;
  /** On the car's record already; null: not kept yet. */
  readonly recordId: string | null;
}

export const FRESH: SpotCase = {
  age: 'not-known',
  material: 'paint',
  cause: 'not-known',
  done: [],
  vehicleId: null,
  zone: null,
  recordId: null,
};

/** Another zone has other spots; what it is made of follows. */
export const onZone = (zone: CarZone | null): Partial<SpotCase> => ({
  zone,
  recordId: null,
  done: [],
  ...(zone ? { material: materialOfZone(zone) } : {}),
});

/** A record to go on with. */
export const fromRecord = ({ id, vehicleId, zone, age, material, cause, done }: SpotRecord): SpotCase => ({
  age,
  material,
  cause,
  done,
  vehicleId,
  zone,
  recordId: id,
});
