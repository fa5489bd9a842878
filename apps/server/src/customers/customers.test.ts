import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import {
  type Customer,
  type PlaceRecord,
  type VehicleRecord,
  type WashRecord,
  MS_PER_DAY,
  type BookingRecord,
  type MessageRecord,
  type PlanView,
  type UnsentMessage,
} from '@keen/core';
import request from 'supertest';
import { doneWash, PLACE, startTestApp, TEST_CLOCK, type TestApp, VEHICLE } from '../testing/test-app.js';

const NOW = Date.parse(TEST_CLOCK);

let server: TestApp;
let car: VehicleRecord;
let unit: PlaceRecord;
let customer: Customer;
const api = () => request(server.app.getHttpServer());
const get = async <T>(path: string): Promise<T> => (await api().get(`/api/${path}`).expect(200)).body as T;
const post = async <T>(path: string, body: object, status = 201): Promise<T> =>
  (await api().post(`/api/${path}`).send(body).expect(status)).body as T;
const fieldOf = async (path: string, body: object, status = 400): Promise<string> =>
  (await post<{ error: { field: string } }>(path, body, status)).error.field;

beforeAll(async () => {
  server = await startTestApp();
  await api().patch('/api/settings').send({ timeZone: 'America/Toronto' }).expect(200);
  unit = await post<PlaceRecord>('places', PLACE);
  car = await post<VehicleRecord>('vehicles', { ...VEHICLE, seasonJobs: ['top-up'] });
  await post('washes/done', doneWash(car.id, unit.id, NOW - 5 * MS_PER_DAY));
});
afterAll(() => server.close());

describe('a customer', () => {
  it('is kept with cars, consent and its day', async () => {
    customer = await post<Customer>('customers', {
      name: 'Orla Venn',
      contact: 'text',
      photoConsent: 'own-records',
      vehicleIds: [car.id],
    });
    expect(customer).toMatchObject({ photoConsent: 'own-records', availability: null });
    expect(customer.consentMs).toBeGreaterThanOrEqual(NOW);
    expect((await get<VehicleRecord>(`vehicles/${car.id}`)).customerId).toBe(customer.id);
  });

  it('keeps the day of the consent until it changes', async () => {
    const path = `/api/customers/${customer.id}`;
    const renamed = await api().patch(path).send({ name: 'Orla Venn-Roe' }).expect(200);
    expect(renamed.body).toMatchObject({
      name: 'Orla Venn-Roe',
      photoConsent: 'own-records',
      consentMs: customer.consentMs,
    });
  });

  it('is taken away and brought back', async () => {
    await api().delete(`/api/customers/${customer.id}`).expect(204);
    expect(await get('customers')).toEqual([]);
    await api().post(`/api/customers/${customer.id}/restore`).expect(200);
    expect(await get<Customer[]>('customers')).toHaveLength(1);
  });

  const day = { openMinute: 480, closeMinute: 1020 };
  it.each([
    { body: { name: '' }, field: 'name' },
    { body: { name: 'x', photoConsent: 'maybe' }, field: 'photoConsent' },
    { body: { name: 'x', vehicleIds: ['nobody'] }, field: 'vehicleIds.0' },
    { body: { name: 'x', availability: [day] }, field: 'availability' },
    {
      body: {
        name: 'x',
        availability: [{ openMinute: 900, closeMinute: 900 }, ...Array<null>(6).fill(null)],
      },
      field: 'availability.0.closeMinute',
    },
  ])('is refused as $body', async ({ body, field }) => {
    expect(await fieldOf('customers', body)).toBe(field);
  });

  it('may not be given to a car that way if there is none', async () => {
    const answer = await api().patch(`/api/vehicles/${car.id}`).send({ customerId: 'nobody' }).expect(400);
    expect(answer.body.error.field).toBe('customerId');
  });
});

