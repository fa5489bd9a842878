import { beforeEach, describe, expect, it } from '@jest/globals';
import {
  type CellAnswer,
  type Customer,
  type MessageKind,
  type MessageRecord,
  MS_PER_HOUR,
  type VehicleRecord,
  type WashRecord,
} from '@keen/core';
import { MessagesService } from './messages.service.js';

const NOW = Date.UTC(2026, 0, 14, 12);
const HOUR = MS_PER_HOUR;

const alma = { id: 'alma', name: 'Alma Reed' } as Customer;
const theirs = { id: 'theirs', customerId: 'alma' } as VehicleRecord;
const ours = { id: 'ours', customerId: null } as VehicleRecord;

const wash = (change: Partial<WashRecord> = {}): WashRecord =>
  ({
    id: 'w',
    vehicleId: 'theirs',
    placeId: 'bay',
    methodId: 'bay-contact',
    status: 'planned',
    startMs: NOW + 40 * HOUR,
    minutes: 60,
    startedMs: null,
    ...change,
  }) as WashRecord;

const message = (kind: MessageKind, change: Partial<MessageRecord> = {}): MessageRecord => ({
  id: kind,
  customerId: 'alma',
  vehicleId: 'theirs',
  washId: 'w',
  kind,
  body: '',
  createdMs: NOW - 3 * HOUR,
  toldStartMs: NOW + 40 * HOUR,
  toldPlaceId: 'bay',
  exportedMs: null,
  ...change,
});

/** The book, the plan and the forecast, as a test has them. */
let washes: WashRecord[];
let removed: WashRecord[];
let messages: MessageRecord[];
let cell: Partial<CellAnswer> | null;
let asked: { startMs: number; placeId: string }[];
let taken: [readonly string[], number] | null;

beforeEach(() => {
  washes = [wash()];
  removed = [];
  messages = [];
  cell = { judgement: { standing: 'go', limiting: { ruleId: 'spots' } }, overnightC: 3 } as CellAnswer;
  asked = [];
  taken = null;
});

function service(): MessagesService {
  const listed = <T>(rows: T) => ({ list: () => Promise.resolve(rows) });
  const byId = (rows: WashRecord[], id: string) => Promise.resolve(rows.find((row) => row.id === id) ?? null);
  const parts = [
    listed([alma]),
    listed([theirs, ours]),
    {
      ...listed(washes),
      find: (id: string) => byId(washes, id),
      findRemoved: (id: string) => byId(removed, id),
    },
    {
      cellIfForecast: (start: { startMs: number; placeId: string }) => {
        asked.push({ startMs: start.startMs, placeId: start.placeId });
        return Promise.resolve(cell);
      },
    },
    { now: () => NOW },
    {
      ...listed(messages),
      put: (record: MessageRecord) => Promise.resolve(void messages.push(record)),
      markTaken: (ids: readonly string[], atMs: number) => Promise.resolve(void (taken = [ids, atMs])),
      setRemoved: (id: string) => Promise.resolve(messages.some((one) => one.id === id)),
    },
  ];
  return new MessagesService(...(parts as unknown as ConstructorParameters<typeof MessagesService>));
}
const unsent = () => service().unsent();
const blocked = { standing: 'no', limiting: { ruleId: 'ice-on-car' } };

