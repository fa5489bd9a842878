import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import {
  type Customer,
  type PlaceRecord,
  type VehicleRecord,
  type WashRecord,
  MS_PER_DAY,
  type MessageRecord,
} from '@keen/core';
import {
  faultOf,
  PLACE,
  startTestApp,
  TEST_CLOCK,
  type TestApp,
  testCalls,
  VEHICLE,
} from '../testing/test-app.js';

const NOW = Date.parse(TEST_CLOCK);

let test: TestApp;
let wash: WashRecord;
let own: WashRecord;
let customer: Customer;
const { api, get, make } = testCalls(() => test);

beforeAll(async () => {
  test = await startTestApp();
  const place = await make<PlaceRecord>('places', PLACE);
  customer = await make<Customer>('customers', { name: 'Alma Reed' });
  const theirs = await make<VehicleRecord>('vehicles', { ...VEHICLE, customerId: customer.id });
  const ours = await make<VehicleRecord>('vehicles', VEHICLE);
  const plain = { placeId: place.id, methodId: 'garage-rinseless' };
  wash = await make('washes', {
    ...plain,
    vehicleId: theirs.id,
    startMs: NOW + 2 * MS_PER_DAY + 4 * 3_600_000,
  });
  own = await make('washes', { ...plain, vehicleId: ours.id, startMs: NOW + 3 * MS_PER_DAY + 4 * 3_600_000 });
}, 60_000);

afterAll(() => test.close());

describe('the outbox', () => {
  it('keeps a message with what it told: the start and the place, and for freeze care neither', async () => {
    const booked = await make<MessageRecord>('messages', {
      washId: wash.id,
      kind: 'booked',
      body: 'Booked.',
    });
    expect(booked).toMatchObject({
      customerId: customer.id,
      vehicleId: wash.vehicleId,
      kind: 'booked',
      body: 'Booked.',
      toldStartMs: wash.startMs,
      toldPlaceId: wash.placeId,
      exportedMs: null,
    });
    const care = await make<MessageRecord>('messages', {
      washId: wash.id,
      kind: 'freeze-care',
      body: 'Cold.',
    });
    expect(care).toMatchObject({ toldStartMs: null, toldPlaceId: null });
    expect((await get<MessageRecord[]>('messages')).map(({ id }) => id).sort()).toEqual(
      [booked.id, care.id].sort(),
    );
  });

  it('gives each message out once', async () => {
    const taken = (await api().post('/api/messages/take').expect(200)).body as MessageRecord[];
    expect(taken.map(({ kind }) => kind).sort()).toEqual(['booked', 'freeze-care']);
    expect((await api().post('/api/messages/take').expect(200)).body).toEqual([]);
  });

  it('drops a message and takes that back', async () => {
    const [first] = await get<MessageRecord[]>('messages');
    await api().delete(`/api/messages/${first?.id}`).expect(204);
    expect(await get<MessageRecord[]>('messages')).toHaveLength(1);
    await api().post(`/api/messages/${first?.id}/restore`).expect(204);
    expect(await get<MessageRecord[]>('messages')).toHaveLength(2);
    await api().delete('/api/messages/none').expect(404);
    await api().post('/api/messages/none/restore').expect(404);
  });

  it.each([
    { why: 'a wash that is none', status: 404, field: 'wash', change: { washId: 'none' } },
    { why: 'a kind that is none', status: 400, field: 'kind', change: { kind: 'shouted' } },
    { why: 'no words', status: 400, field: 'body', change: { body: '' } },
    { why: 'too many words', status: 400, field: 'body', change: { body: 'x'.repeat(4001) } },
  ])('refuses $why', async ({ status, field, change }) => {
    const { body } = await api()
      .post('/api/messages')
      .send({ washId: wash.id, kind: 'booked', body: 'x', ...change })
      .expect(status);
    expect(faultOf(body).field).toBe(field);
  });

  it('has nobody to write to about a car of nobody in the book', async () => {
    const { body } = await api()
      .post('/api/messages')
      .send({ washId: own.id, kind: 'booked', body: 'x' })
      .expect(409);
    expect(faultOf(body).field).toBe('washId');
  });
});