describe('a promise', () => {
  let booking: BookingRecord;
  const wish = { from: '2026-01-16T08:00', readyBy: '2026-01-16T16:00' };

  it('is planned and kept, on the shop’s clock', async () => {
    booking = await post<BookingRecord>('bookings', { ...wish, vehicleId: car.id });
    expect(booking.readyByMs).toBe(Date.parse('2026-01-16T16:00:00-05:00'));
    const { choices } = await get<PlanView>('plan');
    const kept = choices.find(({ period }) => period.bookingId === booking.id);
    expect(kept?.window.startMs).toBeGreaterThanOrEqual(booking.fromMs);
    expect(kept?.window.endMs).toBeLessThanOrEqual(booking.readyByMs);
  });

  it('is refused in the hour that the clock skips, naming it', async () => {
    const skipped = { vehicleId: car.id, from: '2026-03-08T02:30', readyBy: '2026-03-08T16:00' };
    expect(await fieldOf('bookings', skipped)).toBe('from');
    const answer = await api().post('/api/bookings').send(skipped).expect(400);
    expect(answer.body.error.message).toContain('skipped by the clock change');
  });

  it.each([
    { why: 'no such car', change: { vehicleId: 'nobody' }, status: 404, field: 'vehicle' },
    { why: 'no time', change: { readyBy: 'soon' }, status: 400, field: 'readyBy' },
    { why: 'no such day', change: { from: '2026-02-30T10:00' }, status: 400, field: 'from' },
    {
      why: 'over',
      change: { from: '2026-01-12T08:00', readyBy: '2026-01-13T08:00' },
      status: 400,
      field: 'readyBy',
    },
    {
      why: 'ready before it is had',
      change: { from: '2026-01-19T12:00', readyBy: '2026-01-19T09:00' },
      status: 400,
      field: 'readyBy',
    },
    { why: 'promised twice', change: {}, status: 409, field: 'from' },
  ])('is refused: $why', async ({ change, status, field }) => {
    expect(await fieldOf('bookings', { vehicleId: car.id, ...wish, ...change }, status)).toBe(field);
  });

  it('is changed, taken away and brought back', async () => {
    const path = `/api/bookings/${booking.id}`;
    const later = await api()
      .patch(path)
      .send({ readyBy: '2026-01-16T17:00', agreedMinor: 6500 })
      .expect(200);
    expect(later.body).toMatchObject({ fromMs: booking.fromMs, agreedMinor: 6500 });
    await api().delete(path).expect(204);
    expect(await get('bookings')).toEqual([]);
    await api().post(`${path}/restore`).expect(200);
    expect(await get<BookingRecord[]>('bookings')).toHaveLength(1);
    await api().delete(path).expect(204);
  });

  it('is not brought back beside another that was made meanwhile', async () => {
    const first = await post<BookingRecord>('bookings', { ...wish, vehicleId: car.id });
    await api().delete(`/api/bookings/${first.id}`).expect(204);
    const second = await post<BookingRecord>('bookings', { ...wish, vehicleId: car.id });
    expect(await fieldOf(`bookings/${first.id}/restore`, {}, 409)).toBe('from');
    expect(await get<BookingRecord[]>('bookings')).toMatchObject([{ id: second.id }]);
    await api().delete(`/api/bookings/${second.id}`).expect(204);
  });

  it('is not planned while its car cannot be had', async () => {
    await api()
      .patch(`/api/customers/${customer.id}`)
      .send({ availability: [null, null, null, null, null, { openMinute: 600, closeMinute: 900 }, null] })
      .expect(200);
    const made = await post<BookingRecord>('bookings', { ...wish, vehicleId: car.id });
    const { unplanned } = await get<PlanView>('plan');
    expect(unplanned.find(({ period }) => period.bookingId === made.id)?.reason).toEqual({
      kind: 'car-away',
    });
    await api().delete(`/api/bookings/${made.id}`).expect(204);
    await api().patch(`/api/customers/${customer.id}`).send({ availability: null }).expect(200);
  });
});

