import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { EVEN_WEEK, SEASON_JOB_IDS, type VehicleRecord, type ZoneProtection, MS_PER_DAY } from '@keen/core';
import { faultOf, startTestApp, TEST_CLOCK, type TestApp, testCalls, VEHICLE } from '../testing/test-app.js';

const NOW = Date.parse(TEST_CLOCK);

let test: TestApp;
const { api, get, make } = testCalls(() => test);
const made = (over: object = {}): Promise<VehicleRecord> => make('vehicles', { ...VEHICLE, ...over });
const patch = (id: string, change: object) => api().patch(`/api/vehicles/${id}`).send(change);
const COAT: ZoneProtection = {
  zone: 'roof',
  kind: 'wax',
  appliedMs: NOW - 9 * MS_PER_DAY,
  claimedLifeDays: 60,
  observed: null,
};

beforeAll(async () => {
  test = await startTestApp();
}, 60_000);

afterAll(() => test.close());

describe('a vehicle', () => {
  it('is kept as it was entered; what was not entered has its default', async () => {
    const kept = await made();
    expect(kept).toEqual({
      ...VEHICLE,
      id: kept.id,
      knownSinceMs: kept.knownSinceMs,
      colourName: '',
      keeper: '',
      notes: '',
      standsAtPlaceId: null,
      protections: [],
      delicateWheels: false,
      hasChargePort: false,
      weekShares: EVEN_WEEK,
      target: { kind: 'days' },
      seasonJobs: SEASON_JOB_IDS,
      customerId: null,
      washedBefore: kept.washedBefore,
    });
    expect(kept.knownSinceMs).toBeLessThan(NOW);
    expect(await get(`vehicles/${kept.id}`)).toEqual(kept);
  });

  it('whose last wash nobody knows is taken for half of its interval unwashed, and so marked', async () => {
    const kept = await made({ cadenceDays: 10 });
    expect(kept.washedBefore?.isKnown).toBe(false);
    const days = (NOW - (kept.washedBefore?.atMs ?? 0)) / MS_PER_DAY;
    expect(days).toBeGreaterThan(4.9);
    expect(days).toBeLessThan(5.1);
    const forgotten = await made({ washedBefore: { atMs: NOW - 1000, isKnown: true } });
    const { body } = await patch(forgotten.id, { washedBefore: null }).expect(200);
    expect((body as VehicleRecord).washedBefore?.isKnown).toBe(false);
  });

  it('keeps when it was last washed, and refuses a wash to come or a date that is none', async () => {
    const washedBefore = { atMs: NOW - 3 * MS_PER_DAY, isKnown: true };
    const kept = await made({ washedBefore });
    expect(kept.washedBefore).toEqual(washedBefore);
    const later = { atMs: NOW + MS_PER_DAY, isKnown: true };
    const { body } = await patch(kept.id, { washedBefore: later }).expect(400);
    expect(faultOf(body)).toMatchObject({ field: 'washedBefore' });
    await patch(kept.id, { washedBefore: { atMs: 'June', isKnown: true } }).expect(400);
    expect(await get(`vehicles/${kept.id}`)).toEqual(kept);
  });

  it('changes in what was sent alone', async () => {
    const kept = await made({ notes: 'Low nose.' });
    const changed = (await patch(kept.id, { paintTone: 'white' }).expect(200)).body as VehicleRecord;
    expect(changed).toEqual({ ...kept, paintTone: 'white' });
    expect(await get(`vehicles/${kept.id}`)).toEqual(changed);
  });

  it('names each field that changed meanwhile, and changes nothing', async () => {
    const kept = await made();
    await patch(kept.id, { cadenceDays: 9, notes: 'theirs' }).expect(200);
    const was = { cadenceDays: 7, notes: '', name: kept.name };
    const { body } = await patch(kept.id, { cadenceDays: 5, notes: 'mine', was }).expect(409);
    expect(faultOf(body)).toMatchObject({
      code: 'changed-meanwhile',
      field: 'cadenceDays',
      others: [{ code: 'changed-meanwhile', field: 'notes' }],
    });
    expect(await get(`vehicles/${kept.id}`)).toMatchObject({ cadenceDays: 9, notes: 'theirs' });
  });

  it('two people may change two fields of', async () => {
    const kept = await made();
    await patch(kept.id, { keeper: 'Ada', was: { keeper: '' } }).expect(200);
    await patch(kept.id, { notes: 'Low nose.', was: { notes: '' } }).expect(200);
    expect(await get(`vehicles/${kept.id}`)).toMatchObject({ keeper: 'Ada', notes: 'Low nose.' });
  });

  it('is taken off and put back', async () => {
    const kept = await made();
    await api().delete(`/api/vehicles/${kept.id}`).expect(204);
    await api().get(`/api/vehicles/${kept.id}`).expect(404);
    await patch(kept.id, { notes: 'x' }).expect(404);
    expect((await api().post(`/api/vehicles/${kept.id}/restore`)).body).toEqual(kept);
  });

  it('notes when a zone was entered, and not again while that stays the same', async () => {
    const kept = await made({ protections: [COAT] });
    const [row] = kept.protections;
    expect(row?.notedMs).toBeGreaterThanOrEqual(NOW);
    const seen = { behaviour: 'beading', atMs: NOW - MS_PER_DAY } as const;
    const looked = (await patch(kept.id, { protections: [{ ...COAT, observed: seen }] }).expect(200))
      .body as VehicleRecord;
    expect(looked.protections).toEqual([{ ...COAT, observed: seen, notedMs: row?.notedMs }]);
    // That a name is not known says as much as no name.
    const unnamed = (await patch(kept.id, { protections: [{ ...COAT, productName: null }] }).expect(200))
      .body as VehicleRecord;
    expect(unnamed.protections[0]?.notedMs).toBe(row?.notedMs);
    const named = (await patch(kept.id, { protections: [{ ...COAT, productName: 'Fir wax' }] }).expect(200))
      .body as VehicleRecord;
    expect(named.protections[0]).toMatchObject({ productName: 'Fir wax' });
    expect(named.protections[0]?.notedMs).toBeGreaterThan(row?.notedMs ?? Infinity);
    const other = (await patch(kept.id, { protections: [{ ...COAT, kind: 'sealant' }] }).expect(200))
      .body as VehicleRecord;
    expect(other.protections[0]?.notedMs).toBeGreaterThan(row?.notedMs ?? Infinity);
  });

  it.each([
    { field: 'name', change: { name: '' } },
    { field: 'bodyClass', change: { bodyClass: 'tank' } },
    { field: 'paintTone', change: { paintTone: 'plaid' } },
    { field: 'cadenceDays', change: { cadenceDays: 0 } },
    { field: 'cadenceDays', change: { cadenceDays: 366 } },
    { field: 'driving.mainRoadKm', change: { driving: { mainRoadKm: -1, townKm: 0, bridgeKm: 0 } } },
    { field: 'driving.townKm', change: { driving: { mainRoadKm: 0, townKm: 1501, bridgeKm: 0 } } },
    { field: 'weekShares', change: { weekShares: [1, 1, 1, 1, 1, 1] } },
    { field: 'weekShares', change: { weekShares: [1, 1, 1, 1, 1, 1, 11] } },
    { field: 'target.most', change: { target: { kind: 'salt-days', most: 0 } } },
    { field: 'seasonJobs', change: { seasonJobs: ['polish-the-moon'] } },
    { field: 'standsAtPlaceId', change: { standsAtPlaceId: 'nowhere' } },
    { field: 'customerId', change: { customerId: 'nobody' } },
    { field: 'protections.0.appliedMs', change: { protections: [{ ...COAT, appliedMs: NOW + MS_PER_DAY }] } },
    {
      field: 'protections.0.observed.atMs',
      change: { protections: [{ ...COAT, observed: { behaviour: 'flat', atMs: NOW + MS_PER_DAY } }] },
    },
    { field: 'protections.1.zone', change: { protections: [COAT, COAT] } },
    { field: 'protections.0.claimedLifeDays', change: { protections: [{ ...COAT, claimedLifeDays: 0 }] } },
    { field: 'colour', change: { colour: 'red' } },
  ])('is refused by $field', async ({ field, change }) => {
    const { body } = await api()
      .post('/api/vehicles')
      .send({ ...VEHICLE, ...change })
      .expect(400);
    expect(faultOf(body).field).toBe(field);
  });

  it('takes what lies at the ends', async () => {
    const kept = await made({
      cadenceDays: 365,
      driving: { mainRoadKm: 1500, townKm: 0, bridgeKm: 0 },
      weekShares: [0, 10, 1, 1, 1, 1, 1],
      protections: [{ ...COAT, claimedLifeDays: 7300, appliedMs: NOW }],
    });
    expect(kept).toMatchObject({ cadenceDays: 365, weekShares: [0, 10, 1, 1, 1, 1, 1] });
  });
});
