import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { AccountView, AuditEntry, AuditPage, PairingView, VehicleRecord } from '@keen/core';
import request from 'supertest';
import { DATABASE } from '../db/database.module.js';
import type { Database } from '../db/database.js';
import { vehicles } from '../db/schema.js';
import { faultOf, PLACE, startTestApp, TEST_CLOCK, type TestApp, VEHICLE } from '../testing/test-app.js';

const NOW = Date.parse(TEST_CLOCK);
const OWNER = { name: 'Ida', password: 'salt on the sills', role: 'owner' };
const HELPER = { name: 'Jon', password: 'wet mitts, cold hands', role: 'helper' };

describe('what was changed', () => {
  let test: TestApp;
  beforeAll(async () => {
    test = await startTestApp();
  }, 60_000);
  afterAll(() => test.close());

  const browser = () => request.agent(test.app.getHttpServer());
  let one: ReturnType<typeof browser>;
  beforeAll(() => {
    one = browser();
  });
  const page = async (query = ''): Promise<AuditPage> =>
    (await one.get(`/api/audit${query}`).expect(200)).body as AuditPage;
  const newest = async (query = ''): Promise<AuditEntry | undefined> => (await page(query)).entries[0];
  let car: VehicleRecord;

  it('is noted with the shop’s time, field by field, and by nobody while nobody signs in', async () => {
    car = (await one.post('/api/vehicles').send(VEHICLE).expect(201)).body as VehicleRecord;
    expect(await newest()).toMatchObject({
      record: 'vehicle',
      recordId: car.id,
      name: 'Black saloon',
      deed: 'made',
      who: null,
      device: null,
    });
    expect(Math.abs(((await newest())?.atMs ?? 0) - NOW)).toBeLessThan(600_000);
    await one.patch(`/api/vehicles/${car.id}`).send({ cadenceDays: 4, paintTone: 'white' }).expect(200);
    const { deed, fields } = (await newest()) ?? { fields: [] };
    expect(deed).toBe('changed');
    expect([...fields].sort((a, b) => a.field.localeCompare(b.field))).toEqual([
      { field: 'cadenceDays', before: 7, after: 4 },
      { field: 'paintTone', before: 'black', after: 'white' },
    ]);
  });

  it('tells what was set aside and brought back, and no change that is none', async () => {
    await one.delete(`/api/vehicles/${car.id}`).expect(204);
    expect(await newest()).toMatchObject({ deed: 'deleted', name: 'Black saloon' });
    await one.post(`/api/vehicles/${car.id}/restore`).expect(200);
    expect(await newest()).toMatchObject({ deed: 'brought-back' });
    const { seq } = (await newest()) ?? {};
    await one.patch(`/api/vehicles/${car.id}`).send({ cadenceDays: 4 }).expect(200);
    expect((await newest())?.seq).toBe(seq);
  });

  it('tells of a setting the part that moved', async () => {
    await one
      .patch('/api/settings')
      .send({ limits: { inHandFraction: 0.35 } })
      .expect(200);
    expect(await newest()).toMatchObject({
      deed: 'changed',
      fields: [{ field: 'value.inHandFraction', after: 0.35 }],
    });
    await one
      .patch('/api/settings')
      .send({ limits: { inHandFraction: 0.4 } })
      .expect(200);
    expect(await newest()).toMatchObject({
      record: 'setting',
      name: 'limits',
      deed: 'changed',
      fields: [{ field: 'value.inHandFraction', before: 0.35, after: 0.4 }],
    });
  });

  it('stands or falls with the change', async () => {
    const { entries } = await page();
    const db = test.app.get<Database>(DATABASE);
    const row = (await db.select().from(vehicles))[0];
    if (!row) throw new Error('no car');
    // The second of the two breaks a rule of the table, so that neither is made.
    await expect(
      db.batch([
        db.insert(vehicles).values({ ...row, id: 'other', name: 'Other' }),
        db.insert(vehicles).values({ ...row, id: 'other', name: 'Again' }),
      ]),
    ).rejects.toThrow();
    expect((await page()).entries).toEqual(entries);
  });

  it('is asked for by record and by number, and a bad question is named', async () => {
    await one.post('/api/places').send(PLACE).expect(201);
    const all = await page();
    const cars = await page(`?record=vehicle&recordId=${car.id}`);
    expect(new Set(cars.entries.map(({ record }) => record))).toEqual(new Set(['vehicle']));
    expect(cars.entries.length).toBeLessThan(all.entries.length);
    const [, second] = all.entries;
    expect((await page(`?before=${all.entries[0]?.seq}`)).entries[0]).toEqual(second);
    expect(all.olderFrom).toBeNull();
    const refused = await one.get('/api/audit?record=song').expect(400);
    expect(faultOf(refused.body).field).toBe('record');
  });

  it('is by the account and the phone of the session, whatever is claimed; and for the owner’s eyes', async () => {
    const owner = browser();
    await owner.post('/api/access/accounts').send(OWNER).expect(201);
    one = owner;
    const made = await owner.post('/api/access/accounts').send(HELPER).expect(201);
    expect(made.body).toBeDefined();
    const accounts = (await owner.get('/api/access/accounts').expect(200)).body as AccountView[];
    const id = accounts.find(({ name }) => name === 'Jon')?.id;
    expect(await newest('?record=access_user')).toMatchObject({ name: 'Jon', deed: 'made', who: 'Ida' });
    expect(JSON.stringify((await page()).entries)).not.toMatch(/argon2|password/);
    const pairing = await owner.post(`/api/access/accounts/${id}/pairing`).expect(201);
    const phone = browser();
    await phone
      .post('/api/access/pair')
      .send({ code: (pairing.body as PairingView).code, device: 'Jon’s phone' })
      .expect(204);
    await phone.get('/api/audit').expect(403);
    await owner.patch(`/api/vehicles/${car.id}`).send({ cadenceDays: 5, who: 'Jon' }).expect(400);
    await owner.patch(`/api/vehicles/${car.id}`).send({ cadenceDays: 5 }).expect(200);
    expect(await newest()).toMatchObject({ who: 'Ida', fields: [{ field: 'cadenceDays' }] });
    expect((await page('?who=Ida')).people).toContain('Ida');
  });
});
