import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY, type PlaceRecord, type VehicleRecord, type WashRecord } from '@keen/core';
import { makeFormat } from '../../format/format.js';
import { doneFrom, draftErrors, draftFor, type WashDraft } from './wash-form.js';
import { foundText, washesCsv, washRows } from './washes-view.js';

const ZONE = 'America/Toronto';
const NOW = Date.parse('2026-01-14T12:00:00-05:00');
const around = { nowMs: NOW, timeZone: ZONE };

const WASH: WashRecord = {
  id: 'w',
  vehicleId: 'v',
  placeId: 'p',
  methodId: 'garage-rinseless',
  status: 'planned',
  startMs: NOW - 7_200_000,
  minutes: 75,
  workerId: 'owner',
  isLocked: false,
  startedMs: null,
  extras: ['underbody'],
  costMinor: null,
  predicted: null,
  found: null,
};

describe('the form of a done wash', () => {
  const draft = draftFor(WASH, { ...around, priceMinor: 1400 });

  it('starts with all that is likely', () => {
    expect(draft).toMatchObject({
      start: '2026-01-14T10:00',
      minutes: 75,
      cost: 14,
      spots: 'none',
      icePanels: [],
    });
    expect(draftErrors(draft, around)).toEqual({});
  });

  it('takes a plan that is still to come as just finished', () => {
    const early = draftFor({ ...WASH, startMs: NOW + 3_600_000 }, { ...around, priceMinor: null });
    expect(early.start).toBe('2026-01-14T10:45');
    expect(early.cost).toBe('');
  });

  it.each([
    { change: { start: '' }, field: 'start' },
    { change: { start: '2026-01-14T12:01' }, field: 'start' },
    { change: { minutes: '' }, field: 'minutes' },
    { change: { minutes: 0 }, field: 'minutes' },
    { change: { minutes: 1441 }, field: 'minutes' },
    { change: { cost: -1 }, field: 'cost' },
    { change: { vehicleId: '' }, field: 'vehicleId' },
    { change: { placeId: '' }, field: 'placeId' },
    { change: { methodId: '' }, field: 'methodId' },
  ] satisfies { change: Partial<WashDraft>; field: keyof WashDraft }[])(
    'names $field when it is $change',
    ({ change, field }) => {
      expect(Object.keys(draftErrors({ ...draft, ...change }, around))).toEqual([field]);
    },
  );

  it('becomes what the server takes', () => {
    expect(doneFrom({ ...draft, cost: '13.5', spots: 'few' }, ZONE)).toEqual({
      startMs: WASH.startMs,
      minutes: 75,
      methodId: 'garage-rinseless',
      extras: ['underbody'],
      costMinor: 1350,
      found: { icePanels: [], spots: 'few', leftovers: '', note: '' },
    });
    expect(doneFrom({ ...draft, cost: '' }, ZONE).costMinor).toBeNull();
  });
});

describe('the list', () => {
  const vehicles = [
    { id: 'v', name: 'Black saloon' },
    { id: 'u', name: 'White van' },
  ] as VehicleRecord[];
  const places = [{ id: 'p', name: 'Home garage' }] as PlaceRecord[];
  const done = (id: string, change: Partial<WashRecord>): WashRecord => ({
    ...WASH,
    id,
    status: 'done',
    found: { icePanels: [], spots: 'none', leftovers: '', note: '' },
    ...change,
  });
  const washes = [
    done('a', { startMs: 1, minutes: 90 }),
    done('b', {
      vehicleId: 'u',
      startMs: 2,
      minutes: 30,
      found: { icePanels: ['roof'], spots: 'many', leftovers: '', note: 'The wind, "again"' },
    }),
    done('c', { startMs: 3, minutes: 60, vehicleId: 'gone' }),
  ];
  const rows = (shown: Partial<Parameters<typeof washRows>[2]>) =>
    washRows(
      washes,
      { vehicles, places },
      { vehicleId: null, text: '', sort: { by: 'start', descending: true }, ...shown },
    );

  it('sorts either way by any head', () => {
    expect(rows({}).map(({ wash }) => wash.id)).toEqual(['c', 'b', 'a']);
    expect(rows({ sort: { by: 'minutes', descending: false } }).map(({ wash }) => wash.id)).toEqual([
      'b',
      'c',
      'a',
    ]);
    expect(rows({ sort: { by: 'vehicle', descending: false } }).map(({ vehicle }) => vehicle)).toEqual([
      'Black saloon',
      'deleted',
      'White van',
    ]);
  });

  it('finds by vehicle and by any word that is shown', () => {
    expect(rows({ vehicleId: 'u' }).map(({ wash }) => wash.id)).toEqual(['b']);
    expect(rows({ text: 'ROOF' }).map(({ wash }) => wash.id)).toEqual(['b']);
    expect(rows({ text: 'nothing like it' })).toEqual([]);
  });

  it('tells what was found', () => {
    expect(foundText(washes[0] ?? WASH)).toBe('Clean and dry.');
    expect(foundText(washes[1] ?? WASH)).toBe('Ice on the roof. Many spots. The wind, "again"');
    expect(foundText(WASH)).toBe('');
  });

  it('goes out as CSV with quotes kept and units in the heads', () => {
    const lines = washesCsv(rows({ vehicleId: 'u' }), makeFormat(DEFAULT_DISPLAY, ZONE)).split('\r\n');
    expect(lines[0]).toBe('\uFEFFstart,vehicle,place,method,status,minutes,cost_CAD,found');
    expect(lines[1]).toContain('"Ice on the roof. Many spots. The wind, ""again"""');
  });
});
