import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type {
  AuditPage,
  Customer,
  CustomerEverything,
  PlaceRecord,
  VehicleRecord,
  WashRecord,
} from '@keen/core';
import { MS_PER_DAY } from '@keen/core';
import sharp from 'sharp';
import request from 'supertest';
import { faultOf, PLACE, startTestApp, TEST_CLOCK, type TestApp, VEHICLE } from '../testing/test-app.js';

const NOW = Date.parse(TEST_CLOCK);
const TRACES = ['Wilhelmina', '555-0142', 'gate code', 'dog in the yard'];

describe('what a customer may ask for', () => {
  let test: TestApp;
  let customer: Customer;
  let car: VehicleRecord;
  let other: VehicleRecord;
  let wash: WashRecord;
  let picture: Buffer;
  const api = () => request(test.app.getHttpServer());
  const post = async <T>(path: string, body: object): Promise<T> =>
    (await api().post(`/api/${path}`).send(body).expect(201)).body as T;
  const photograph = (id: string) =>
    api().put(`/api/runs/${wash.id}/photos/${id}`).set('content-type', 'image/png').send(picture);

  beforeAll(async () => {
    test = await startTestApp();
    picture = await sharp({ create: { width: 8, height: 8, channels: 3, background: '#123456' } })
      .png()
      .toBuffer();
    const unit = await post<PlaceRecord>('places', PLACE);
    car = await post('vehicles', {
      ...VEHICLE,
      name: 'Wilhelmina’s saloon',
      notes: 'gate code 4471',
      keeper: 'Wilhelmina',
    });
    other = await post('vehicles', { ...VEHICLE, name: 'Van of the shop' });
    customer = await post('customers', {
      name: 'Wilhelmina Quist',
      contact: '555-0142',
      notes: 'dog in the yard',
      photoConsent: 'own-records',
      vehicleIds: [car.id],
    });
    wash = await post('washes/done', {
      vehicleId: car.id,
      placeId: unit.id,
      methodId: 'garage-rinseless',
      startMs: NOW - 2 * MS_PER_DAY,
      minutes: 40,
      found: { icePanels: [], spots: 'none', leftovers: 'boot of Wilhelmina', note: 'told Wilhelmina' },
    });
    await post('washes', {
      vehicleId: car.id,
      placeId: unit.id,
      methodId: 'garage-rinseless',
      startMs: NOW + MS_PER_DAY,
    });
  }, 60_000);
  afterAll(() => test.close());

  const everything = async (id: string): Promise<CustomerEverything['records']> =>
    ((await api().get(`/api/customers/${id}/everything`).expect(200)).body as CustomerEverything).records;

  it('photographs are kept where they were agreed to, refused where the customer said no', async () => {
    await photograph('first').expect(204);
    await api().patch(`/api/customers/${customer.id}`).send({ photoConsent: 'none' }).expect(200);
    const refused = await photograph('second').expect(400);
    expect(faultOf(refused.body)).toMatchObject({ field: 'photo' });
    expect(faultOf(refused.body).message).toMatch(/Wilhelmina Quist wants no photographs/);
    const spot = await post<{ id: string }>(`vehicles/${car.id}/spots`, {
      zone: 'bonnet',
      age: 'fresh',
      material: 'paint',
      cause: 'tap-water',
      done: [],
      note: 'seen by Wilhelmina',
    });
    await api()
      .put(`/api/vehicles/${car.id}/spots/${spot.id}/photos/third`)
      .set('content-type', 'image/png')
      .send(picture)
      .expect(400);
  });

  it('all that is known comes out, with pictures, and of no other car', async () => {
    const records = await everything(customer.id);
    expect(records.customer).toMatchObject([{ name: 'Wilhelmina Quist', contact: '555-0142' }]);
    expect(records.vehicles).toMatchObject([{ id: car.id, notes: 'gate code 4471' }]);
    expect(records.washes).toHaveLength(2);
    expect(records.spots).toHaveLength(1);
    const [photo] = records.runPhotos ?? [];
    const bytes = Buffer.from(String(photo?.bytes), 'base64');
    expect((await sharp(bytes).metadata()).width).toBe(8);
    expect(JSON.stringify(records)).not.toContain(other.id);
    await api().get('/api/customers/nobody/everything').expect(404);
  });

  it('is erased for good: no name, number, note or picture is left in the file, and the salt stays, nameless', async () => {
    // What the program has kept in files by now must not hold it either.
    await api().get('/api/plan/morning').expect(200);
    await api().delete(`/api/customers/${customer.id}/everything`).expect(204);
    await api().get(`/api/customers/${customer.id}/everything`).expect(404);
    await api().post(`/api/customers/${customer.id}/restore`).expect(404);
    const cars = (await api().get('/api/vehicles').expect(200)).body as VehicleRecord[];
    expect(cars.map(({ id }) => id)).toEqual([other.id]);
    const files = readdirSync(test.folder, { recursive: true, withFileTypes: true }).filter((one) =>
      one.isFile(),
    );
    expect(files.map(({ name }) => name)).toContain('keen-rinse.db');
    const left = files.flatMap(({ parentPath, name }) => {
      const text = readFileSync(join(parentPath, name), 'latin1');
      return TRACES.filter((trace) => text.includes(trace)).map((trace) => `${trace} in ${name}`);
    });
    expect(left).toEqual([]);
    const { entries } = (await api().get('/api/audit').expect(200)).body as AuditPage;
    expect(entries.filter(({ recordId }) => recordId === car.id || recordId === customer.id)).toEqual([]);
    const washes = (await api().get('/api/washes').expect(200)).body as WashRecord[];
    expect(washes.filter(({ status }) => status === 'planned')).toEqual([]);
    expect(washes).toMatchObject([
      { id: wash.id, minutes: 40, found: { note: '', leftovers: '', spots: 'none' } },
    ]);
  });
});
