import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { PlaceRecord, VehicleRecord } from '@keen/core';
import {
  doneWash,
  faultOf,
  PLACE,
  startTestApp,
  TEST_CLOCK,
  type TestApp,
  testCalls,
  VEHICLE,
} from '../testing/test-app.js';
import type { SaltAnswer } from '../verdicts/salt-answer.js';

const DAY_MS = 86_400_000;
const NOW = Date.parse(TEST_CLOCK);

let test: TestApp;
let vehicle: VehicleRecord;
const { api, get, make } = testCalls(() => test);
const salt = (): Promise<SaltAnswer> => get(`verdicts/salt/${vehicle.id}`);
const loadOn = ({ now }: SaltAnswer, zone: string): number =>
  now.zones.find((entry) => entry.zone === zone)?.loadGramsPerM2 ?? NaN;

beforeAll(async () => {
  test = await startTestApp();
  const place = await make<PlaceRecord>('places', PLACE);
  vehicle = await make<VehicleRecord>('vehicles', { ...VEHICLE, standsAtPlaceId: place.id });
  await make('washes/done', doneWash(vehicle.id, place.id, NOW - 4 * DAY_MS));
}, 60_000);

afterAll(() => test.close());

describe('swabs', () => {
  const path = (): string => `vehicles/${vehicle.id}/swabs`;
  const reading = {
    atMs: NOW - DAY_MS,
    zone: 'rear',
    deltaMicroSiemensPerCm: 900,
    volumeMl: 15,
    areaMm2: 1250,
  };

  it('correct the load and the vehicle’s pick-up, and can be taken back', async () => {
    const before = await salt();
    const kept = await make<{ id: string; gramsPerM2: number }>(path(), reading);
    expect(kept.gramsPerM2).toBeCloseTo(5.4, 9);
    const after = await salt();
    expect(after.pickUp).toMatchObject({ count: 1 });
    expect(after.pickUp.factor).toBeGreaterThan(1);
    expect(loadOn(after, 'rear')).toBeGreaterThan(loadOn(before, 'rear'));
    await api().delete(`/api/${path()}/${kept.id}`).expect(204);
    expect((await salt()).pickUp).toMatchObject({ count: 0, factor: 1 });
  }, 60_000);

  it('taken this minute count at once', async () => {
    const kept = await make<{ id: string; gramsPerM2: number }>(path(), { ...reading, atMs: NOW });
    const after = await salt();
    expect(loadOn(after, 'rear')).toBeCloseTo(kept.gramsPerM2, 6);
    expect(after.pickUp.count).toBe(1);
    await api().delete(`/api/${path()}/${kept.id}`).expect(204);
  }, 60_000);

  it.each([
    { change: { deltaMicroSiemensPerCm: -1 }, field: 'deltaMicroSiemensPerCm' },
    { change: { areaMm2: 0 }, field: 'areaMm2' },
    { change: { zone: 'ashtray' }, field: 'zone' },
    { change: { atMs: NOW + DAY_MS }, field: 'atMs' },
  ])('are refused by $field', async ({ change, field }) => {
    const { body } = await api()
      .post(`/api/${path()}`)
      .send({ ...reading, ...change })
      .expect(400);
    expect(faultOf(body).field).toBe(field);
  });
});
