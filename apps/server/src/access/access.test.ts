import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type {
  AccountView,
  PairingView,
  PlaceRecord,
  SessionView,
  VehicleRecord,
  WashRecord,
} from '@keen/core';
import { MS_PER_HOUR } from '@keen/core';
import request from 'supertest';
import { accessTable } from '../openapi/access-table.js';
import { readOperations } from '../openapi/operations.js';
import { faultOf, PLACE, startTestApp, TEST_CLOCK, type TestApp, VEHICLE } from '../testing/test-app.js';
import { AccountsService } from './accounts.service.js';
import { mayDo, NAMED_OPERATIONS } from './may.js';

const OWNER = { name: 'Ida', password: 'salt on the sills', role: 'owner' };
const HELPER = { name: 'Jon', password: 'wet mitts, cold hands', role: 'helper' };
const BOOKS = { name: 'Books', password: 'every receipt kept', role: 'bookkeeper' };

describe('who may come in', () => {
  let test: TestApp;
  beforeAll(async () => {
    test = await startTestApp();
  }, 60_000);
  afterAll(() => test.close());

  const browser = () => request.agent(test.app.getHttpServer());
  type Browser = ReturnType<typeof browser>;
  const sessionOf = async (one: Browser): Promise<SessionView> =>
    (await one.get('/api/access/session').expect(200)).body as SessionView;
  const signedIn = async ({ name, password }: typeof OWNER, device?: string): Promise<Browser> => {
    const one = browser();
    await one.post('/api/access/session').send({ name, password, device }).expect(204);
    return one;
  };

  it('is everybody while no account has been made, and the first one is an owner’s', async () => {
    const one = browser();
    expect(await sessionOf(one)).toEqual({ isOpen: true, who: null });
    await one.get('/api/vehicles').expect(200);
    const refused = await one.post('/api/access/accounts').send(HELPER).expect(400);
    expect(faultOf(refused.body).field).toBe('role');
    const short = await one.post('/api/access/accounts').send({ ...OWNER, password: 'short' });
    expect(short.status).toBe(400);
    expect(faultOf(short.body).field).toBe('password');
  });

  it('who makes the first account is signed in with it, and nobody else is', async () => {
    const one = browser();
    await one.post('/api/access/accounts').send(OWNER).expect(201);
    expect((await sessionOf(one)).who).toMatchObject({ name: 'Ida', role: 'owner' });
    await one.get('/api/vehicles').expect(200);
    const stranger = browser();
    expect(await sessionOf(stranger)).toEqual({ isOpen: false, who: null });
    const refused = await stranger.get('/api/vehicles').expect(401);
    expect(faultOf(refused.body).code).toBe('not-signed-in');
    await stranger.get('/api/docs-json').expect(401);
    await stranger.get('/api/health').expect(200);
  });

  it('a wrong name and a wrong password are refused alike; capitals of the name do not matter', async () => {
    const one = browser();
    const wrong = await one
      .post('/api/access/session')
      .send({ ...OWNER, role: undefined, password: 'not this one' });
    const nobody = await one.post('/api/access/session').send({ name: 'Nobody', password: OWNER.password });
    expect([wrong.status, nobody.status]).toEqual([401, 401]);
    expect(faultOf(wrong.body)).toEqual(faultOf(nobody.body));
    await one.post('/api/access/session').send({ name: 'iDA', password: OWNER.password }).expect(204);
    expect((await sessionOf(one)).who?.name).toBe('Ida');
  });

  it('a cookie is for this site alone, out of reach of scripts, and a made-up one lets nobody in', async () => {
    const { name, password } = OWNER;
    const response = await browser().post('/api/access/session').send({ name, password }).expect(204);
    const [cookie = ''] = response.get('set-cookie') ?? [];
    expect(cookie).toMatch(/HttpOnly/i);
    expect(cookie).toMatch(/SameSite=Strict/i);
    const forged = cookie.replace(/=[^.]+\./, '=aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa.').split(';')[0] ?? '';
    await request(test.app.getHttpServer()).get('/api/vehicles').set('cookie', forged).expect(401);
  });

  it('signing out ends this session, and no other', async () => {
    const [here, there] = [await signedIn(OWNER), await signedIn(OWNER)];
    await here.delete('/api/access/session').expect(204);
    await here.get('/api/vehicles').expect(401);
    await there.get('/api/vehicles').expect(200);
  });

  it('a bookkeeper reads everything and changes nothing', async () => {
    const owner = await signedIn(OWNER);
    await owner.post('/api/access/accounts').send(BOOKS).expect(201);
    const books = await signedIn(BOOKS);
    await books.get('/api/customers').expect(200);
    await books.get('/api/washes').expect(200);
    const refused = await books.post('/api/vehicles').send(VEHICLE).expect(403);
    expect(faultOf(refused.body).code).toBe('not-yours');
    await books.get('/api/access/accounts').expect(403);
  });

  it('a helper sees the own washes, without a figure of money, and whom to call about the cars of today alone', async () => {
    const owner = await signedIn(OWNER);
    const place = (await owner.post('/api/places').send(PLACE).expect(201)).body as PlaceRecord;
    const vehicle = (
      await owner
        .post('/api/vehicles')
        .send({ ...VEHICLE, keeper: 'Tamsin Roe', notes: 'Gate 4711.' })
        .expect(201)
    ).body as VehicleRecord;
    const worker = { name: 'Jon', hours: Array(7).fill({ openMinute: 0, closeMinute: 1440 }) };
    const workers = [
      { id: 'owner', ...worker },
      { id: 'jon', ...worker },
    ];
    await owner.patch('/api/settings').send({ workers }).expect(200);
    await owner
      .post('/api/access/accounts')
      .send({ ...HELPER, workerId: 'jon' })
      .expect(201);
    const plan = async (workerId: string, hours: number): Promise<WashRecord> =>
      (
        await owner.post('/api/washes').send({
          vehicleId: vehicle.id,
          placeId: place.id,
          methodId: 'garage-rinseless',
          workerId,
          startMs: Date.parse(TEST_CLOCK) + hours * MS_PER_HOUR - 40 * 60_000,
        })
      ).body as WashRecord;
    const own = await plan('jon', 3);
    const other = await plan('owner', 6);
    expect([own.workerId, other.workerId]).toEqual(['jon', 'owner']);

    const helper = await signedIn(HELPER);
    const listed = (await helper.get('/api/washes').expect(200)).body as WashRecord[];
    expect(listed.map(({ id }) => id)).toEqual([own.id]);
    await helper.get(`/api/runs/${own.id}`).expect(200);
    await helper.get(`/api/runs/${other.id}`).expect(403);
    await helper.get(`/api/washes/${own.id}`).expect(200);
    await helper.get(`/api/washes/${other.id}`).expect(403);
    const [car] = (await helper.get('/api/vehicles').expect(200)).body as VehicleRecord[];
    expect(car).toMatchObject({ name: VEHICLE.name, keeper: '', notes: '' });
    await helper.get('/api/customers').expect(403);
    const todays = async (one: Browser) =>
      (await one.get('/api/customers/today').expect(200)).body as unknown;
    expect(await todays(helper)).toEqual([]);
    const ann = { name: 'Ann Field', contact: '555 0101', notes: 'Pays late.', vehicleIds: [vehicle.id] };
    await owner.post('/api/customers').send(ann).expect(201);
    const contact = { vehicleId: vehicle.id, name: 'Ann Field', contact: '555 0101' };
    expect(await todays(helper)).toEqual([contact]);
    await owner.delete(`/api/washes/${own.id}`).expect(204);
    expect(await todays(helper)).toEqual([]);
    expect(await todays(owner)).toEqual([contact]);
    await owner.delete(`/api/washes/${other.id}`).expect(204);
    expect(await todays(owner)).toEqual([]);
    await owner.post(`/api/washes/${own.id}/restore`).expect(200);
    await owner
      .patch(`/api/washes/${own.id}`)
      .send({ startMs: own.startMs + 24 * MS_PER_HOUR })
      .expect(200);
    expect(await todays(helper)).toEqual([]);
    const [shown] = (await helper.get('/api/places').expect(200)).body as PlaceRecord[];
    expect(shown?.methods[0]?.priceMinor).toBeNull();
    const [known] = (await owner.get('/api/places').expect(200)).body as PlaceRecord[];
    expect(known?.methods[0]?.priceMinor).toBe(1400);
  });

  it('a phone comes in by a code, once, under a name, and is sent away at once', async () => {
    const owner = await signedIn(OWNER);
    const accounts = (await owner.get('/api/access/accounts').expect(200)).body as AccountView[];
    const jon = accounts.find(({ name }) => name === HELPER.name);
    const offer = (await owner.post(`/api/access/accounts/${jon?.id}/pairing`).expect(201))
      .body as PairingView;
    expect(offer.path).toBe(`/pair?code=${offer.code}`);
    const typed = `${offer.code.slice(0, 5).toLowerCase()} ${offer.code.slice(5)}`;
    const phone = browser();
    await phone.post('/api/access/pair').send({ code: typed, device: 'Bay phone' }).expect(204);
    expect((await sessionOf(phone)).who).toMatchObject({ name: 'Jon', device: 'Bay phone', workerId: 'jon' });
    const again = await browser()
      .post('/api/access/pair')
      .send({ code: offer.code, device: 'Another' })
      .expect(401);
    expect(faultOf(again.body).field).toBe('code');

    const after = (await owner.get('/api/access/accounts').expect(200)).body as AccountView[];
    const paired = after.flatMap(({ devices }) => devices).find(({ device }) => device === 'Bay phone');
    await owner.delete(`/api/access/devices/${paired?.id}`).expect(204);
    await phone.get('/api/vehicles').expect(401);
    await owner.delete(`/api/access/devices/${paired?.id}`).expect(404);
  });

  it('a new password signs out all of an account, and the only owner stays', async () => {
    const owner = await signedIn(OWNER);
    const helper = await signedIn(HELPER);
    const accounts = (await owner.get('/api/access/accounts').expect(200)).body as AccountView[];
    const idOf = (of: string) => accounts.find(({ name }) => name === of)?.id ?? '';
    await owner
      .patch(`/api/access/accounts/${idOf('Jon')}`)
      .send({ password: 'another, longer one' })
      .expect(200);
    await helper.get('/api/vehicles').expect(401);
    const demoted = await owner.patch(`/api/access/accounts/${idOf('Ida')}`).send({ role: 'bookkeeper' });
    expect(demoted.status).toBe(409);
    await owner.delete(`/api/access/accounts/${idOf('Ida')}`).expect(409);
    const taken = await owner
      .post('/api/access/accounts')
      .send({ ...HELPER, name: 'JON' })
      .expect(409);
    expect(faultOf(taken.body).field).toBe('name');
    await owner.delete(`/api/access/accounts/${idOf('Jon')}`).expect(204);
    await browser()
      .post('/api/access/session')
      .send({ name: 'Jon', password: 'another, longer one' })
      .expect(401);
  });

  it('lets nobody guess passwords on', async () => {
    const guess = () =>
      browser().post('/api/access/session').send({ name: 'Ida', password: 'a guess of many' });
    let last = await guess();
    for (let tries = 0; tries < 25 && last.status !== 429; tries += 1) last = await guess();
    expect(last.status).toBe(429);
  });
});

