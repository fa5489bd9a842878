import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import {
  type CellAnswer,
  type PlaceRecord,
  type VehicleRecord,
  type WashRecord,
  MS_PER_HOUR,
  type ErrorBody,
  type MorningView,
  type WindowsView,
} from '@keen/core';
import request from 'supertest';
import { doneWash, PLACE, startTestApp, TEST_CLOCK, type TestApp, VEHICLE } from './testing/test-app.js';

const NOW = Date.parse(TEST_CLOCK);
/** 10:00 local on the test's morning: the heated unit is open. */
const TEN = Date.parse('2026-01-14T10:00:00-05:00');

let test: TestApp;
const api = () => request(test.app.getHttpServer());

async function create<T>(path: string, body: object): Promise<T> {
  const response = await api().post(`/api/${path}`).send(body);
  if (response.status !== 201) throw new Error(`${path}: ${response.status} ${response.text}`);
  return response.body as T;
}

const faultOf = (body: unknown): ErrorBody['error'] => (body as ErrorBody).error;

let vehicle: VehicleRecord;
let place: PlaceRecord;

beforeAll(async () => {
  test = await startTestApp();
  place = await create<PlaceRecord>('places', PLACE);
  vehicle = await create<VehicleRecord>('vehicles', { ...VEHICLE, standsAtPlaceId: place.id });
  // Washed lately: a car that nobody has washed since November is too dirty for rinseless.
  await create('washes/done', doneWash(vehicle.id, place.id, NOW - 4 * 24 * MS_PER_HOUR));
}, 60_000);

afterAll(() => test.close());

describe('health and description', () => {
  it('answers with version and database state', async () => {
    const { body } = await api().get('/api/health').expect(200);
    expect(body).toMatchObject({ version: expect.stringMatching(/^\d+\./), database: 'open' });
  });

  it('describes every path', async () => {
    const { body } = await api().get('/api/docs-json').expect(200);
    expect(Object.keys((body as { paths: object }).paths)).toEqual(
      expect.arrayContaining([
        '/api/vehicles',
        '/api/places/{id}',
        '/api/calc/{name}',
        '/api/plan/morning',
        '/api/washes/{id}/done',
      ]),
    );
  });

  it('answers an unknown path under /api in the one error shape', async () => {
    const { body } = await api().get('/api/nothing').expect(404);
    expect(faultOf(body)).toMatchObject({ code: 'not-found' });
  });
});

describe('vehicles', () => {
  it('comes back as it was given', async () => {
    const { body } = await api().get(`/api/vehicles/${vehicle.id}`).expect(200);
    expect(body).toMatchObject({ ...VEHICLE, standsAtPlaceId: place.id, knownSinceMs: expect.any(Number) });
  });

  it.each([
    { why: 'a missing name', change: { name: undefined }, field: 'name', code: 'missing-field' },
    { why: 'an empty name', change: { name: '' }, field: 'name', code: 'bad-field' },
    { why: 'an unknown field', change: { plate: 'AB 1' }, field: 'plate', code: 'unknown-field' },
    { why: 'an unknown shape', change: { bodyClass: 'coach' }, field: 'bodyClass', code: 'bad-field' },
    {
      why: '5000 km a day',
      change: { driving: { mainRoadKm: 5000, townKm: 0, bridgeKm: 0 } },
      field: 'driving.mainRoadKm',
      code: 'bad-field',
    },
    {
      why: 'a place that is not',
      change: { standsAtPlaceId: 'nowhere' },
      field: 'standsAtPlaceId',
      code: 'bad-field',
    },
    { why: 'a cadence of never', change: { cadenceDays: 0 }, field: 'cadenceDays', code: 'bad-field' },
  ])('refuses $why by name', async ({ change, field, code }) => {
    const { body } = await api()
      .post('/api/vehicles')
      .send({ ...VEHICLE, ...change })
      .expect(400);
    expect(faultOf(body)).toMatchObject({ field, code });
  });

  it('names every fault, not the first alone', async () => {
    const { body } = await api()
      .post('/api/vehicles')
      .send({ ...VEHICLE, name: '', cadenceDays: -1 })
      .expect(400);
    expect([faultOf(body).field, ...(faultOf(body).others ?? []).map(({ field }) => field)]).toEqual(
      expect.arrayContaining(['name', 'cadenceDays']),
    );
  });

  it('changes only what is given', async () => {
    const { body } = await api()
      .patch(`/api/vehicles/${vehicle.id}`)
      .send({ notes: 'Shows every spot.' })
      .expect(200);
    expect(body).toMatchObject({ ...VEHICLE, standsAtPlaceId: place.id, notes: 'Shows every spot.' });
    expect((await api().get(`/api/vehicles/${vehicle.id}`)).body).toMatchObject({
      notes: 'Shows every spot.',
      standsAtPlaceId: place.id,
    });
  });

  it('goes away and comes back', async () => {
    const other = await create<VehicleRecord>('vehicles', { ...VEHICLE, name: 'Passing through' });
    await api().delete(`/api/vehicles/${other.id}`).expect(204);
    await api().get(`/api/vehicles/${other.id}`).expect(404);
    await api().post(`/api/vehicles/${other.id}/restore`).expect(200);
    await api().get(`/api/vehicles/${other.id}`).expect(200);
    await api().delete(`/api/vehicles/${other.id}`).expect(204);
  });

  it('takes many at once without losing one', async () => {
    const made = await Promise.all(
      Array.from({ length: 25 }, (_, i) =>
        create<VehicleRecord>('vehicles', { ...VEHICLE, name: `Fleet ${i}` }),
      ),
    );
    const { body } = await api().get('/api/vehicles');
    const ids = new Set((body as VehicleRecord[]).map(({ id }) => id));
    expect(made.every(({ id }) => ids.has(id))).toBe(true);
    await Promise.all(made.map(({ id }) => api().delete(`/api/vehicles/${id}`)));
  });
});

