import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { PlaceRecord, Product, Settings, VehicleRecord, WashListReport, WashRecord } from '@keen/core';
import request from 'supertest';
import {
  doneWash,
  faultOf,
  PLACE,
  RINSELESS,
  startTestApp,
  type TestApp,
  VEHICLE,
} from '../testing/test-app.js';

const LIST = `Vehicle;Date;Time;How;Paid;Note
black saloon;2025-12-24;9:30;rinseless;14,50;grey sills
Black saloon;2026-01-10;;;;
Unknown;2026-01-10;;;;
Black saloon;2026-02-10;;;;`;

describe('a list of old washes', () => {
  let test: TestApp;
  let car: VehicleRecord;
  let place: PlaceRecord;
  beforeAll(async () => {
    test = await startTestApp();
    place = (await api().post('/api/places').send(PLACE).expect(201)).body as PlaceRecord;
    car = (
      await api()
        .post('/api/vehicles')
        .send({ ...VEHICLE, name: 'Black saloon' })
        .expect(201)
    ).body as VehicleRecord;
    const settings = { timeZone: 'America/Toronto', stock: { 'garage-rinseless': 5 } };
    await api().patch('/api/settings').send(settings).expect(200);
  }, 60_000);
  afterAll(() => test.close());
  const api = () => request(test.app.getHttpServer());
  const read = async (body: object): Promise<WashListReport> =>
    (await api().post('/api/washes/list').send(body).expect(200)).body as WashListReport;
  const washes = async (): Promise<WashRecord[]> =>
    (await api().get('/api/washes').expect(200)).body as WashRecord[];

  it('is looked at first, and kept all or none', async () => {
    const report = await read({ text: LIST, mode: 'look' });
    expect(report.good).toHaveLength(2);
    expect(report.faults.map(({ line, field }) => [line, field])).toEqual([
      [4, 'Vehicle'],
      [5, 'Date'],
    ]);
    expect(report).toMatchObject({ kept: false, made: null, columns: { car: 'Vehicle', cost: 'Paid' } });
    expect((await read({ text: LIST, mode: 'all-or-nothing' })).kept).toBe(false);
    expect(await washes()).toEqual([]);
  });

  it('is in the log then, takes nothing out of the kit, is not read twice, and is taken out again', async () => {
    const { made } = await read({ text: LIST, mode: 'good-lines' });
    const kept = await washes();
    expect(kept).toMatchObject([
      { vehicleId: car.id, startMs: Date.parse('2026-01-10T12:00:00-05:00'), costMinor: null, minutes: 45 },
      {
        vehicleId: car.id,
        placeId: place.id,
        methodId: 'garage-rinseless',
        status: 'done',
        startMs: Date.parse('2025-12-24T09:30:00-05:00'),
        costMinor: 1450,
        found: { note: 'grey sills', spots: 'none', laid: [] },
      },
    ]);
    const { stock } = (await api().get('/api/settings').expect(200)).body as Settings;
    expect(stock['garage-rinseless']).toBe(5);
    const again = await read({ text: LIST, mode: 'look' });
    expect(again.good).toEqual([]);
    expect(again.faults).toHaveLength(4);
    await api()
      .post('/api/washes/list/undo')
      .send(made ?? {})
      .expect(204);
    expect(await washes()).toEqual([]);
    expect((await read({ text: LIST, mode: 'look' })).good).toHaveLength(2);
  });

  it('takes no other wash out with it, whatever ids are sent, and is not in the way of one that is gone', async () => {
    const { made } = await read({ text: LIST, mode: 'good-lines' });
    const [first, ...rest] = made?.washIds ?? [];
    const planned = { vehicleId: car.id, placeId: place.id, methodId: 'garage-rinseless' };
    const startMs = Date.parse('2026-01-15T09:00:00-05:00');
    const other = (
      await api()
        .post('/api/washes')
        .send({ ...planned, startMs })
        .expect(201)
    ).body as WashRecord;
    const undo = (washIds: readonly (string | undefined)[]) =>
      api().post('/api/washes/list/undo').send({ washIds });
    // Nothing is counted by its method, and yet it took out of a bottle.
    await api()
      .patch('/api/settings')
      .send({ stock: { 'garage-rinseless': 0 } })
      .expect(200);
    const bottle = (await api().post('/api/kit/products').send(RINSELESS).expect(201)).body as Product;
    const day = Date.parse('2026-01-13T09:00:00-05:00');
    const done = (
      await api()
        .post('/api/washes/done')
        .send(doneWash(car.id, place.id, day))
        .expect(201)
    ).body as WashRecord;
    expect(done.found?.taken).toMatchObject({ isCounted: false, products: [{ productId: bottle.id }] });
    for (const { id } of [other, done]) {
      const refused = await undo([first, id]).expect(409);
      expect(faultOf(refused.body)).toMatchObject({ code: 'conflict', field: 'washIds' });
    }
    expect(await washes()).toHaveLength(4);
    await undo([first]).expect(204);
    await undo([first, ...rest]).expect(204);
    expect((await washes()).map(({ id }) => id).toSorted()).toEqual([other.id, done.id].toSorted());
    for (const { id } of [other, done]) await api().delete(`/api/washes/${id}`).expect(204);
  });

  it('uses the headings that were chosen, and names one that is not there', async () => {
    const text = 'Wagen,Tag\nBlack saloon,2026-01-02';
    expect((await read({ text, mode: 'look' })).good).toEqual([]);
    expect((await read({ text, mode: 'look', columns: { car: 'Wagen', day: 'Tag' } })).good).toHaveLength(1);
    for (const [columns, field] of [
      [{ car: 'Auto' }, 'columns.car'],
      [{ song: 'Wagen' }, 'columns.song'],
    ] as const) {
      const refused = await api().post('/api/washes/list').send({ text, mode: 'look', columns }).expect(400);
      expect(faultOf(refused.body).field).toBe(field);
    }
  });
});
