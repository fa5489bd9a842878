import { describe, expect, it } from '@jest/globals';
import type { Worker, PlaceRecord, Predicted, VehicleRecord, WashRecord } from '@keen/core';
import { movedWash, newWash, place, type Shop, type Wanted } from './place-wash.js';
import { refused } from '../testing/refused-field.js';
import { plannedWash } from '../testing/planned-wash.js';

const NOW = Date.UTC(2026, 0, 14, 12);
const MINUTE = 60_000;
const HOUR = 60 * MINUTE;

const bay = (change: Partial<PlaceRecord> = {}): PlaceRecord =>
  ({
    id: 'bay',
    name: 'Corner bay',
    timeZone: 'Etc/UTC',
    travelMinutes: 10,
    queue: null,
    carsAtOnce: 1,
    methods: [
      { methodId: 'bay-contact', priceMinor: 0 },
      { methodId: 'bay-touch-free', priceMinor: 0 },
    ],
    ...change,
  }) as PlaceRecord;
const unit = bay({ id: 'unit', name: 'Warm unit', travelMinutes: 0 });
const worker = (id: string, name: string): Worker => ({ id, name, hours: [] });

const shop = (change: Partial<Shop> = {}): Shop => ({
  places: [bay(), unit],
  vehicles: [{ id: 'black' }, { id: 'white' }] as VehicleRecord[],
  workers: [worker('owner', 'The owner'), worker('helper', 'The helper')],
  minutesOf: (_wash, _vehicle, worked) => worked ?? 60,
  restMinutes: 0,
  nowMs: NOW,
  ...change,
});

const wash = ({ id = 'w', ...change }: Partial<WashRecord> = {}): WashRecord =>
  plannedWash(id, NOW + 4 * HOUR, change);
const other = (change: Partial<WashRecord>): WashRecord =>
  wash({ id: 'other', vehicleId: 'white', placeId: 'unit', workerId: 'helper', ...change });

const want = (record: WashRecord, change: Partial<Wanted> = {}): Wanted => ({ field: '', record, ...change });
/** Field and words of the refusal; null: it is placed. */
function fault(wanted: Wanted, standing: readonly WashRecord[], at: Shop = shop()): [string, string] | null {
  try {
    place(wanted, standing, at);
    return null;
  } catch (error) {
    const { response } = error as { response: { error: { field: string; message: string } } };
    return [response.error.field, response.error.message];
  }
}

describe('a wash that is to be added', () => {
  it('is planned, locked, with the first hands, where nothing else is said', () => {
    const { record, field, anyWorker } = newWash(
      { vehicleId: 'black', placeId: 'bay', methodId: 'bay-contact', startMs: NOW },
      'add.0.',
      shop(),
    );
    expect(record).toEqual({ ...wash({ startMs: NOW, minutes: 0 }), id: record.id });
    expect(record.id).not.toBe('');
    expect([field, anyWorker]).toEqual(['add.0.', true]);
  });

  it('keeps what is said, and is the owner’s in a shop without hands', () => {
    const said = { workerId: 'helper', isLocked: false, extras: ['underbody' as const] };
    const dto = { vehicleId: 'black', placeId: 'bay', methodId: 'bay-contact', startMs: NOW };
    const wanted = newWash({ ...dto, ...said }, '', shop());
    expect(wanted.record).toMatchObject(said);
    expect(wanted.anyWorker).toBe(false);
    expect(newWash(dto, '', shop({ workers: [] })).record.workerId).toBe('owner');
  });
});

describe('a wash that is to stand otherwise', () => {
  const predicted = { wayId: 'dry-one-side', isOwnWay: true } as Predicted;

  it('is nothing where there was none', () => {
    expect(movedWash({ id: 'w', startMs: NOW }, undefined, '')).toEqual([]);
  });

  it('keeps the way that somebody chose until its hour, place or method is another', () => {
    const before = wash({ predicted });
    const wayAfter = (change: object) => movedWash({ id: 'w', ...change }, before, '')[0]?.wayId;
    expect(wayAfter({ workerId: 'helper' })).toBe('dry-one-side');
    expect(wayAfter({ startMs: before.startMs })).toBe('dry-one-side');
    expect(wayAfter({ startMs: NOW + 5 * HOUR })).toBeUndefined();
    expect(wayAfter({ placeId: 'unit' })).toBeUndefined();
    expect(wayAfter({ methodId: 'bay-touch-free' })).toBeUndefined();
    expect(wayAfter({ wayId: 'whole' })).toBe('whole');
    expect(wayAfter({ wayId: 'whole', startMs: NOW })).toBe('whole');
  });

  it('forgets a way that nobody chose', () => {
    const before = wash({ predicted: { ...predicted, isOwnWay: undefined } });
    expect(movedWash({ id: 'w', workerId: 'helper' }, before, '')[0]?.wayId).toBeUndefined();
    expect(movedWash({ id: 'w', workerId: 'helper' }, wash(), '')[0]?.wayId).toBeUndefined();
  });
});