describe('places', () => {
  it.each([
    {
      why: 'a heated place without a temperature',
      change: { climate: { kind: 'heated' } },
      field: 'climate.setpointC',
    },
    {
      why: 'a closing as it opens',
      change: { openHours: Array.from({ length: 7 }, () => ({ openMinute: 600, closeMinute: 600 })) },
      field: 'openHours.0.closeMinute',
    },
    { why: 'six weekdays', change: { openHours: [] }, field: 'openHours' },
    { why: 'a zone that does not exist', change: { timeZone: 'Lake/Nowhere' }, field: 'timeZone' },
    {
      why: 'water with negative hardness',
      change: { washWater: { ...PLACE.washWater, hardnessMgPerLitre: -1 } },
      field: 'washWater.hardnessMgPerLitre',
    },
    {
      why: 'an unknown method',
      change: { methods: [{ methodId: 'sandblasting', priceMinor: 1 }] },
      field: 'methods.0.methodId',
    },
    { why: 'a latitude off the globe', change: { latitudeDeg: 91 }, field: 'latitudeDeg' },
  ])('refuses $why by name', async ({ change, field }) => {
    const { body } = await api()
      .post('/api/places')
      .send({ ...PLACE, ...change })
      .expect(400);
    expect(faultOf(body).field).toBe(field);
  });

  it('changes only what is given', async () => {
    const rinse = { ...PLACE.washWater, name: 'Filtered', tdsMgPerLitre: 20 };
    const other = await create<PlaceRecord>('places', { ...PLACE, notes: 'Ask first', finalRinse: rinse });
    await api().patch(`/api/places/${other.id}`).send({ travelMinutes: 20 }).expect(200);
    expect((await api().get(`/api/places/${other.id}`)).body).toMatchObject({
      travelMinutes: 20,
      notes: 'Ask first',
      finalRinse: rinse,
    });
    await api().delete(`/api/places/${other.id}`).expect(204);
  });

  it('keeps a closed day as closed', async () => {
    const openHours = [...PLACE.openHours.slice(0, 6), null];
    const { body } = await api().patch(`/api/places/${place.id}`).send({ openHours }).expect(200);
    expect((body as PlaceRecord).openHours[6]).toBeNull();
    await api().patch(`/api/places/${place.id}`).send({ openHours: PLACE.openHours }).expect(200);
  });
});

