import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type {
  PlaceRecord,
  PlanOption,
  VehicleRecord,
  WashRecord,
  WorthOfRelief,
  ChangedWashes,
  ErrorBody,
  MorningSoFar,
  MorningView,
  PlanView,
  RunAnswer,
  WayOption,
} from '@keen/core';
import request from 'supertest';
import { doneWash, PLACE, startTestApp, type TestApp, VEHICLE } from '../testing/test-app.js';

const at = (text: string): number => Date.parse(`${text}:00-05:00`);
const METHOD = 'garage-rinseless';

let test: TestApp;
const cars: VehicleRecord[] = [];
let place: PlaceRecord;
const api = () => request(test.app.getHttpServer());

async function sent<T>(path: string, body: object, status = 201): Promise<T> {
  return (await api().post(`/api/${path}`).send(body).expect(status)).body as T;
}
const fieldOf = (body: unknown) => (body as ErrorBody).error;
const plan = async (): Promise<PlanView> => (await api().get('/api/plan').expect(200)).body as PlanView;
const washes = async (): Promise<WashRecord[]> =>
  (await api().get('/api/washes?status=planned').expect(200)).body as WashRecord[];

beforeAll(async () => {
  test = await startTestApp();
  await api()
    .patch('/api/settings')
    .send({ timeZone: 'America/Toronto', workers: [{ id: 'owner', name: 'Owner', hours: PLACE.openHours }] })
    .expect(200);
  place = await sent<PlaceRecord>('places', PLACE);
  for (const name of ['First', 'Second', 'Third'])
    cars.push(await sent<VehicleRecord>('vehicles', { ...VEHICLE, name }));
  for (const { id } of cars) await sent('washes/done', doneWash(id, place.id, at('2026-01-09T10:00')));
}, 60_000);

afterAll(() => test.close());

const slot = (car: number, text: string, change: object = {}) => ({
  vehicleId: cars[car]?.id,
  placeId: place.id,
  methodId: METHOD,
  startMs: at(text),
  ...change,
});

describe('the plan', () => {
  it('proposes a wash for every car that is due, proven, with what the members say and the next best', async () => {
    const view = await plan();
    expect(view.standing).toMatchObject({ status: 'proven', state: 'ended' });
    const first = view.choices.filter(({ period }) => period.index === 0);
    expect(first.map(({ vehicleId }) => vehicleId).sort()).toEqual(cars.map(({ id }) => id).sort());
    for (const choice of first) {
      expect(choice.window.failures?.memberCount).toBe(20);
      expect(choice.alternatives).toHaveLength(3);
      expect(choice.fallback).not.toBeNull();
    }
    expect(view.changes.map(({ kind }) => kind)).toEqual(view.choices.map(() => 'add'));
    const starts = view.choices.map(({ window }) => window.startMs);
    expect(new Set(starts).size).toBe(starts.length);
  }, 60_000);

  it('is accepted in part, and then proposes only the rest', async () => {
    const before = await plan();
    const [one] = before.changes;
    const { added } = await sent<ChangedWashes>('plan/accept', { changeIds: [one?.id] }, 200);
    expect(added).toHaveLength(1);
    expect(added[0]).toMatchObject({ isLocked: false, workerId: 'owner', predicted: { verdict: 'go' } });
    const after = await plan();
    expect(after.changes).toHaveLength(before.changes.length - 1);
    expect(after.standing.valueMinor).toBe(before.standing.valueMinor);
    const morning = (await api().get('/api/plan/morning').expect(200)).body as MorningView;
    expect(morning.answers.map(({ vehicleId }) => vehicleId)).not.toContain(added[0]?.vehicleId);
    const soFar = (await api().get('/api/plan/so-far').expect(200)).body as MorningSoFar;
    expect(soFar.last).toEqual(morning);
    expect(soFar.early.map(({ vehicleId }) => vehicleId)).toContain(added[0]?.vehicleId);
    expect(new Set(soFar.early.map(({ vehicleId }) => vehicleId)).size).toBe(soFar.early.length);
    await sent('washes/changes', { remove: [added[0]?.id] }, 200);
  }, 60_000);

  it('refuses what was not seen, and changes nothing', async () => {
    const view = await plan();
    const unknown = await api()
      .post('/api/plan/accept')
      .send({ changeIds: [view.changes[0]?.id, 'nothing'] });
    expect([unknown.status, fieldOf(unknown.body).field]).toEqual([409, 'changeIds']);
    expect(await washes()).toEqual([]);
  });

  it('plans round a locked wash, and moves one that is not locked when it pays', async () => {
    const locked = await sent<WashRecord>('washes', slot(0, '2026-01-15T10:00'));
    const loose = await sent<WashRecord>('washes', slot(1, '2026-01-20T10:00', { isLocked: false }));
    expect([locked.isLocked, loose.isLocked]).toEqual([true, false]);
    const view = await plan();
    expect(view.fixed.map(({ slot: { vehicleId } }) => vehicleId)).toEqual([cars[0]?.id]);
    const move = view.changes.find(({ kind }) => kind === 'move');
    expect(move).toMatchObject({ washId: loose.id, against: { verdict: 'go' } });
    for (const { window } of view.choices)
      expect(Math.abs(window.startMs - locked.startMs)).toBeGreaterThan(75 * 60_000);
    await sent('washes/changes', { remove: [locked.id, loose.id] }, 200);
  }, 60_000);

  it('tells where else a wash could stand', async () => {
    const stands = await sent<WashRecord>('washes', slot(1, '2026-01-15T12:00'));
    const query = { vehicleId: cars[0]?.id };
    const moves = (await api().get('/api/plan/moves').query(query).expect(200)).body as PlanOption[];
    const starts = moves.map(({ window }) => window.startMs);
    expect(starts).toContain(at('2026-01-15T10:00'));
    expect(starts).not.toContain(stands.startMs);
    await api().get('/api/plan/moves').query({ vehicleId: 'nobody' }).expect(404);
    await sent('washes/changes', { remove: [stands.id] }, 200);
  }, 60_000);
});

