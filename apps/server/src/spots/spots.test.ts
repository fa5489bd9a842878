import { describe, expect, it } from '@jest/globals';
import type { SpotRecord } from '@keen/core';
import { saltedCar } from '../testing/salted-car.js';
import { faultOf } from '../testing/test-app.js';

const { api, make, pathOf } = saltedCar();

const ROOF = {
  zone: 'roof',
  age: 'bonded',
  material: 'paint',
  cause: 'tap-water',
  done: [{ rung: 'acid-test', reaction: 'no-change' }],
};

describe('spots', () => {
  const path = (): string => `/api/${pathOf('spots')}`;
  const list = async (): Promise<SpotRecord[]> => (await api().get(path()).expect(200)).body as SpotRecord[];

  it('are kept with what was tried, and go on from there', async () => {
    const kept = await make<SpotRecord>(pathOf('spots'), ROOF);
    expect(kept).toMatchObject({ ...ROOF, note: '' });
    const done = [...ROOF.done, { rung: 'neutralise', reaction: 'no-change' }];
    const { body } = await api().patch(`${path()}/${kept.id}`).send({ done }).expect(200);
    expect(body).toEqual({ ...kept, done });
    expect(await list()).toEqual([body]);
    await api().delete(`${path()}/${kept.id}`).expect(204);
    expect(await list()).toEqual([]);
    await api().patch(`${path()}/${kept.id}`).send({ note: 'gone' }).expect(404);
    await api().post(`${path()}/${kept.id}/restore`).expect(204);
    expect(await list()).toEqual([body]);
    await api().delete(`${path()}/${kept.id}`).expect(204);
  });

  it.each([
    { change: { zone: 'ashtray' }, field: 'zone' },
    { change: { material: 'cheese' }, field: 'material' },
    { change: { done: [{ rung: 'polish', reaction: 'gone' }] }, field: 'done.0.rung' },
    { change: { done: [...ROOF.done, { rung: 'acid', reaction: 'gone' }] }, field: 'done.1.rung' },
    { change: { note: 'x'.repeat(1001) }, field: 'note' },
  ])('are refused by $field', async ({ change, field }) => {
    const { body } = await api()
      .post(path())
      .send({ ...ROOF, ...change })
      .expect(400);
    expect(faultOf(body).field).toBe(field);
    expect(await list()).toEqual([]);
  });

  it('are those of a car that there is', async () => {
    await api().get('/api/vehicles/nobody/spots').expect(404);
    await api().post('/api/vehicles/nobody/spots').send(ROOF).expect(404);
  });
});
