import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { PlaceRecord } from '@keen/core';
import { faultOf, PLACE, startTestApp, type TestApp, testCalls } from '../testing/test-app.js';

let test: TestApp;
const { api, get, make } = testCalls(() => test);

beforeAll(async () => {
  test = await startTestApp();
}, 60_000);

afterAll(() => test.close());

const asRead = (id: string): Promise<PlaceRecord> => get(`places/${id}`);
const patch = (id: string, change: object) => api().patch(`/api/places/${id}`).send(change);

describe('a place', () => {
  it('is kept as it was entered, with what was not entered left empty', async () => {
    const kept = await make<PlaceRecord>('places', PLACE);
    expect(kept).toEqual({
      ...PLACE,
      id: kept.id,
      notes: '',
      finishAt: null,
      mostMinutes: null,
      dryingSpot: '',
      siteSoap: 'ordinary',
      bucketWater: 'brought',
      climate: { kind: 'heated', setpointC: 14, relHumidityFraction: null },
      finalRinse: null,
      tariff: null,
      queue: null,
      forbids: [],
      carsAtOnce: 1,
    });
    expect(await asRead(kept.id)).toEqual(kept);
  });

  it('changes in what was sent alone', async () => {
    const kept = await make<PlaceRecord>('places', PLACE);
    const changed = (await patch(kept.id, { name: 'North unit', climate: { kind: 'unheated' } }).expect(200))
      .body as PlaceRecord;
    expect(changed).toEqual({
      ...kept,
      name: 'North unit',
      climate: { kind: 'unheated', relHumidityFraction: null },
    });
    expect(await asRead(kept.id)).toEqual(changed);
    expect((await patch(kept.id, {}).expect(200)).body).toEqual(changed);
  });

  it('is not overwritten unseen: the field that changed meanwhile is named, with both values', async () => {
    const kept = await make<PlaceRecord>('places', PLACE);
    await patch(kept.id, { travelMinutes: 20 }).expect(200);
    const refused = await patch(kept.id, { travelMinutes: 15, was: { travelMinutes: 12 } }).expect(409);
    expect(faultOf(refused.body)).toMatchObject({
      code: 'changed-meanwhile',
      field: 'travelMinutes',
      message: 'travelMinutes was changed meanwhile: it was 12 when you opened this, and is 20 now.',
    });
    expect((await asRead(kept.id)).travelMinutes).toBe(20);
    await patch(kept.id, { travelMinutes: 15, was: { travelMinutes: 20 } }).expect(200);
    expect((await asRead(kept.id)).travelMinutes).toBe(15);
  });

  it('is taken off and put back', async () => {
    const kept = await make<PlaceRecord>('places', PLACE);
    const names = async (): Promise<string[]> => (await get<PlaceRecord[]>('places')).map(({ id }) => id);
    await api().delete(`/api/places/${kept.id}`).expect(204);
    expect(await names()).not.toContain(kept.id);
    await api().get(`/api/places/${kept.id}`).expect(404);
    expect((await api().post(`/api/places/${kept.id}/restore`)).body).toEqual(kept);
    expect(await names()).toContain(kept.id);
    await api().post('/api/places/nowhere/restore').expect(404);
  });

  it('may be open over midnight, and the whole day', async () => {
    const openHours = [
      { openMinute: 1320, closeMinute: 360 },
      { openMinute: 0, closeMinute: 1440 },
      ...Array.from({ length: 5 }, () => null),
    ];
    expect((await make<PlaceRecord>('places', { ...PLACE, openHours })).openHours).toEqual(openHours);
  });

  it.each([
    { field: 'name', change: { name: '' } },
    { field: 'latitudeDeg', change: { latitudeDeg: 90.01 } },
    { field: 'longitudeDeg', change: { longitudeDeg: -180.01 } },
    { field: 'timeZone', change: { timeZone: 'Nowhere/Town' } },
    { field: 'climate.setpointC', change: { climate: { kind: 'heated', setpointC: 36 } } },
    { field: 'openHours', change: { openHours: [null] } },
    { field: 'openHours', change: { openHours: Array(7).fill({ openMinute: 480, closeMinute: 1441 }) } },
    {
      field: 'openHours.0.closeMinute',
      change: { openHours: [{ openMinute: 480, closeMinute: 480 }, ...Array(6).fill(null)] },
    },
    {
      field: 'washWater.hardnessMgPerLitre',
      change: { washWater: { ...PLACE.washWater, hardnessMgPerLitre: -1 } },
    },
    {
      field: 'methods.0.priceMinor',
      change: { methods: [{ methodId: 'garage-rinseless', priceMinor: 100_000_001 }] },
    },
    { field: 'carsAtOnce', change: { carsAtOnce: 0 } },
    { field: 'colour', change: { colour: 'red' } },
  ])('is refused by $field', async ({ field, change }) => {
    const { body } = await api()
      .post('/api/places')
      .send({ ...PLACE, ...change })
      .expect(400);
    expect(faultOf(body).field).toBe(field);
  });

  it('may cost what a currency without cents needs', async () => {
    const methods = [{ methodId: 'garage-rinseless', priceMinor: 100_000_000 }];
    expect((await make<PlaceRecord>('places', { ...PLACE, methods })).methods).toEqual(methods);
  });

  describe('with a second one, where its washes are ended', () => {
    const second = async (change: object = {}): Promise<PlaceRecord> =>
      make<PlaceRecord>('places', { ...PLACE, name: 'Second unit', ...change });

    it('keeps it with the drive, and gives it up again', async () => {
      const { id } = await second();
      const finishAt = { placeId: id, driveMinutes: 7.5, priceMinor: 600 };
      const kept = await make<PlaceRecord>('places', { ...PLACE, finishAt });
      expect((await asRead(kept.id)).finishAt).toEqual(finishAt);
      await patch(kept.id, { name: 'Other name' }).expect(200);
      expect((await asRead(kept.id)).finishAt).toEqual(finishAt);
      await patch(kept.id, { finishAt: null }).expect(200);
      expect((await asRead(kept.id)).finishAt).toBeNull();
    });

    it('is refused where it is not there, is the place itself, or has a meter that would run', async () => {
      const { id } = await make<PlaceRecord>('places', PLACE);
      const tariff = {
        startPriceMinor: 300,
        startSeconds: 180,
        blockPriceMinor: 100,
        blockSeconds: 60,
        pausable: false,
      };
      const metered = await second({ tariff });
      for (const placeId of [id, metered.id, 'nowhere']) {
        const { body } = await patch(id, { finishAt: { placeId, driveMinutes: 5, priceMinor: 0 } }).expect(
          400,
        );
        expect(faultOf(body).field).toBe('finishAt.placeId');
      }
      const { body } = await patch(id, {
        finishAt: { placeId: metered.id, driveMinutes: 121, priceMinor: 0 },
      }).expect(400);
      expect(faultOf(body).field).toBe('finishAt.driveMinutes');
      expect((await asRead(id)).finishAt).toBeNull();
    });
  });
});
