import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { BackupsView, PlaceRecord, SessionView, VehicleRecord, WashRecord } from '@keen/core';
import request from 'supertest';
import { faultOf, PLACE, startTestApp, type TestApp, VEHICLE } from '../testing/test-app.js';

describe('starting again', () => {
  let test: TestApp;
  beforeAll(async () => {
    test = await startTestApp();
  }, 60_000);
  afterAll(() => test.close());
  const api = () => request(test.app.getHttpServer());
  const list = async <T>(path: string): Promise<T[]> =>
    (await api().get(`/api/${path}`).expect(200)).body as T[];
  const copies = async (): Promise<number> =>
    ((await api().get('/api/backups').expect(200)).body as BackupsView).copies.length;

  it('wipes nothing that nobody means to, and all of it after a copy was made', async () => {
    await api().post('/api/places').send(PLACE).expect(201);
    await api().post('/api/vehicles').send(VEHICLE).expect(201);
    await api()
      .patch('/api/settings')
      .send({ limits: { inHandFraction: 0.4 } })
      .expect(200);
    expect(faultOf((await api().post('/api/start-again/wipe').send({}).expect(400)).body).field).toBe(
      'confirm',
    );
    expect(await list<VehicleRecord>('vehicles')).toHaveLength(1);
    const before = await copies();
    await api().post('/api/start-again/wipe').send({ confirm: 'wipe' }).expect(204);
    expect(await copies()).toBe(before + 1);
    expect(await list<VehicleRecord>('vehicles')).toEqual([]);
    expect(await list<PlaceRecord>('places')).toEqual([]);
    const settings = (await api().get('/api/settings').expect(200)).body as {
      limits: { inHandFraction: number };
    };
    expect(settings.limits.inHandFraction).not.toBe(0.4);
  }, 60_000);

  it('fills an empty shop with made-up data, which works at once, and never mixes it with one’s own', async () => {
    await api().post('/api/start-again/made-up').expect(204);
    const cars = await list<VehicleRecord>('vehicles');
    expect(cars.length).toBeGreaterThan(5);
    expect((await list<WashRecord>('washes')).length).toBeGreaterThan(20);
    const [car] = cars;
    await api().get(`/api/verdicts/salt/${car?.id}`).expect(200);
    await api().get('/api/weather').expect(200);
    const refused = await api().post('/api/start-again/made-up').expect(409);
    expect(faultOf(refused.body).message).toMatch(/Wipe the shop first/);
    expect(((await api().get('/api/access/session').expect(200)).body as SessionView).isOpen).toBe(true);
    await api().post('/api/start-again/wipe').send({ confirm: 'wipe' }).expect(204);
    expect(await list<VehicleRecord>('vehicles')).toEqual([]);
  }, 90_000);
});