describe('verdicts', () => {
  it('works out the week in the worker, the same when asked again', async () => {
    const first = (await api().get(`/api/verdicts/windows/${vehicle.id}`).expect(200)).body as WindowsView;
    const band = first.bands.find(({ methodId }) => methodId === 'garage-rinseless');
    expect(band?.cells).toHaveLength(168);
    expect(band?.cells.find(({ startMs }) => startMs === TEN)?.verdict).toBe('go');
    const again = (await api().get(`/api/verdicts/windows/${vehicle.id}`).expect(200)).body as WindowsView;
    expect(again).toEqual(first);
  }, 60_000);

  it('follows a changed place', async () => {
    await api()
      .patch(`/api/places/${place.id}`)
      .send({ openHours: PLACE.openHours.map(() => null) })
      .expect(200);
    const { bands } = (await api().get(`/api/verdicts/windows/${vehicle.id}`)).body as WindowsView;
    expect(
      bands
        .find(({ methodId }) => methodId === 'garage-rinseless')
        ?.cells.every(({ verdict }) => verdict === 'no'),
    ).toBe(true);
    await api().patch(`/api/places/${place.id}`).send({ openHours: PLACE.openHours }).expect(200);
  }, 60_000);

  it('gives every rule its say for one start', async () => {
    const query = { vehicleId: vehicle.id, placeId: place.id, methodId: 'garage-rinseless', startMs: TEN };
    const { body } = await api().get('/api/verdicts/cell').query(query).expect(200);
    expect((body as CellAnswer).judgement).toMatchObject({ standing: 'go' });
    expect((body as CellAnswer).water?.ice.minutes).toBeNull();
  });

  it('refuses a start beyond the forecast and an unknown place', async () => {
    const query = {
      vehicleId: vehicle.id,
      placeId: place.id,
      methodId: 'garage-rinseless',
      startMs: NOW + 400 * MS_PER_HOUR,
    };
    expect(faultOf((await api().get('/api/verdicts/cell').query(query).expect(400)).body).field).toBe(
      'startMs',
    );
    expect(
      faultOf(
        (
          await api()
            .get('/api/verdicts/cell')
            .query({ ...query, placeId: 'nowhere' })
            .expect(404)
        ).body,
      ).field,
    ).toBe('place');
  });

  it('answers the morning for every vehicle', async () => {
    const view = (await api().get('/api/plan/morning').expect(200)).body as MorningView;
    expect(view.answers.map(({ vehicleId }) => vehicleId)).toContain(vehicle.id);
    expect(view.memberCount).toBe(20);
  }, 60_000);

  it('moves with a limit that is moved', async () => {
    const cell = { vehicleId: vehicle.id, placeId: place.id, methodId: 'garage-rinseless', startMs: TEN };
    const spotsOf = (detail: CellAnswer) =>
      detail.judgement.findings.find(({ ruleId }) => ruleId === 'spots');
    const before = spotsOf((await api().get('/api/verdicts/cell').query(cell)).body as CellAnswer);
    await api()
      .patch('/api/settings')
      .send({ limits: { spotsShowScale: 2 } })
      .expect(200);
    const after = spotsOf((await api().get('/api/verdicts/cell').query(cell)).body as CellAnswer);
    expect(after?.limit).toBeCloseTo((before?.limit ?? NaN) * 2, 6);
    await api()
      .patch('/api/settings')
      .send({ limits: { spotsShowScale: 1 } })
      .expect(200);
  });
});

describe('washes', () => {
  const found = { icePanels: [], spots: 'none', leftovers: '', note: '' };
  const plan = { methodId: 'garage-rinseless', startMs: TEN };

  it('is planned with what the program foresaw, marked done, opened again and taken away', async () => {
    const wash = await create<WashRecord>('washes', { ...plan, vehicleId: vehicle.id, placeId: place.id });
    expect(wash).toMatchObject({
      status: 'planned',
      minutes: 75,
      predicted: { verdict: 'go', forecastIssuedMs: expect.any(Number) },
    });
    const early = await api()
      .post(`/api/washes/${wash.id}/done`)
      .send({ startMs: TEN, minutes: 70, methodId: plan.methodId, found })
      .expect(400);
    expect(faultOf(early.body)).toMatchObject({ field: 'startMs' });
    const done = await api()
      .post(`/api/washes/${wash.id}/done`)
      .send({
        startMs: NOW - MS_PER_HOUR,
        minutes: 70,
        methodId: plan.methodId,
        costMinor: 1400,
        found: { ...found, icePanels: ['roof'], spots: 'few' },
      })
      .expect(200);
    expect(done.body).toMatchObject({
      status: 'done',
      minutes: 70,
      found: { icePanels: ['roof'], spots: 'few' },
    });
    await api()
      .post(`/api/washes/${wash.id}/done`)
      .send({ startMs: NOW - MS_PER_HOUR, minutes: 70, methodId: plan.methodId, found })
      .expect(409);
    expect((await api().post(`/api/washes/${wash.id}/reopen`).expect(200)).body).toMatchObject({
      status: 'planned',
      found: null,
    });
    await api().delete(`/api/washes/${wash.id}`).expect(204);
    await api().post(`/api/washes/${wash.id}/restore`).expect(200);
    await api().delete(`/api/washes/${wash.id}`).expect(204);
  });

  it('refuses two plans for one car at one time, and lets the first be moved away', async () => {
    const slot = { ...plan, vehicleId: vehicle.id, placeId: place.id };
    const first = await create<WashRecord>('washes', slot);
    const clash = await api()
      .post('/api/washes')
      .send({ ...slot, startMs: TEN + MS_PER_HOUR })
      .expect(409);
    expect(faultOf(clash.body)).toMatchObject({ code: 'conflict', field: 'startMs' });
    await api()
      .patch(`/api/washes/${first.id}`)
      .send({ startMs: TEN + 3 * MS_PER_HOUR })
      .expect(200);
    const second = await create<WashRecord>('washes', { ...slot, startMs: TEN + MS_PER_HOUR });
    for (const { id } of [first, second]) await api().delete(`/api/washes/${id}`).expect(204);
  });

  it.each([
    { why: 'a plan in the past', change: { startMs: NOW - 5 * MS_PER_HOUR }, status: 400, field: 'startMs' },
    {
      why: 'a method that the place does not offer',
      change: { methodId: 'drive-hose' },
      status: 400,
      field: 'methodId',
    },
    { why: 'an unknown vehicle', change: { vehicleId: 'nobody' }, status: 404, field: 'vehicle' },
    { why: 'a time that is no number', change: { startMs: 'noon' }, status: 400, field: 'startMs' },
  ])('refuses $why', async ({ change, status, field }) => {
    const { body } = await api()
      .post('/api/washes')
      .send({ ...plan, vehicleId: vehicle.id, placeId: place.id, ...change })
      .expect(status);
    expect(faultOf(body).field).toBe(field);
  });
});

