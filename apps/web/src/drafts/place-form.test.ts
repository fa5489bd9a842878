import { describe, expect, it } from '@jest/globals';
import type { PlaceRecord } from '@keen/core';
import { clockOf, minutesOf } from '../parts/wall-clock.js';
import {
  DEFAULT_TARIFF,
  draftOf as placeDraft,
  methodsAt,
  newPlace,
  ofKind,
  type PlaceDraft,
} from './place-draft.js';
import { queueHours, queueRows } from './queue-rows.js';
import { placeErrors } from './place-errors.js';
import { placeFrom } from './place-form.js';

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
    finishAt: { placeId: 'unit', driveMinutes: 5, priceMinor: 900 },
    queue: {
      weekdayMinutes: Array.from({ length: 24 }, (_, hour) => (hour >= 16 && hour < 19 ? 12 : 0)),
      weekendMinutes: Array.from({ length: 24 }, (_, hour) => (hour === 11 ? 25 : 0)),
    },
    forbids: ['no-own-bucket'],
    travelMinutes: 9,
    mostMinutes: 20,
    dryingSpot: 'behind the north wall',
    siteSoap: 'weak',
    bucketWater: 'gun',
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
    { change: { indoorAir: 'kept' as const, setpointC: 99 }, fields: ['setpointC'] },
    { change: { indoorAir: 'model' as const, setpointC: 99, readC: 99 }, fields: [] },
    { change: { indoorAir: 'usual' as const, usualC: null }, fields: ['usualC'] },
    { change: { indoorAir: 'usual' as const, usualC: -40 }, fields: [] },
    { change: { indoorAir: 'read' as const, readC: 50.1 }, fields: ['readC'] },
    { change: { kind: 'drive' as const, indoorAir: 'read' as const }, fields: [] },
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

  it.each([
    { climate: { kind: 'unheated', relHumidityFraction: null } },
    { climate: { kind: 'unheated', relHumidityFraction: 0.8, usualC: 4 } },
    { climate: { kind: 'unheated', relHumidityFraction: null, readC: 2.5, readAtMs: 1e12 } },
    { climate: { kind: 'unheated', relHumidityFraction: null, usualC: 4, readC: 2.5, readAtMs: 1e12 } },
    { climate: { kind: 'heated', setpointC: 12, relHumidityFraction: null } },
  ] as const)('keeps the air of a garage: $climate', ({ climate }) => {
    const garage: PlaceRecord = { ...bay, kind: 'garage', shelter: { kind: 'indoors' }, climate };
    expect(placeFrom(placeDraft(garage)).climate).toEqual(climate);
  });

  it('forgets what is known of the air where that is no longer how it is known', () => {
    const climate = { kind: 'unheated', relHumidityFraction: null, readC: 2, readAtMs: 1 } as const;
    const read = placeDraft({ ...bay, kind: 'garage', shelter: { kind: 'indoors' }, climate });
    const to = (change: Partial<PlaceDraft>) => placeFrom({ ...read, ...change }).climate;
    expect(to({ indoorAir: 'model' })).toEqual({ kind: 'unheated', relHumidityFraction: null });
    expect(to({ indoorAir: 'usual', usualC: 5 })).toMatchObject({ usualC: 5 });
    expect(to(ofKind('drive'))).toEqual({ kind: 'outdoors' });
    expect(to({ ...ofKind('heated-unit'), setpointC: 16 })).toMatchObject({ kind: 'heated', setpointC: 16 });
  });

  it('has no tap where it is a car park, and washes with carried water there', () => {
    expect(ofKind('car-park')).toMatchObject({ tap: 'none', offers: [{ methodId: 'rinseless-outdoors' }] });
    expect(methodsAt('car-park')).toEqual(['rinseless-outdoors', 'waterless']);
    expect(methodsAt('heated-unit')).toContain('garage-hose');
  });

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
    expect(minutesOf('7:30')).toBe(450);
    expect(minutesOf('0730')).toBe(450);
    expect(minutesOf('24:00')).toBe(1440);
    for (const wrong of ['7', '24:01', '07:60', 'noon', '']) expect(minutesOf(wrong)).toBeNull();
    expect(clockOf(450)).toBe('07:30');
    expect(clockOf(1440)).toBe('00:00');
  });
});