describe('what holds the plan back', () => {
  it('is given in money, most first', async () => {
    const setHours = (hours: unknown) =>
      api()
        .patch('/api/settings')
        .send({ workers: [{ id: 'owner', name: 'Owner', hours }] })
        .expect(200);
    const thursday = PLACE.openHours.map((_, day) =>
      day === 3 ? { openMinute: 540, closeMinute: 680 } : null,
    );
    await setHours(thursday);
    const reliefs = (await api().get('/api/plan/reliefs').expect(200)).body as WorthOfRelief[];
    await setHours(PLACE.openHours);
    expect(reliefs[0]?.relief.kind).toBe('workers');
    const worths = reliefs.map(({ worthMinor }) => worthMinor);
    expect(worths.length).toBeGreaterThan(0);
    expect(worths).toEqual([...worths].sort((a, b) => b - a));
    expect(worths.every((worth) => worth >= 1)).toBe(true);
  }, 60_000);
});

describe('changes to the plan', () => {
  it('are made together and taken back together', async () => {
    const { added } = await sent<ChangedWashes>(
      'washes/changes',
      { add: [slot(0, '2026-01-15T09:00'), slot(1, '2026-01-15T12:00')] },
      200,
    );
    const [a, b] = added;
    const { moved } = await sent<ChangedWashes>(
      'washes/changes',
      {
        move: [
          { id: a?.id, startMs: at('2026-01-15T12:00') },
          { id: b?.id, startMs: at('2026-01-15T09:00') },
        ],
      },
      200,
    );
    expect(moved.map(({ after }) => after.startMs)).toEqual([at('2026-01-15T12:00'), at('2026-01-15T09:00')]);
    await sent('washes/changes', { remove: [a?.id, b?.id] }, 200);
    expect(await washes()).toEqual([]);
    const { restored } = await sent<ChangedWashes>('washes/changes', { restore: [a?.id, b?.id] }, 200);
    expect(restored.map(({ id }) => id)).toEqual([a?.id, b?.id]);
    expect(await washes()).toHaveLength(2);
    await sent('washes/changes', { remove: [a?.id, b?.id] }, 200);
  });

  it('do a wash in the way that somebody chose, until it is moved', async () => {
    const [added] = (await sent<ChangedWashes>('washes/changes', { add: [slot(0, '2026-01-15T09:00')] }, 200))
      .added;
    const query = slot(0, '2026-01-15T09:00');
    const { body } = await api().get('/api/verdicts/ways').query(query).expect(200);
    const ways = body as WayOption[];
    expect(ways[0]).toMatchObject({ wayId: added?.predicted?.wayId, minutes: added?.minutes });
    const other = ways.find(
      ({ wayId, standing }) => wayId.endsWith('one-panel') && standing.startsWith('go'),
    );
    const patch = async (change: object): Promise<WashRecord> =>
      (await api().patch(`/api/washes/${added?.id}`).send(change).expect(200)).body as WashRecord;
    const chosen = await patch({ wayId: other?.wayId });
    expect(chosen).toMatchObject({
      minutes: other?.minutes,
      predicted: { wayId: other?.wayId, isOwnWay: true },
    });
    // Its sheet is of that way, and a lock leaves it alone.
    const { pack } = (await api().get(`/api/runs/${added?.id}`).expect(200)).body as RunAnswer;
    expect([pack.method.wayId, pack.sheet.minutes]).toEqual([other?.wayId, other?.minutes]);
    expect((await patch({ isLocked: true })).predicted?.wayId).toBe(other?.wayId);
    const moved = await patch({ startMs: at('2026-01-15T10:00') });
    expect(moved.predicted).toMatchObject({ wayId: added?.predicted?.wayId });
    expect(moved.predicted?.isOwnWay).toBeUndefined();
    const refused = await api().patch(`/api/washes/${added?.id}`).send({ wayId: 'backwards' }).expect(400);
    expect(fieldOf(refused.body)).toMatchObject({ field: 'wayId' });
    await sent('washes/changes', { remove: [added?.id] }, 200);
  });

  it('do not bring a wash back to where another stands by now', async () => {
    const { added } = await sent<ChangedWashes>(
      'washes/changes',
      { add: [slot(0, '2026-01-15T09:00')] },
      200,
    );
    const id = added[0]?.id ?? '';
    await sent('washes/changes', { remove: [id] }, 200);
    const other = await sent<ChangedWashes>('washes/changes', { add: [slot(1, '2026-01-15T09:20')] }, 200);
    const refused = await sent<ErrorBody>('washes/changes', { restore: [id] }, 409);
    expect(refused.error).toMatchObject({ field: 'restore.0.startMs' });
    expect((await sent<ErrorBody>(`washes/${id}/restore`, {}, 409)).error.message).toMatch(
      /taken|another wash/,
    );
    expect(await washes()).toHaveLength(1);
    await sent('washes/changes', { remove: [other.added[0]?.id] }, 200);
    expect((await sent<{ id: string }>(`washes/${id}/restore`, {}, 200)).id).toBe(id);
    await sent('washes/changes', { restore: [id] }, 404);
    await sent('washes/changes', { remove: [id] }, 200);
  });

  const setNumbers = (numbers: object) =>
    api().patch('/api/settings').send({ house: { numbers } }).expect(200);

  it('leave the rest that the house wants between two washes', async () => {
    const [first] = (await sent<ChangedWashes>('washes/changes', { add: [slot(0, '2026-01-15T09:00')] }, 200))
      .added;
    const soon = slot(1, '2026-01-15T11:00', { workerId: 'owner' });
    await setNumbers({ restMinutes: 60 });
    const refused = (await sent<ErrorBody>('washes/changes', { add: [soon] }, 409)).error;
    expect(refused).toMatchObject({ field: 'startMs' });
    expect(refused.message).toContain('less than the house’s 60 min of rest');
    const within = slot(1, '2026-01-15T09:20', { placeId: place.id, workerId: 'owner' });
    expect((await sent<ErrorBody>('washes/changes', { add: [within] }, 409)).error.message).not.toMatch(
      /rest/,
    );
    await setNumbers({ restMinutes: 0 });
    const { added } = await sent<ChangedWashes>('washes/changes', { add: [soon] }, 200);
    await sent('washes/changes', { remove: [first?.id, added[0]?.id] }, 200);
  });

  it('bring a wash back with the minutes that it had', async () => {
    const [wash] = (await sent<ChangedWashes>('washes/changes', { add: [slot(0, '2026-01-15T09:00')] }, 200))
      .added;
    await sent('washes/changes', { remove: [wash?.id] }, 200);
    await api().patch(`/api/vehicles/${wash?.vehicleId}`).send({ bodyClass: 'van' }).expect(200);
    const { restored } = await sent<ChangedWashes>('washes/changes', { restore: [wash?.id] }, 200);
    expect(restored[0]?.minutes).toBe(wash?.minutes);
    expect((await washes())[0]?.minutes).toBe(wash?.minutes);
    const { moved } = await sent<ChangedWashes>(
      'washes/changes',
      { move: [{ id: wash?.id, startMs: at('2026-01-15T10:00') }] },
      200,
    );
    expect(moved[0]?.after.minutes).toBeGreaterThan(wash?.minutes ?? Infinity);
    await sent('washes/changes', { remove: [wash?.id] }, 200);
    await api().patch(`/api/vehicles/${wash?.vehicleId}`).send({ bodyClass: VEHICLE.bodyClass }).expect(200);
  });

  it.each([
    {
      why: 'the same hands, ways included',
      add: ['2026-01-15T09:00', '2026-01-15T10:20'],
      field: 'add.1.startMs',
      message: /taken|another wash/,
    },
    {
      why: 'the same car twice',
      add: ['2026-01-15T09:00', '2026-01-15T09:20'],
      car: 0,
      field: 'add.1.startMs',
      message: /vehicle/,
    },
    {
      why: 'the past',
      add: ['2026-01-15T09:00', '2026-01-13T09:00'],
      field: 'add.1.startMs',
      message: /past/,
    },
  ])('are refused whole: $why', async ({ add, field, message, car }) => {
    const body = { add: add.map((text, i) => slot(car ?? i, text)) };
    const answer = await api().post('/api/washes/changes').send(body);
    expect([answer.status >= 400, fieldOf(answer.body).field]).toEqual([true, field]);
    expect(fieldOf(answer.body).message).toMatch(message);
    expect(await washes()).toEqual([]);
  });

  it('name hands, method and wash that do not exist', async () => {
    const refused = async (body: object) =>
      fieldOf((await api().post('/api/washes/changes').send(body)).body).field;
    expect(await refused({ add: [slot(0, '2026-01-15T09:00', { workerId: 'nobody' })] })).toBe('workerId');
    expect(await refused({ add: [slot(0, '2026-01-15T09:00', { methodId: 'drive-hose' })] })).toBe(
      'methodId',
    );
    expect(await refused({ move: [{ id: 'none', startMs: at('2026-01-15T09:00') }] })).toBe('wash');
    expect(await refused({ add: [slot(0, '2026-01-15T09:00', { wish: 1 })] })).toBe('add.0.wish');
  });

  it('lock, begin and unlock without moving', async () => {
    const wash = await sent<WashRecord>('washes', slot(0, '2026-01-15T09:00'));
    const patch = async (body: object) =>
      (await api().patch(`/api/washes/${wash.id}`).send(body).expect(200)).body as WashRecord;
    expect(await patch({ isLocked: false })).toMatchObject({ isLocked: false, startMs: wash.startMs });
    const begun = await patch({ startedMs: at('2026-01-14T06:40') });
    expect(begun).toMatchObject({ isLocked: false, startedMs: at('2026-01-14T06:40') });
    expect((await plan()).fixed).toHaveLength(1);
    expect(await patch({ startedMs: null })).toMatchObject({ startedMs: null });
    await sent('washes/changes', { remove: [wash.id] }, 200);
  });

  it('take any worker who is free where nobody is named', async () => {
    const day = PLACE.openHours;
    const workers = [
      { id: 'owner', name: 'Owner', hours: day },
      { id: 'helper', name: 'Helper', hours: day },
    ];
    await api().patch('/api/settings').send({ workers }).expect(200);
    await api().patch(`/api/places/${place.id}`).send({ carsAtOnce: 2 }).expect(200);
    const first = await sent<WashRecord>('washes', slot(0, '2026-01-15T09:00'));
    const second = await sent<WashRecord>('washes', slot(1, '2026-01-15T09:00'));
    expect([first.workerId, second.workerId]).toEqual(['owner', 'helper']);
    const third = await api().post('/api/washes').send(slot(2, '2026-01-15T09:00'));
    expect([third.status, fieldOf(third.body).field]).toEqual([409, 'startMs']);
    await sent('washes/changes', { remove: [first.id, second.id] }, 200);
  });

  it.each([
    { workers: [], field: 'workers' },
    { workers: [{ id: 'A b', name: 'x', hours: PLACE.openHours }], field: 'workers.0.id' },
    { workers: [{ id: 'a', name: '', hours: PLACE.openHours }], field: 'workers.0.name' },
    { workers: [{ id: 'a', name: 'x', hours: [null] }], field: 'workers.0.hours' },
    {
      workers: [
        { id: 'a', name: 'x', hours: [{ openMinute: 600, closeMinute: 600 }, ...PLACE.openHours.slice(1)] },
      ],
      field: 'workers.0.hours.0.closeMinute',
    },
    {
      workers: [1, 2].map(() => ({ id: 'a', name: 'x', hours: PLACE.openHours })),
      field: 'workers.1.id',
    },
  ])('hands are checked: $field', async ({ workers, field }) => {
    const answer = await api().patch('/api/settings').send({ workers }).expect(400);
    expect(fieldOf(answer.body).field).toBe(field);
  });
});

describe('the schedule sum over HTTP', () => {
  const input = {
    slotMinutes: 60,
    slotCount: 3,
    jobs: ['a', 'b'],
    places: [{ id: 'bay', capacity: [1, 1, 1] }],
    travelMinutes: [[0]],
    options: [
      { job: 'a', place: 'bay', startSlot: 0, durationMinutes: 60, crew: true, value: 2 },
      { job: 'b', place: 'bay', startSlot: 0, durationMinutes: 90, crew: true, value: 3 },
      { job: 'b', place: 'bay', startSlot: 1, durationMinutes: 90, crew: true, value: 2 },
    ],
  };

  it('is solved in a thread of its own', async () => {
    expect(await sent('calc/schedule', input, 200)).toEqual({
      chosen: [0, 2],
      value: 4,
      bound: 4,
      status: 'proven',
    });
  }, 30_000);

  it('names what is wrong', async () => {
    const answer = await api()
      .post('/api/calc/schedule')
      .send({ ...input, slotMinutes: -1 })
      .expect(400);
    expect(fieldOf(answer.body).field).toBe('slotMinutes');
  });
});