describe('settings', () => {
  it.each([
    { why: 'a limit out of range', change: { limits: { coldHandsC: 99 } }, field: 'limits.coldHandsC' },
    { why: 'an unknown limit', change: { limits: { gravity: 9.8 } }, field: 'limits.gravity' },
    {
      why: 'a price that is no number',
      change: { prices: { hourMinor: 'much' } },
      field: 'prices.hourMinor',
    },
    { why: 'an unknown unit', change: { display: { temperature: 'K' } }, field: 'display.temperature' },
  ])('refuses $why by name and keeps what was', async ({ change, field }) => {
    const before: unknown = (await api().get('/api/settings')).body;
    expect(faultOf((await api().patch('/api/settings').send(change).expect(400)).body).field).toBe(field);
    expect((await api().get('/api/settings')).body).toEqual(before);
  });

  it('keeps what is set', async () => {
    await api()
      .patch('/api/settings')
      .send({ display: { temperature: 'F' }, prices: { hourMinor: 2400 } })
      .expect(200);
    expect((await api().get('/api/settings')).body).toMatchObject({
      display: { temperature: 'F', wind: 'kmh' },
      prices: { hourMinor: 2400, wearMinor: 500 },
    });
  });
});

describe('calculators over HTTP', () => {
  it('answers, and refuses in the same body as the command line', async () => {
    expect(
      (await api().post('/api/calc/hardness').send({ value: 1, unit: 'dH' }).expect(200)).body,
    ).toMatchObject({ mgPerLitreCaCO3: 17.848 });
    expect((await api().post('/api/calc/hardness').send({ value: -1, unit: 'dH' }).expect(400)).body).toEqual(
      { error: { code: 'out-of-range', field: 'value', message: expect.any(String) } },
    );
    expect(faultOf((await api().post('/api/calc/alchemy').send({}).expect(404)).body)).toMatchObject({
      field: 'calculator',
    });
  });

  it('lists names with schemas', async () => {
    const { body } = await api().get('/api/calc').expect(200);
    expect(body).toEqual(
      expect.arrayContaining([
        expect.objectContaining({ name: 'film', input: expect.objectContaining({ type: 'object' }) }),
      ]),
    );
  });

  it('answers broken JSON in the one error shape', async () => {
    const { body } = await api()
      .post('/api/calc/hardness')
      .set('content-type', 'application/json')
      .send('{"value":')
      .expect(400);
    expect(faultOf(body)).toMatchObject({ code: 'bad-request' });
  });
});

describe('the demo clock', () => {
  it('moves, and the forecast with it', async () => {
    const later = NOW + 30 * MS_PER_HOUR;
    await api().put('/api/clock').send({ nowMs: later }).expect(200);
    const { issuedMs, ahead } = (await api().get('/api/weather').expect(200)).body as {
      issuedMs: number;
      ahead: { atMs: number }[];
    };
    expect(issuedMs).toBeGreaterThan(NOW);
    expect(ahead[0]?.atMs).toBe(Math.floor(later / MS_PER_HOUR) * MS_PER_HOUR);
    await api().put('/api/clock').send({ nowMs: 12 }).expect(400);
    await api().put('/api/clock').send({ nowMs: NOW }).expect(200);
  });
});