describe('the price list', () => {
  it('gives a quote with what is left of it', async () => {
    const query = `bookings/quote?vehicleId=${car.id}&placeId=${unit.id}&methodId=garage-rinseless&extras=top-up`;
    expect(await get(query)).toMatchObject({ totalMinor: null, leftMinor: null });
    const priceList = { methods: { 'garage-rinseless': { saloon: 5200 } }, extras: { 'top-up': 2200 } };
    await api().patch('/api/settings').send({ priceList }).expect(200);
    const made = await get<{ totalMinor: number; leftMinor: number; costMinor: number }>(query);
    expect(made.totalMinor).toBe(7400);
    expect(made.leftMinor).toBeCloseTo(made.totalMinor - made.costMinor, 9);
  });

  it.each([
    { priceList: { methods: { 'magic-wash': {} } }, field: 'priceList.methods.magic-wash' },
    { priceList: { methods: { 'bay-contact': { boat: 3 } } }, field: 'priceList.methods.bay-contact.boat' },
    { priceList: { methods: { 'bay-contact': { van: -3 } } }, field: 'priceList.methods.bay-contact.van' },
    { priceList: { extras: { polish: 1.5 } }, field: 'priceList.extras.polish' },
  ])('is refused as $priceList', async ({ priceList, field }) => {
    const answer = await api().patch('/api/settings').send({ priceList }).expect(400);
    expect(answer.body.error.field).toBe(field);
  });

  it.each([
    { why: 'work that is none', query: 'methodId=garage-rinseless&extras=magic', field: 'extras' },
    { why: 'a method that the place has not', query: 'methodId=bay-contact', field: 'methodId' },
  ])('gives no quote for $why', async ({ query, field }) => {
    const answer = await api()
      .get(`/api/bookings/quote?vehicleId=${car.id}&placeId=${unit.id}&${query}`)
      .expect(400);
    expect(answer.body.error.field).toBe(field);
  });
});

describe('work of the season, targets and product', () => {
  it('goes with the plan’s wash, is kept with it, and is done with it', async () => {
    const { choices } = await get<PlanView>('plan');
    const choice = choices.find(({ vehicleId }) => vehicleId === car.id);
    expect(choice?.window.extras.jobIds).toEqual(['top-up']);
    const plain = {
      vehicleId: car.id,
      placeId: unit.id,
      methodId: 'garage-rinseless',
      startMs: NOW + 6 * 3_600_000,
    };
    const wash = await post<WashRecord>('washes', { ...plain, extras: ['top-up'] });
    expect(wash).toMatchObject({ extras: ['top-up'] });
    const without = await api().patch(`/api/washes/${wash.id}`).send({ extras: [] }).expect(200);
    expect(wash.minutes - without.body.minutes).toBe(20);
    await api().delete(`/api/washes/${wash.id}`).expect(204);
    const season = async () =>
      (await get<{ season: { jobId: string; state: string }[] }>(`verdicts/condition/${car.id}`)).season;
    expect(await season()).toMatchObject([{ jobId: 'top-up', state: 'due' }]);
    const done = { ...doneWash(car.id, unit.id, NOW - 2 * MS_PER_DAY), extras: ['top-up'] };
    const logged = await post<WashRecord>('washes/done', done);
    expect(await season()).toMatchObject([{ jobId: 'top-up', state: 'done' }]);
    await api().delete(`/api/washes/${logged.id}`).expect(204);
  });

  it('is wanted by salt days or active hours where the owner says so', async () => {
    const set = (target: object, status = 200) =>
      api().patch(`/api/vehicles/${car.id}`).send({ target }).expect(status);
    const state = async () => (await get<{ target: object }>(`verdicts/condition/${car.id}`)).target;
    await set({ kind: 'salt-days', most: 3 });
    expect(await state()).toMatchObject({ kind: 'salt-days', most: 3, used: expect.any(Number) });
    await set({ kind: 'active-hours', most: 30 });
    expect(await state()).toMatchObject({ kind: 'active-hours', most: 30 });
    const refused = await set({ kind: 'salt-days' }, 400);
    expect(refused.body.error.field).toBe('target.most');
    await set({ kind: 'days' });
  });

  it('is not planned beyond the product that is left, and a wash that is done uses it', async () => {
    const stock = { 'garage-rinseless': 1 };
    await api().patch('/api/settings').send({ stock }).expect(200);
    const logged = await post<WashRecord>('washes/done', doneWash(car.id, unit.id, NOW - 9 * MS_PER_DAY));
    expect((await get<{ stock: object }>('settings')).stock).toEqual({ 'garage-rinseless': 0 });
    const { choices } = await get<PlanView>('plan');
    expect(choices).toEqual([]);
    await api().delete(`/api/washes/${logged.id}`).expect(204);
    await api().patch('/api/settings').send({ stock: {} }).expect(200);
  });
});

