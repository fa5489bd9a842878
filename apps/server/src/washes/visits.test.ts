import { afterAll, beforeAll, beforeEach, describe, expect, it } from '@jest/globals';
import {
  type ChangedWashes,
  MS_PER_HOUR,
  type PlaceRecord,
  type VehicleRecord,
  type WashRecord,
} from '@keen/core';
import { faultOf, PLACE, startTestApp, type TestApp, testCalls, VEHICLE } from '../testing/test-app.js';

/** Noon of the day after. */
const NOON = Date.parse('2026-01-15T12:00:00-05:00');

let test: TestApp;
let unit: PlaceRecord;
let cars: VehicleRecord[];
const { api, get, make } = testCalls(() => test);

beforeAll(async () => {
  test = await startTestApp();
  unit = await make<PlaceRecord>('places', { ...PLACE, carsAtOnce: 2 });
  cars = await Promise.all(
    ['One', 'Two', 'Three'].map((name) => make<VehicleRecord>('vehicles', { ...VEHICLE, name })),
  );
}, 60_000);
afterAll(() => test.close());

const planned = async (): Promise<WashRecord[]> =>
  (await get<WashRecord[]>('washes')).filter(({ status }) => status === 'planned');
const byId = async (id: string): Promise<WashRecord | undefined> =>
  (await planned()).find((wash) => wash.id === id);
const change = (body: object) => api().post('/api/washes/changes').send(body);
const plan = (car: number, startMs: number): Promise<WashRecord> =>
  make('washes', { vehicleId: cars[car]?.id, placeId: unit.id, methodId: 'garage-rinseless', startMs });

let first: WashRecord;
let second: WashRecord;
const together = async (): Promise<ChangedWashes> =>
  (await change({ move: [{ id: second.id, visitWith: first.id }] }).expect(200)).body as ChangedWashes;

beforeEach(async () => {
  for (const { id } of await planned()) await api().delete(`/api/washes/${id}`).expect(204);
  first = await plan(0, NOON);
  second = await plan(1, NOON + 3 * MS_PER_HOUR);
});

describe('two cars planned as one visit', () => {
  it('stand at one hour, by one pair of hands, for less than both would take', async () => {
    const { moved } = await together();
    expect(moved).toHaveLength(2);
    const [a, b] = [await byId(first.id), await byId(second.id)];
    expect(b).toMatchObject({ startMs: NOON, workerId: a?.workerId, isLocked: true });
    expect(a?.visit).toEqual({ withId: second.id, minutes: b?.visit?.minutes });
    expect(b?.visit?.withId).toBe(first.id);
    const minutes = a?.visit?.minutes ?? NaN;
    expect(minutes).toBeLessThan(first.minutes + second.minutes + 2 * unit.travelMinutes);
    expect(minutes).toBeGreaterThan(Math.max(first.minutes, second.minutes));
  }, 60_000);

  it('hold the hands until the visit ends, and not longer', async () => {
    await together();
    const minutes = (await byId(first.id))?.visit?.minutes ?? NaN;
    const third = (startMs: number) => ({
      vehicleId: cars[2]?.id,
      placeId: unit.id,
      methodId: 'garage-rinseless',
      startMs: Math.round(startMs),
      workerId: 'owner',
    });
    const endMs = NOON + (minutes + 2 * unit.travelMinutes) * 60_000;
    await api()
      .post('/api/washes')
      .send(third(endMs - 20 * 60_000))
      .expect(409);
    await api()
      .post('/api/washes')
      .send(third(endMs + 60 * 60_000))
      .expect(201);
  }, 60_000);

  it('part when one is moved, and come together again when that is undone', async () => {
    await together();
    const { moved } = (
      await change({ move: [{ id: second.id, startMs: NOON + 4 * MS_PER_HOUR }] }).expect(200)
    ).body as ChangedWashes;
    expect((await byId(first.id))?.visit).toBeNull();
    expect((await byId(second.id))?.visit).toBeNull();
    // As the board undoes it: each back to what it was.
    const move = moved.map(({ before: { id, startMs, workerId, isLocked, visit } }) => ({
      id,
      startMs,
      workerId,
      isLocked,
      visitWith: visit?.withId ?? null,
    }));
    await change({ move }).expect(200);
    expect((await byId(first.id))?.visit?.withId).toBe(second.id);
    expect(await byId(second.id)).toMatchObject({ startMs: NOON, visit: { withId: first.id } });
  }, 60_000);

  it('part when one is removed, and come together again when it is restored', async () => {
    await together();
    await change({ remove: [second.id] }).expect(200);
    expect((await byId(first.id))?.visit).toBeNull();
    await change({ restore: [second.id] }).expect(200);
    expect((await byId(first.id))?.visit?.withId).toBe(second.id);
    expect((await byId(second.id))?.visit?.withId).toBe(first.id);
  }, 60_000);

  it('keep to themselves where one asks for it', async () => {
    await together();
    const apart = { id: second.id, visitWith: null, startMs: NOON + 3 * MS_PER_HOUR };
    await change({ move: [apart] }).expect(200);
    expect((await byId(first.id))?.visit).toBeNull();
    expect(await byId(second.id)).toMatchObject({ startMs: NOON + 3 * MS_PER_HOUR, visit: null });
  }, 60_000);

  it('are refused with a wash that is gone, at a place for one car, and of the same car', async () => {
    const gone = await change({ move: [{ id: second.id, visitWith: 'nothing' }] }).expect(409);
    expect(faultOf(gone.body).field).toBe('visitWith');
    const again = await plan(0, NOON + 6 * MS_PER_HOUR);
    const same = await change({ move: [{ id: again.id, visitWith: first.id }] }).expect(400);
    expect(faultOf(same.body).field).toBe('visitWith');
    await api().patch(`/api/places/${unit.id}`).send({ carsAtOnce: 1 }).expect(200);
    const one = await change({ move: [{ id: second.id, visitWith: first.id }] }).expect(409);
    expect(faultOf(one.body).message).toMatch(/takes two cars/);
    await api().patch(`/api/places/${unit.id}`).send({ carsAtOnce: 2 }).expect(200);
    expect((await byId(second.id))?.startMs).toBe(NOON + 3 * MS_PER_HOUR);
  }, 60_000);
});