describe('a server that others can reach', () => {
  let test: TestApp;
  beforeAll(async () => {
    process.env.KEEN_BEHIND_PROXY = '1';
    test = await startTestApp();
    delete process.env.KEEN_BEHIND_PROXY;
  }, 60_000);
  afterAll(() => test.close());

  it('is never open, not even without an account', async () => {
    const api = request(test.app.getHttpServer());
    expect((await api.get('/api/access/session').expect(200)).body).toEqual({ isOpen: false, who: null });
    await api.get('/api/vehicles').expect(401);
    await api.post('/api/access/accounts').send(OWNER).expect(401);
  });

  it('keeps its last account', async () => {
    const accounts = test.app.get(AccountsService);
    await accounts.create({ ...OWNER, role: 'owner' });
    const [only] = await accounts.list(null);
    await expect(accounts.remove(only?.id ?? '')).rejects.toThrow();
    expect(await accounts.list(null)).toHaveLength(1);
  });
});

/** Cells of a table in Markdown, however wide its columns are drawn. */
const cellsOf = (text: string): string[][] =>
  text
    .split('\n')
    .filter((line) => line.startsWith('|') && !/^[|\s-]+$/.test(line))
    .map((line) => line.split('|').map((cell) => cell.trim()));

const operations = readOperations().operations.map(({ name }) => name);

describe('the table of who may do what', () => {
  it('stands in the documentation as the server goes by it (npm run api writes it)', () => {
    const written = readFileSync(resolve(import.meta.dirname, '../../../../docs/access.md'), 'utf8');
    expect(cellsOf(written)).toEqual(cellsOf(accessTable()));
    expect(cellsOf(written)).toHaveLength(operations.length + 1);
  });

  it('names operations that there are', () => {
    expect(NAMED_OPERATIONS.filter((name) => !operations.includes(name))).toEqual([]);
  });

  it('leaves what is not named to the owner, and lets no bookkeeper change anything', () => {
    expect(mayDo('owner', 'BackupsController_make')).toBe(true);
    expect(mayDo('bookkeeper', 'BackupsController_make')).toBe(false);
    expect(mayDo('helper', 'CustomersController_list')).toBe(false);
    expect(mayDo('helper', 'RunsController_take')).toBe(true);
    expect(mayDo('bookkeeper', 'RunsController_take')).toBe(false);
  });
});
