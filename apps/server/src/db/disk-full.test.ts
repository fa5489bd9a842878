import { afterAll, beforeAll, describe, expect, it, jest } from '@jest/globals';
import type { PlaceRecord, VehicleRecord, WashRecord } from '@keen/core';
import { MS_PER_HOUR } from '@keen/core';
import { sql } from 'drizzle-orm';
import request from 'supertest';
import { faultOf, PLACE, startTestApp, TEST_CLOCK, type TestApp, VEHICLE } from '../testing/test-app.js';
import { DATABASE } from './database.module.js';
import type { Database } from './database.js';

const NOW = Date.parse(TEST_CLOCK);

describe('a full disk', () => {
  let test: TestApp;
  let car: VehicleRecord;
  let wash: WashRecord;
  const api = () => request(test.app.getHttpServer());
  const make = async <T>(path: string, body: object): Promise<T> =>
    (await api().post(`/api/${path}`).send(body).expect(201)).body as T;
  const db = (): Database => test.app.get<Database>(DATABASE);
  /** The file may not grow by a page more. */
  const fill = async (): Promise<void> => {
    const [row] = await db().all<{ page_count: number }>(sql`pragma page_count`);
    await db().run(sql.raw(`pragma max_page_count = ${row?.page_count ?? 1}`));
  };

  beforeAll(async () => {
    test = await startTestApp();
    const unit = await make<PlaceRecord>('places', PLACE);
    car = await make('vehicles', VEHICLE);
    wash = await make('washes', {
      vehicleId: car.id,
      placeId: unit.id,
      methodId: 'garage-rinseless',
      startMs: NOW + 30 * MS_PER_HOUR,
    });
    await api().get('/api/weather').expect(200);
    await fill();
    // Hours later there is new weather, which cannot be kept.
    await api()
      .put('/api/clock')
      .send({ nowMs: NOW + 7 * MS_PER_HOUR })
      .expect(200);
  }, 120_000);
  afterAll(() => test.close());

  it('takes writing away, and says so', async () => {
    const note = 'x'.repeat(1900);
    const log = jest.spyOn(process.stderr, 'write').mockReturnValue(true);
    let refused = null;
    for (let n = 0; n < 40 && !refused; n += 1) {
      const answer = await api()
        .post('/api/customers')
        .send({ name: `Customer ${n}`, notes: note });
      if (answer.status !== 201) refused = answer;
    }
    const lines = String(log.mock.calls);
    log.mockRestore();
    expect(lines).toContain('Failed query: insert into');
    expect(lines).not.toContain(note);
    expect(refused?.status).toBe(507);
    expect(faultOf(refused?.body)).toMatchObject({ code: 'disk-full', field: null });
    expect(faultOf(refused?.body).message).toMatch(/can still be read/);
  });

  it.each([
    'weather',
    'weather/sources',
    'vehicles',
    'washes',
    'places',
    'settings',
    'kit',
    'backups',
    'roads/bulletins',
    'plan/morning',
    'customers',
    'messages/unsent',
    'audit',
  ])(
    'never reading: %s',
    async (path) => {
      const { status, body } = await api().get(`/api/${path}`);
      expect({ status, error: (body as { error?: unknown }).error }).toEqual({
        status: 200,
        error: undefined,
      });
    },
    60_000,
  );

  it('never reading: the answers about a car, and its run', async () => {
    for (const path of [`verdicts/salt/${car.id}`, `verdicts/condition/${car.id}`, `runs/${wash.id}`]) {
      const { status } = await api().get(`/api/${path}`);
      expect({ path, status }).toEqual({ path, status: 200 });
    }
  }, 60_000);

  it('is over when there is room again', async () => {
    await db().run(sql.raw('pragma max_page_count = 1073741823'));
    await make('customers', { name: 'After', notes: 'x'.repeat(1900) });
    await api().get('/api/weather').expect(200);
  });
});
