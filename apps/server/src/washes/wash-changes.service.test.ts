import { beforeEach, describe, expect, it } from '@jest/globals';
import { DEFAULT_HOUSE, DEFAULT_SEASON, type WashRecord } from '@keen/core';
import { type WashChanges, WashChangesService } from './wash-changes.service.js';
import { plannedWash } from '../testing/planned-wash.js';

const NOW = Date.UTC(2026, 0, 14, 12);
const HOUR = 3_600_000;

const wash = (id: string, change: Partial<WashRecord> = {}): WashRecord =>
  plannedWash(id, NOW + 4 * HOUR, { vehicleId: id, ...change });

let kept: WashRecord[];
let gone: WashRecord[];
let written: unknown[];
let asked: object[];
let reaches: boolean;

beforeEach(() => {
  kept = [];
  gone = [];
  written = [];
  asked = [];
  reaches = true;
});

function apply(changes: WashChanges) {
  const find = (rows: WashRecord[], id: string) => Promise.resolve(rows.find((row) => row.id === id) ?? null);
  const bay = {
    id: 'bay',
    name: 'Corner bay',
    timeZone: 'Etc/UTC',
    travelMinutes: 0,
    queue: null,
    carsAtOnce: 1,
    methods: [{ methodId: 'bay-contact' }],
  };
  const parts = [
    {
      inTurn: <T>(work: () => Promise<T>) => work(),
      list: () => Promise.resolve(kept),
      find: (id: string) => find(kept, id),
      findRemoved: (id: string) => find(gone, id),
      change: (change: object) => Promise.resolve(void written.push(change)),
    },
    { list: () => Promise.resolve(['black', 'white', 'red'].map((id) => ({ id }))) },
    { list: () => Promise.resolve([bay]) },
    {
      cellIfForecast: (start: object) => {
        asked.push(start);
        return Promise.resolve(
          reaches && {
            judgement: { standing: 'go-if', limiting: { ruleId: 'spots' } },
            wayId: 'dry-one-side',
            placeC: -3,
            issuedMs: NOW - HOUR,
            wash: { minutes: 47 },
          },
        );
      },
    },
    {
      read: () =>
        Promise.resolve({
          workers: [{ id: 'owner', name: 'The owner' }],
          house: DEFAULT_HOUSE,
          season: DEFAULT_SEASON,
        }),
    },
    {
      read: () =>
        Promise.resolve((_id: string, { work }: { work: unknown[] }) => ({
          minutes: 55 + 10 * work.length,
        })),
    },
    { now: () => NOW },
  ];
  return new WashChangesService(
    ...(parts as unknown as ConstructorParameters<typeof WashChangesService>),
  ).apply(changes);
}

const dto = (vehicleId: string, change: object = {}) => ({
  vehicleId,
  placeId: 'bay',
  methodId: 'bay-contact',
  startMs: NOW + 4 * HOUR,
  ...change,
});
const refused = async (changes: WashChanges, field: string): Promise<void> => {
  await expect(apply(changes)).rejects.toMatchObject({ response: { error: { field } } });
  expect(written).toEqual([]);
};

