import { describe, expect, it } from '@jest/globals';
import {
  CALCULATORS,
  calculate,
  DEFAULT_DISPLAY,
  type DisplaySettings,
  EVEN_WEEK,
  type PlaceRecord,
  type VehicleRecord,
} from '@keen/core';
import { shownUnit } from './desk/desk-units.js';
import { fieldLabel, fieldsOf, figureText, inputFrom, shownExample } from './desk/desk-view.js';
import { workingOf } from './desk/working.js';
import {
  DEFAULT_TARIFF,
  draftOf as placeDraft,
  methodsAt,
  newPlace,
  type PlaceDraft,
  placeErrors,
  placeFrom,
  queueHours,
  queueRows,
} from './places/place-form.js';
import { clockOf, minutesOf } from '../parts/wall-clock.js';
import { dayAt, saltLayer, washDays } from './salt/salt-view.js';
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
    methods: [
      { methodId: 'bay-touch-free', priceMinor: 0 },
      { methodId: 'bay-contact', priceMinor: 100 },
    ],
    tariff: {
      startPriceMinor: 300,
      startSeconds: 180,
      blockPriceMinor: 75,
      blockSeconds: 60,
      pausable: false,
    },
    queue: {
      weekdayMinutes: Array.from({ length: 24 }, (_, hour) => (hour >= 16 && hour < 19 ? 12 : 0)),
      weekendMinutes: Array.from({ length: 24 }, (_, hour) => (hour === 11 ? 25 : 0)),
    },
    forbids: ['no-own-bucket'],
    travelMinutes: 9,
    carsAtOnce: 2,
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

  it.each([
    { change: { offers: [] }, fields: ['offers'] },
    { change: { offers: [{ methodId: 'garage-hose', priceMinor: null }] }, fields: ['offers.garage-hose'] },
    { change: { tariff: { ...DEFAULT_TARIFF, blockSeconds: 0 } }, fields: ['tariff.blockSeconds'] },
    { change: { tariff: { ...DEFAULT_TARIFF, startPriceMinor: null } }, fields: ['tariff.startPriceMinor'] },
    { change: { relHumidityPercent: 101 }, fields: ['relHumidityPercent'] },
    { change: { relHumidityPercent: 62 }, fields: [] },
    { change: { weekendQueue: [{ fromHour: 12, toHour: 12, minutes: 5 }] }, fields: ['queue'] },
  ] satisfies { change: Partial<PlaceDraft>; fields: string[] }[])(
    'names $fields for $change',
    ({ change, fields }) => {
      expect(Object.keys(placeErrors({ ...good, ...change }))).toEqual(fields);
    },
  );

  it('offers what its kind can do', () => {
    expect(methodsAt('automatic-bay')).toEqual(['touchless-automatic']);
    expect(methodsAt('garage')).toContain('garage-hose');
    expect(methodsAt('drive')).not.toContain('garage-hose');
  });

  it('keeps waiting as stretches of the day', () => {
    const hours = Array.from({ length: 24 }, (_, hour) =>
      hour === 8 || hour === 9 ? 4 : hour === 10 ? 6 : 0,
    );
    expect(queueRows(hours)).toEqual([
      { fromHour: 8, toHour: 10, minutes: 4 },
      { fromHour: 10, toHour: 11, minutes: 6 },
    ]);
    expect(queueHours(queueRows(hours))).toEqual(hours);
    expect(
      queueHours([
        { fromHour: 8, toHour: 10, minutes: 4 },
        { fromHour: 9, toHour: 10, minutes: 9 },
      ])[9],
    ).toBe(9);
  });

  it('reads and writes the clock', () => {
    expect(minutesOf('07:30')).toBe(450);
    expect(minutesOf('7')).toBeNull();
    expect(clockOf(450)).toBe('07:30');
    expect(clockOf(1440)).toBe('00:00');
  });
});

const AMERICAN: DisplaySettings = {
  ...DEFAULT_DISPLAY,
  temperature: 'F',
  wind: 'mph',
  volume: 'gal',
  currency: 'USD',
};