describe('what a customer is to be told of the plan', () => {
  it('is a wash that they know nothing of', async () => {
    expect(await unsent()).toEqual([
      {
        kind: 'booked',
        customerId: 'alma',
        vehicleId: 'theirs',
        wash: washes[0],
        lastSaid: null,
        against: null,
        overnightC: null,
      },
    ]);
  });

  it.each([
    { why: 'the car is of nobody in the book', change: { vehicleId: 'ours' } },
    { why: 'nobody knows the car', change: { vehicleId: 'gone' } },
    { why: 'it is done', change: { status: 'done' as const } },
    { why: 'it should have been long ago', change: { startMs: NOW - 30 * HOUR } },
  ])('is nothing where $why', async ({ change }) => {
    washes = [wash(change)];
    expect(await unsent()).toEqual([]);
  });

  it.each<{ why: string; said: MessageRecord[]; kinds: MessageKind[] }>([
    { why: 'they know its hour and place', said: [message('booked')], kinds: [] },
    {
      why: 'a move was reported since',
      said: [message('moved'), message('booked', { toldStartMs: 1 })],
      kinds: [],
    },
    { why: 'it was called off and stands again', said: [message('called-off')], kinds: ['booked'] },
    { why: 'they were told no hour', said: [message('booked', { toldStartMs: null })], kinds: ['booked'] },
    {
      why: 'only the night was reported',
      said: [message('freeze-care', { toldStartMs: null })],
      kinds: ['booked'],
    },
    { why: 'another wash was reported', said: [message('booked', { washId: 'other' })], kinds: ['booked'] },
  ])('where $why: $kinds', async ({ said, kinds }) => {
    messages = said;
    washes = [wash(), wash({ id: 'other', status: 'done' })];
    expect((await unsent()).map(({ kind }) => kind)).toEqual(kinds);
  });

  it.each([
    { what: 'hour', said: { toldStartMs: NOW + 39 * HOUR }, change: { startMs: NOW + 39 * HOUR } },
    { what: 'place', said: { toldPlaceId: 'unit' }, change: { placeId: 'unit' } },
  ])(
    'is that it was moved, where its $what is another, with what speaks against the old one',
    async ({ said: lastAbout, change }) => {
      messages = [message('booked', lastAbout)];
      cell = { judgement: blocked, overnightC: 3 } as CellAnswer;
      const [draft] = await unsent();
      const before = { startMs: NOW + 40 * HOUR, placeId: 'bay', ...change };
      expect(draft).toMatchObject({
        kind: 'moved',
        lastSaid: before,
        against: { verdict: 'no', limiting: blocked.limiting },
        overnightC: null,
      });
      expect(asked).toEqual([before]);
    },
  );

  it('says nothing against the old hour where it goes or the forecast does not reach', async () => {
    messages = [message('booked', { toldStartMs: NOW + 39 * HOUR })];
    expect((await unsent())[0]?.against).toBeNull();
    cell = null;
    expect((await unsent())[0]?.against).toBeNull();
  });

  it('takes the place of the wash where an old message names none', async () => {
    messages = [message('booked', { toldPlaceId: null })];
    expect(await unsent()).toEqual([]);
  });

  it('is that it was called off, once, while its hour is ahead', async () => {
    removed = [wash()];
    washes = [];
    messages = [message('booked')];
    cell = { judgement: blocked, overnightC: 3 } as CellAnswer;
    expect(await unsent()).toMatchObject([
      {
        kind: 'called-off',
        customerId: 'alma',
        vehicleId: 'theirs',
        wash: { id: 'w' },
        lastSaid: { startMs: NOW + 40 * HOUR, placeId: 'bay' },
        against: { verdict: 'no' },
        overnightC: null,
      },
    ]);
    cell = null;
    expect((await unsent())[0]?.against).toBeNull();
    messages = [message('called-off'), message('booked')];
    expect(await unsent()).toEqual([]);
    messages = [message('booked', { toldStartMs: NOW })];
    expect(await unsent()).toEqual([]);
    messages = [message('booked', { toldStartMs: NOW + 1 })];
    expect(await unsent()).toHaveLength(1);
    messages = [message('booked', { washId: null })];
    expect(await unsent()).toEqual([]);
  });

  it('is called off by the newest message about it alone, and not where the car is nobody’s now', async () => {
    removed = [wash()];
    washes = [];
    messages = [message('moved'), message('booked', { toldStartMs: NOW + 30 * HOUR })];
    expect((await unsent()).map(({ lastSaid }) => lastSaid?.startMs)).toEqual([NOW + 40 * HOUR]);
    removed = [wash({ vehicleId: 'ours' })];
    expect(await unsent()).toEqual([]);
  });

  it('comes in the order of the washes', async () => {
    washes = [wash({ id: 'late', startMs: NOW + 60 * HOUR }), wash({ id: 'soon', startMs: NOW + 30 * HOUR })];
    expect((await unsent()).map((one) => one.wash.id)).toEqual(['soon', 'late']);
  });
});