describe('changes of the plan that are made together', () => {
  it('add a wash with what the program says of it', async () => {
    const { added } = await apply({ add: [dto('black', { extras: ['underbody'] })] });
    expect(added[0]).toMatchObject({
      minutes: 47,
      predicted: {
        verdict: 'go-if',
        limiting: { ruleId: 'spots' },
        forecastIssuedMs: NOW - HOUR,
        wayId: 'dry-one-side',
        placeC: -3,
      },
    });
    expect(added[0]?.predicted).not.toHaveProperty('isOwnWay');
    expect(asked).toEqual([{ ...dto('black'), wayId: undefined, extras: ['underbody'] }]);
    expect(written).toEqual([{ insert: added, update: [], setRemoved: [] }]);
  });

  it('count the minutes of method and work where the forecast does not reach', async () => {
    reaches = false;
    const { added } = await apply({ add: [dto('black', { extras: ['underbody'] })] });
    expect(added[0]).toMatchObject({ minutes: 65, predicted: null });
  });

  it('ask nothing about a car or a place that is not there', async () => {
    await refused({ add: [dto('nobody')] }, 'vehicle');
    await refused({ add: [dto('black', { placeId: 'nowhere' })] }, 'place');
    expect(asked).toEqual([]);
  });

  it('move a wash, keep the way that was wanted, and say what it was before', async () => {
    kept = [wash('black')];
    const { moved, added } = await apply({ move: [{ id: 'black', wayId: 'dry-one-side' }] });
    expect(moved).toMatchObject([
      { before: wash('black'), after: { id: 'black', minutes: 47, predicted: { isOwnWay: true } } },
    ]);
    expect(added).toEqual([]);
    expect(written).toMatchObject([{ insert: [], update: [{ id: 'black' }], setRemoved: [] }]);
  });

  it('let two washes change their hours with each other', async () => {
    kept = [wash('black'), wash('white', { startMs: NOW + 8 * HOUR })];
    const { moved } = await apply({
      move: [
        { id: 'black', startMs: NOW + 8 * HOUR },
        { id: 'white', startMs: NOW + 4 * HOUR },
      ],
    });
    expect(moved.map(({ after }) => [after.id, after.startMs])).toEqual([
      ['black', NOW + 8 * HOUR],
      ['white', NOW + 4 * HOUR],
    ]);
  });

  it('put a new wash where another is taken away', async () => {
    kept = [wash('black')];
    const { added, removed } = await apply({ add: [dto('white')], remove: ['black'] });
    expect([added.length, removed.map(({ id }) => id)]).toEqual([1, ['black']]);
    expect(written).toMatchObject([{ setRemoved: [{ id: 'black', removedMs: NOW }] }]);
  });

  it.each([
    { why: 'one alone', changes: { add: [dto('white')] }, field: 'startMs' },
    {
      why: 'one of two',
      changes: { add: [dto('red', { startMs: NOW + 9 * HOUR }), dto('white')] },
      field: 'add.1.startMs',
    },
  ])('name the change that is in the way, $why', async ({ changes, field }) => {
    kept = [wash('black')];
    await refused(changes, field);
  });

  it('stand in each other’s way as they would stand', async () => {
    await refused({ add: [dto('black'), dto('white')] }, 'add.1.startMs');
    kept = [wash('red', { startMs: NOW + 12 * HOUR })];
    await refused({ add: [dto('black')], move: [{ id: 'red', startMs: NOW + 4 * HOUR }] }, 'move.0.startMs');
  });

  it('pass over what is done or over', async () => {
    kept = [wash('black', { startMs: NOW - 3 * HOUR }), wash('white')];
    await expect(apply({ add: [dto('red', { startMs: NOW - 0.5 * HOUR })] })).resolves.toBeDefined();
  });

  it.each([
    { why: 'moves', changes: { move: [{ id: 'none', startMs: NOW }] }, field: 'wash' },
    { why: 'takes away', changes: { remove: ['none'] }, field: 'wash' },
    { why: 'brings back', changes: { restore: ['none'] }, field: 'wash' },
    { why: 'moves a done', changes: { move: [{ id: 'done', startMs: NOW }] }, field: 'status' },
    { why: 'takes away a done', changes: { remove: ['done'] }, field: 'status' },
    { why: 'brings back a done', changes: { restore: ['gone'] }, field: 'wash' },
  ])('are refused where one $why wash that cannot be', async ({ changes, field }) => {
    kept = [wash('done', { status: 'done' })];
    gone = [wash('gone', { status: 'done' })];
    await refused(changes, field);
  });

  it('bring a wash back as it was, checked where it is still ahead', async () => {
    gone = [wash('black', { minutes: 33 }), wash('white', { startMs: NOW - 5 * HOUR })];
    const { restored } = await apply({ restore: ['black', 'white'] });
    expect(restored).toEqual(gone);
    expect(written).toEqual([
      {
        insert: [],
        update: [],
        setRemoved: [
          { id: 'black', removedMs: null },
          { id: 'white', removedMs: null },
        ],
      },
    ]);
    written = [];
    kept = [wash('red')];
    await refused({ restore: ['black'] }, 'restore.0.startMs');
  });

  it('bring back and add without the one counting as the other', async () => {
    gone = [wash('black')];
    const { added, restored } = await apply({
      add: [dto('white', { startMs: NOW + 8 * HOUR })],
      restore: ['black'],
    });
    expect([added.map(({ vehicleId }) => vehicleId), restored.map(({ id }) => id)]).toEqual([
      ['white'],
      ['black'],
    ]);
  });
});