describe('where a wash may stand', () => {
  it('takes the minutes and the verdict as it is worked through', () => {
    const predicted = { verdict: 'go' } as Predicted;
    const placed = place(want(wash(), { worked: { predicted, minutes: 71 } }), [], shop());
    expect(placed).toMatchObject({ minutes: 71, predicted, workerId: 'owner' });
    expect(place(want(wash({ predicted })), [], shop())).toMatchObject({ minutes: 60, predicted: null });
  });

  it('comes back with the minutes that were counted then', () => {
    const predicted = { verdict: 'go-if' } as Predicted;
    const back = place(want(wash({ minutes: 43, predicted }), { isBack: true }), [], shop());
    expect(back).toMatchObject({ minutes: 43, predicted });
  });

  it.each([
    { field: 'vehicle', change: { vehicleId: 'gone' } },
    { field: 'place', change: { placeId: 'gone' } },
    { field: 'move.3.methodId', change: { methodId: 'drive-hose' } },
    { field: 'move.3.workerId', change: { workerId: 'nobody' } },
    { field: 'move.3.startMs', change: { startMs: NOW - 2 * HOUR } },
  ])('is refused by $field', ({ field, change }) => {
    expect(fault(want(wash(change), { field: 'move.3.' }), [])?.[0]).toBe(field);
  });

  it.each([
    { minutes: -60 * 60_000 - 1, refused: true },
    { minutes: -60 * 60_000, refused: false },
  ])('is over when its end is past, not before: $minutes', ({ minutes, refused }) => {
    expect(fault(want(wash({ startMs: NOW + minutes })), []) !== null).toBe(refused);
  });

  it.each([
    { why: 'ends as it begins', startMs: NOW + 3 * HOUR, says: null },
    { why: 'ends a minute after it begins', startMs: NOW + 3 * HOUR + MINUTE, says: 'another wash planned' },
    { why: 'begins as it ends', startMs: NOW + 5 * HOUR, says: null },
  ])('the car’s other wash $why', ({ startMs, says }) => {
    const found = fault(want(wash()), [other({ vehicleId: 'black', startMs })]);
    if (says === null) expect(found).toBeNull();
    else expect(found?.[1]).toContain(says);
  });

  it('is refused where the place is full, and not where it has room or is another', () => {
    const there = other({ placeId: 'bay' });
    expect(fault(want(wash()), [there])?.[1]).toContain('Corner bay is taken');
    expect(fault(want(wash()), [other({})])).toBeNull();
    const wide = shop({ places: [bay({ carsAtOnce: 2 }), unit] });
    expect(fault(want(wash()), [there], wide)).toBeNull();
    const third = wash({ id: 'third', vehicleId: 'red', workerId: 'third', placeId: 'bay' });
    expect(fault(want(wash()), [there, third], wide)?.[1]).toContain('Corner bay is taken');
  });

  it('does not stand in its own way', () => {
    expect(fault(want(wash()), [wash({ startMs: NOW + 4.5 * HOUR })])).toBeNull();
  });

  it('counts the ways there and back of hands, and the rest that the house wants', () => {
    const before = (minutes: number) =>
      other({ workerId: 'owner', startMs: NOW + 3 * HOUR - minutes * MINUTE });
    // It is at home in the unit; the bay is ten minutes away.
    expect(fault(want(wash()), [before(9)])?.[1]).toContain('queue and ways there and back');
    expect(fault(want(wash()), [before(10)])).toBeNull();
    const rested = shop({ restMinutes: 15 });
    expect(fault(want(wash()), [before(24)], rested)?.[1]).toContain('less than the house’s 15 min of rest');
    expect(fault(want(wash()), [before(25)], rested)).toBeNull();
  });

  it('waits through the queue before it leaves', () => {
    const queue = {
      weekdayMinutes: Array(24).fill(30) as number[],
      weekendMinutes: Array(24).fill(0) as number[],
    };
    const busy = shop({ places: [bay({ queue }), unit] });
    const after = other({ vehicleId: 'black', startMs: NOW + 5.25 * HOUR });
    expect(fault(want(wash()), [after])).toBeNull();
    expect(fault(want(wash()), [after], busy)?.[1]).toContain('another wash planned');
  });

  it('goes to any hands that are free where none were named, and to the first named where none is', () => {
    const taken = other({ workerId: 'owner' });
    expect(place(want(wash(), { anyWorker: true }), [taken], shop()).workerId).toBe('helper');
    expect(place(want(wash(), { anyWorker: true }), [], shop()).workerId).toBe('owner');
    const all = [taken, other({ id: 'more', vehicleId: 'red', placeId: 'elsewhere' })];
    expect(fault(want(wash(), { anyWorker: true }), all)?.[1]).toContain('The owner has another wash then');
    expect(fault(want(wash()), [taken])?.[1]).toContain('Choose another time or other hands');
  });
});

describe('what was chosen for one wash alone', () => {
  const predicted = (change: object): Predicted =>
    ({ verdict: 'go', limiting: null, forecastIssuedMs: 0, ...change }) as unknown as Predicted;
  const VARIANT = { steps: [{ key: 'rinse-0', minutes: 4, note: '' }], leftOut: ['shuts-0'] };
  const before = wash({
    methodId: 'bay-contact',
    predicted: predicted({ products: { foam: 'a' }, variant: VARIANT }),
  });
  const choicesAfter = (change: object) => movedWash({ id: 'w', ...change }, before, 'move.0.')[0]?.choices;

  it('stays with it wherever it is moved by the same method, and not by another', () => {
    expect(choicesAfter({ startMs: NOW })).toEqual({ products: { foam: 'a' }, variant: VARIANT });
    expect(choicesAfter({ methodId: 'bay-touch-free' })).toBeUndefined();
  });

  it('is changed by what is sent, and given up by null', () => {
    const other = { steps: [], leftOut: ['foam-0'] };
    expect(choicesAfter({ variant: other })).toEqual({ products: { foam: 'a' }, variant: other });
    expect(choicesAfter({ variant: null })).toEqual({ products: { foam: 'a' } });
    expect(choicesAfter({ variant: null, products: { foam: null } })).toBeUndefined();
  });

  it('is refused by the name of its step', () => {
    expect(refused(() => choicesAfter({ variant: { steps: [{ key: 'x y' }], leftOut: [] } }))).toBe(
      'move.0.variant.steps.0.key',
    );
  });
});