describe('what a customer is to be told of the night', () => {
  const tonight = (hours: number): void => {
    washes = [wash({ status: 'done', startMs: NOW + hours * HOUR })];
    cell = { judgement: { standing: 'go' }, overnightC: -9 } as CellAnswer;
  };

  it('is the freeze care of a wash of today, with how cold it gets', async () => {
    tonight(-3);
    expect(await unsent()).toEqual([
      {
        kind: 'freeze-care',
        customerId: 'alma',
        vehicleId: 'theirs',
        wash: washes[0],
        lastSaid: null,
        against: null,
        overnightC: -9,
      },
    ]);
    expect(asked).toEqual([{ startMs: NOW, placeId: 'bay' }]);
  });

  it.each([
    [-12, 0],
    [-11.9, 1],
    [15.9, 1],
    [16, 0],
  ])('of a wash %p h from now is reported %p times', async (hours, count) => {
    tonight(hours);
    expect((await unsent()).filter(({ kind }) => kind === 'freeze-care')).toHaveLength(count);
  });

  it.each([
    { overnightC: 0, count: 0 },
    { overnightC: -0.1, count: 1 },
    { overnightC: null, count: 0 },
  ])('at $overnightC °C is reported $count times', async ({ overnightC, count }) => {
    tonight(-1);
    cell = { overnightC };
    expect(await unsent()).toHaveLength(count);
  });

  it('is not told twice, nor where the forecast does not reach or the car is nobody’s', async () => {
    tonight(-1);
    messages = [message('freeze-care', { washId: 'other' })];
    expect(await unsent()).toHaveLength(1);
    messages = [message('freeze-care')];
    expect(await unsent()).toEqual([]);
    messages = [];
    cell = null;
    expect(await unsent()).toEqual([]);
    tonight(-1);
    washes = washes.map((one) => ({ ...one, vehicleId: 'ours' }));
    expect(await unsent()).toEqual([]);
  });

  it('looks from the start of a wash that is still ahead', async () => {
    tonight(5);
    await unsent();
    expect(asked).toContainEqual({ startMs: NOW + 5 * HOUR, placeId: 'bay' });
  });
});

describe('the outbox', () => {
  it('keeps what was said about a wash that has been called off since', async () => {
    removed = [wash({ id: 'gone' })];
    const kept = await service().put({ washId: 'gone', kind: 'called-off', body: 'Not today.' });
    expect(kept).toMatchObject({
      customerId: 'alma',
      kind: 'called-off',
      createdMs: NOW,
      toldStartMs: removed[0]?.startMs,
      toldPlaceId: 'bay',
      exportedMs: null,
    });
    expect(messages).toEqual([kept]);
  });

  it('refuses what is about no wash or nobody’s car', async () => {
    await expect(service().put({ washId: 'none', kind: 'booked', body: 'x' })).rejects.toMatchObject({
      response: { error: { field: 'wash' } },
    });
    washes = [wash({ vehicleId: 'ours' })];
    await expect(service().put({ washId: 'w', kind: 'booked', body: 'x' })).rejects.toMatchObject({
      response: { error: { field: 'washId' } },
    });
    expect(messages).toEqual([]);
  });

  it('gives out what waits, and marks just that', async () => {
    messages = [message('booked'), message('moved', { exportedMs: NOW - HOUR })];
    expect((await service().take()).map(({ id }) => id)).toEqual(['booked']);
    expect(taken).toEqual([['booked'], NOW]);
  });

  it('says so where there is no such message', async () => {
    messages = [message('booked')];
    await expect(service().setRemoved('booked', true)).resolves.toBeUndefined();
    await expect(service().setRemoved('none', true)).rejects.toMatchObject({
      response: { error: { field: 'message' } },
    });
  });
});
