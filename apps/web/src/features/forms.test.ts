import { describe, expect, it } from '@jest/globals';
import { CALCULATORS, calculate } from '@keen/core';
import type { PlaceRecord, VehicleRecord } from '../api/types.js';
import { EXAMPLES, fieldLabel, fieldsOf, figureText, inputFrom } from './desk/desk-view.js';
import {
  clockOf,
  draftOf as placeDraft,
  minutesOf,
  newPlace,
  type PlaceDraft,
  placeErrors,
  placeFrom,
} from './places/place-form.js';
import { saltLayer } from './salt/salt-view.js';
import {
  draftOf as vehicleDraft,
  NEW_VEHICLE,
  type VehicleDraft,
  vehicleErrors,
  vehicleFrom,
} from './vehicles/vehicle-form.js';

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
    driving: { mainRoadKm: 30, townKm: 9, bridgeKm: 0 },
    standsAtPlaceId: null,
    cadenceDays: 7,
    knownSinceMs: 0,
  };

  it('comes back as it went in', () => {
    const { id: _id, knownSinceMs: _since, ...fields } = record;
    expect(vehicleFrom(vehicleDraft(record))).toEqual(fields);
  });

  it.each([
    { change: { name: '  ' }, field: 'name' },
    { change: { mainRoadKm: null }, field: 'mainRoadKm' },
    { change: { townKm: -1 }, field: 'townKm' },
    { change: { bridgeKm: 1501 }, field: 'bridgeKm' },
    { change: { cadenceDays: 0 }, field: 'cadenceDays' },
  ] satisfies { change: Partial<VehicleDraft>; field: string }[])(
    'names $field for $change',
    ({ change, field }) => {
      expect(Object.keys(vehicleErrors({ ...NEW_VEHICLE, name: 'x', ...change }))).toEqual([field]);
    },
  );
});

describe('the form of a place', () => {
  const bay: PlaceRecord = {
    id: 'p',
    name: 'Bay',
    notes: '',
    kind: 'self-serve-bay',
    latitudeDeg: 46.5,
    longitudeDeg: -84.3,
    timeZone: 'America/Toronto',
    climate: { kind: 'open-bay' },
    shelter: { kind: 'roofed', openings: [{ fromDeg: 110, toDeg: 165, topElevationDeg: 35 }] },
    carHeadingDeg: 137,
    hasDrain: true,
    hasLight: true,
    tap: 'always',
    openHours: [null, ...Array.from({ length: 6 }, () => ({ openMinute: 360, closeMinute: 1440 }))],
    washWater: { name: 'Warm', hardnessMgPerLitre: 118, tdsMgPerLitre: 190, tempC: 34, origin: 'measured' },
    finalRinse: null,
    methods: [{ methodId: 'bay-touch-free', priceMinor: 750 }],
    travelMinutes: 9,
  };

  it('comes back as it went in', () => {
    const { id: _id, ...fields } = bay;
    expect(placeFrom(placeDraft(bay))).toEqual(fields);
  });

  const good: PlaceDraft = { ...newPlace('America/Toronto', bay), name: 'Garage' };

  it.each([
    { change: {}, fields: [] },
    { change: { name: '' }, fields: ['name'] },
    { change: { latitudeDeg: null }, fields: ['latitudeDeg'] },
    { change: { kind: 'heated-unit' as const, setpointC: 99 }, fields: ['setpointC'] },
    { change: { kind: 'garage' as const, setpointC: 99 }, fields: [] },
    {
      change: { openHours: [{ openMinute: 600, closeMinute: 600 }, ...good.openHours.slice(1)] },
      fields: ['openHours.0'],
    },
    {
      change: { washWater: { ...good.washWater, tdsMgPerLitre: null } },
      fields: ['washWater.tdsMgPerLitre'],
    },
    { change: { finalRinse: { ...good.washWater, tempC: 99 } }, fields: ['finalRinse.tempC'] },
  ])('names $fields', ({ change, fields }) => {
    expect(Object.keys(placeErrors({ ...good, ...change }))).toEqual(fields);
  });

  it('reads and writes the clock', () => {
    expect(minutesOf('07:30')).toBe(450);
    expect(minutesOf('7')).toBeNull();
    expect(clockOf(450)).toBe('07:30');
    expect(clockOf(1440)).toBe('00:00');
  });
});

describe('the reference desk', () => {
  it.each([...CALCULATORS.keys()])('%s has an example that its own sum answers', (name) => {
    const calculator = CALCULATORS.get(name);
    const input = inputFrom(fieldsOf(name), EXAMPLES[name] ?? {});
    expect(calculator && calculate(calculator, input)).toMatchObject({ ok: true });
  });

  it('leaves out what is empty, so that the sum can say what it misses', () => {
    expect(inputFrom(fieldsOf('wind-chill'), { airTempC: ' ', windKmh: '20' })).toEqual({ windKmh: 20 });
  });

  it('writes figures with as many digits as matter, and names in words', () => {
    expect([figureText(17.860584), figureText(null), figureText([0, 2]), figureText(true)]).toEqual([
      '17.861',
      'none',
      '0, 2',
      'yes',
    ]);
    expect(
      ['relHumidityFraction', 'airTempC', 'filmGramsPerM2', 'litres', 'capacityGramsPerLitre'].map(
        fieldLabel,
      ),
    ).toEqual(['Rel humidity', 'Air temp', 'Film', 'Litres', 'Capacity']);
  });
});

it('draws salt against a full scale, the clock against its fastest zone', () => {
  const zones = [
    { zone: 'underbody', loadGramsPerM2: 6, activeHours: 200 },
    { zone: 'upper', loadGramsPerM2: 0.3, activeHours: 50 },
  ] as const;
  expect(saltLayer(zones, 'load').underbody).toEqual({ text: '6.0', strength: 0.5 });
  expect(saltLayer(zones, 'clock').upper).toEqual({ text: '50', strength: 0.25 });
});