describe('the reference desk', () => {
  it.each([...CALCULATORS.keys()].filter((name) => name !== 'wash'))(
    '%s has an example that its own sum answers, in any units, with its working',
    (name) => {
      const calculator = CALCULATORS.get(name);
      const answers = [DEFAULT_DISPLAY, AMERICAN].map((display) => {
        const input = inputFrom(fieldsOf(name), shownExample(name, display), display);
        const working = workingOf(name, input);
        expect(working.length).toBeGreaterThan(0);
        for (const line of working) expect(line).not.toMatch(/NaN|undefined|\?(?!$)/);
        return calculator && calculate(calculator, input);
      });
      for (const answer of answers) expect(answer).toMatchObject({ ok: true });
      const numbers = answers.map((answer) =>
        Object.values((answer?.ok ? answer.value : {}) as Record<string, unknown>).filter(
          (value): value is number => typeof value === 'number',
        ),
      );
      numbers[0]?.forEach((value, i) => expect(numbers[1]?.[i]).toBeCloseTo(value, 2));
    },
  );

  it.each([
    { unit: '°C', value: -10, shown: 14, label: '°F' },
    { unit: 'km/h at 10 m', value: 100, shown: 62.1371, label: 'mph at 10 m' },
    { unit: 'm/s at the panel', value: 10, shown: 22.369356, label: 'mph at the panel' },
    { unit: 'mL of finished mix', value: 29.5735, shown: 1, label: 'fl oz of finished mix' },
    { unit: 'mL per L of water', value: 5, shown: 5, label: 'mL per L of water' },
    { unit: 'L', value: 3.785412, shown: 1, label: 'gal' },
    { unit: 'minor units', value: 750, shown: 7.5, label: 'USD' },
    { unit: 'µS/cm', value: 10, shown: 10, label: 'µS/cm' },
  ])('shows $unit as $label and back', ({ unit, value, shown, label }) => {
    const made = shownUnit(unit, AMERICAN);
    expect(made.label).toBe(label);
    expect(made.toShown(value)).toBeCloseTo(shown, 5);
    expect(made.fromShown(made.toShown(value))).toBeCloseTo(value, 9);
  });

  it('shows the working of a sum that people get wrong', () => {
    expect(workingOf('dilution', { totalMl: 1000, partsWater: 9, capMl: 50 })).toEqual([
      '1 part product : 9 parts water = 10 % of the mix',
      'product = 1000 ÷ (1 + 9) = 100 mL; water = 900 mL',
      '100 ÷ 50 mL a cap = 2 caps',
    ]);
    expect(workingOf('dilution', { totalMl: -1 })).toEqual([]);
  });

  it('leaves out what is empty, so that the sum can say what it misses', () => {
    expect(inputFrom(fieldsOf('wind-chill'), { airTempC: ' ', windKmh: '20' }, DEFAULT_DISPLAY)).toEqual({
      windKmh: 20,
    });
  });

  it('writes figures with as many digits as matter, and names in words', () => {
    expect([figureText(17.860584), figureText(null), figureText([0, 2]), figureText(true)]).toEqual([
      '17.861',
      'none',
      '0, 2',
      'yes',
    ]);
    expect(
      ['relHumidityFraction', 'airTempC', 'filmGramsPerM2', 'litres', 'mlPerLitreWater', 'tdsMgPerLitre'].map(
        fieldLabel,
      ),
    ).toEqual(['Relative humidity', 'Air temperature', 'Film', 'Litres', 'mL per litre water', 'TDS']);
  });
});

describe('salt on the drawing', () => {
  const zones = [
    { zone: 'underbody', loadGramsPerM2: 6, activeHours: 200 },
    { zone: 'roof', loadGramsPerM2: 0.3, activeHours: 50 },
  ] as const;

  it('is drawn against a full scale, the clock against its fastest zone', () => {
    expect(saltLayer(zones, 'load').underbody).toMatchObject({ text: '6.0', strength: 0.5 });
    expect(saltLayer(zones, 'clock').roof).toMatchObject({ text: '50', strength: 0.25 });
    expect(saltLayer(zones, 'clock', 400).roof?.strength).toBe(0.125);
  });

  it('can be looked at on any day, the last being now', () => {
    const day = { atMs: 5, activeHours: 1, zones: [...zones] };
    const salt = { days: [day], now: { activeHours: 2, zones: [] } };
    expect(dayAt(salt, 0)).toBe(day);
    expect(dayAt(salt, 1)).toEqual({ atMs: null, activeHours: 2, zones: [] });
    expect(washDays([{ atMs: 5 }, { atMs: 9 }], [6, 99])).toEqual([1]);
  });
});
