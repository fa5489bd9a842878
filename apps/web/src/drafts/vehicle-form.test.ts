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
    washedBefore: { atMs: 86_400_000, isKnown: true },
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

describe('what may be typed of a vehicle', () => {
  const faults = (change: Partial<VehicleDraft>): string[] =>
    Object.keys(vehicleErrors({ ...NEW_VEHICLE, name: 'Car', ...change }));

  it.each<[Partial<VehicleDraft>, string[]]>([
    [{}, []],
    [{ name: ' ' }, ['name']],
    [{ mainRoadKm: 0, townKm: 1500 }, []],
    [{ mainRoadKm: -1 }, ['mainRoadKm']],
    [{ townKm: 1501 }, ['townKm']],
    [{ bridgeKm: null }, ['bridgeKm']],
    [{ weekShares: [0, 10, 1, 1, 1, 1, 1] }, []],
    [{ weekShares: [0, 10.1, 1, 1, 1, 1, 1] }, ['weekShares']],
    [{ weekShares: [null, 1, 1, 1, 1, 1, 1] }, ['weekShares']],
    [{ targetKind: 'days', cadenceDays: 1 }, []],
    [{ targetKind: 'days', cadenceDays: 365 }, []],
    [{ targetKind: 'days', cadenceDays: 366 }, ['cadenceDays']],
    [{ targetKind: 'days', cadenceDays: 0 }, ['cadenceDays']],
    [{ targetKind: 'days', targetMost: null }, []],
    [{ targetKind: 'active-hours', targetMost: 1 }, []],
    [{ targetKind: 'active-hours', targetMost: 1000 }, []],
    [{ targetKind: 'active-hours', targetMost: 1001 }, ['targetMost']],
    [{ targetKind: 'active-hours', targetMost: null }, ['targetMost']],
    [{ targetKind: 'active-hours', targetMost: 5, cadenceDays: null }, []],
  ])('%j: %j', (change, fields) => {
    expect(faults(change)).toEqual(fields);
  });

  it('is kept trimmed, with what it drives, and with what it may bear', () => {
    const draft = { ...NEW_VEHICLE, name: ' Car ', mainRoadKm: 30, townKm: null, bridgeKm: 4 };
    expect(vehicleFrom(draft)).toMatchObject({
      name: 'Car',
      driving: { mainRoadKm: 30, townKm: 0, bridgeKm: 4 },
      target: { kind: 'days' },
    });
    expect(
      vehicleFrom({ ...draft, targetKind: 'active-hours', targetMost: 7, cadenceDays: null }),
    ).toMatchObject({
      target: { kind: 'active-hours', most: 7 },
      cadenceDays: 14,
    });
    expect(vehicleFrom({ ...draft, weekShares: [null, 2, 1, 1, 1, 1, 0] }).weekShares).toEqual([
      1, 2, 1, 1, 1, 1, 0,
    ]);
  });
});
