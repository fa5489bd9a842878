import { describe, expect, it } from '@jest/globals';
import { EVEN_WEEK, type VehicleRecord } from '@keen/core';
import {
  draftOf as vehicleDraft,
  NEW_VEHICLE,
  type VehicleDraft,
  vehicleErrors,
  vehicleFrom,
} from './vehicle-form.js';

describe('the form of a vehicle', () => {
  const record: VehicleRecord = {
    id: 'v',
    name: 'Black saloon',
    colourName: 'black',
    keeper: 'The shop',
    notes: '',
    bodyClass: 'saloon',
    paintTone: 'black',
    bodyMaterial: 'steel',
    protection: 'coating',
    waterBehaviour: 'beading',
    protections: [],
    delicateWheels: true,
    hasChargePort: false,
    weekShares: [1, 1, 1, 1, 1, 0.5, 0],
    driving: { mainRoadKm: 30, townKm: 9, bridgeKm: 0 },
    standsAtPlaceId: null,
    cadenceDays: 7,
    target: { kind: 'salt-days', most: 12 },
    seasonJobs: ['underbody'],
    customerId: null,
    knownSinceMs: 0,
  };

  it('comes back as it went in', () => {
    const { id: _id, knownSinceMs: _since, protections: _kept, ...fields } = record;
    expect(vehicleFrom(vehicleDraft(record))).toEqual(fields);
  });

  it.each([
    { change: { name: '  ' }, field: 'name' },
    { change: { mainRoadKm: null }, field: 'mainRoadKm' },
    { change: { townKm: -1 }, field: 'townKm' },
    { change: { bridgeKm: 1501 }, field: 'bridgeKm' },
    { change: { cadenceDays: 0 }, field: 'cadenceDays' },
    { change: { weekShares: [...EVEN_WEEK.slice(1), null] }, field: 'weekShares' },
    { change: { weekShares: [...EVEN_WEEK.slice(1), 11] }, field: 'weekShares' },
  ] satisfies { change: Partial<VehicleDraft>; field: string }[])(
    'names $field for $change',
    ({ change, field }) => {
      expect(Object.keys(vehicleErrors({ ...NEW_VEHICLE, name: 'x', ...change }))).toEqual([field]);
    },
  );
});