describe('what customers know', () => {
  const unsent = () => get<UnsentMessage[]>('messages/unsent');
  const put = (washId: string, kind: string) =>
    post<MessageRecord>('messages', { washId, kind, body: `${kind}: made up` });
  let wash: WashRecord;

  it('is reported once: booked, then moved, then called off', async () => {
    const plain = { vehicleId: car.id, placeId: unit.id, methodId: 'garage-rinseless' };
    wash = await post<WashRecord>('washes', { ...plain, startMs: NOW + 3 * MS_PER_DAY + 8 * 3_600_000 });
    expect(await unsent()).toMatchObject([{ kind: 'booked', customerId: customer.id, lastSaid: null }]);
    await put(wash.id, 'booked');
    expect(await unsent()).toEqual([]);

    const startMs = wash.startMs + 2 * 3_600_000;
    await api().patch(`/api/washes/${wash.id}`).send({ startMs }).expect(200);
    expect(await unsent()).toMatchObject([{ kind: 'moved', lastSaid: { startMs: wash.startMs } }]);
    await put(wash.id, 'moved');
    expect(await unsent()).toEqual([]);

    await api().delete(`/api/washes/${wash.id}`).expect(204);
    expect(await unsent()).toMatchObject([{ kind: 'called-off', lastSaid: { startMs } }]);
    await put(wash.id, 'called-off');
    expect(await unsent()).toEqual([]);
  });

  it('has tonight’s freeze care for a car that is washed today and stands in the frost', async () => {
    const plain = { vehicleId: car.id, placeId: unit.id, methodId: 'garage-rinseless' };
    const today = await post<WashRecord>('washes', { ...plain, startMs: NOW + 4 * 3_600_000 });
    const care = (await unsent()).find(({ kind }) => kind === 'freeze-care');
    expect(care?.overnightC).toBeLessThan(0);
    await put(today.id, 'freeze-care');
    expect((await unsent()).map(({ kind }) => kind)).toEqual(['booked']);
    await api().delete(`/api/washes/${today.id}`).expect(204);
  });

  it('waits in the outbox until somebody takes it out', async () => {
    const waiting = await post<MessageRecord[]>('messages/take', {}, 200);
    expect(waiting.map(({ kind }) => kind).sort()).toEqual(['booked', 'called-off', 'freeze-care', 'moved']);
    expect(await post<MessageRecord[]>('messages/take', {}, 200)).toEqual([]);
    const all = await get<MessageRecord[]>('messages');
    expect(all.every(({ exportedMs }) => exportedMs !== null && exportedMs >= NOW)).toBe(true);
    await api().delete(`/api/messages/${all[0]?.id}`).expect(204);
    expect(await get<MessageRecord[]>('messages')).toHaveLength(3);
    await api().post(`/api/messages/${all[0]?.id}/restore`).expect(204);
  });

  it('says nothing of cars that are nobody’s', async () => {
    await api().patch(`/api/vehicles/${car.id}`).send({ customerId: null }).expect(200);
    const plain = { vehicleId: car.id, placeId: unit.id, methodId: 'garage-rinseless' };
    const own = await post<WashRecord>('washes', { ...plain, startMs: NOW + 4 * 3_600_000 });
    expect(await unsent()).toEqual([]);
    expect(await fieldOf('messages', { washId: own.id, kind: 'booked', body: 'x' }, 409)).toBe('washId');
  });

  it('keeps the shop’s own words, and goes back to what ships', async () => {
    const set = (templates: object, status = 200) =>
      api().patch('/api/settings').send({ templates }).expect(status);
    expect((await set({ booked: 'Hello {customer}' })).body.templates).toEqual({
      booked: 'Hello {customer}',
    });
    expect((await set({ booked: ' ' })).body.templates).toEqual({});
    expect((await set({ shout: 'x' }, 400)).body.error.field).toBe('templates.shout');
  });
});
