import { describe, expect, it } from '@jest/globals';
import type { SpotRecord } from '@keen/core';
import { saltedCar } from '../testing/salted-car.js';
import { faultOf } from '../testing/test-app.js';

const { api, make, pathOf } = saltedCar();

/** A picture of one point. */
const PIXEL = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);

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
    expect(await list()).toEqual([{ ...body, photoIds: [] }]);
    await api().delete(`${path()}/${kept.id}`).expect(204);
    expect(await list()).toEqual([]);
    await api().patch(`${path()}/${kept.id}`).send({ note: 'gone' }).expect(404);
    await api().post(`${path()}/${kept.id}/restore`).expect(204);
    expect(await list()).toEqual([{ ...body, photoIds: [] }]);
    await api().delete(`${path()}/${kept.id}`).expect(204);
  });

  it('carry photographs, which are deleted and restored like the rest', async () => {
    const kept = await make<SpotRecord>(pathOf('spots'), ROOF);
    const photo = (id: string): string => `${path()}/${kept.id}/photos/${id}`;
    const send = (id: string, bytes: Buffer) =>
      api().put(photo(id)).set('content-type', 'image/png').send(bytes);
    await send('p1', PIXEL).expect(204);
    await send('p1', PIXEL).expect(204);
    const photoIds = async () => (await list()).find(({ id }) => id === kept.id)?.photoIds;
    expect(await photoIds()).toEqual(['p1']);
    const { body, headers } = await api().get(photo('p1')).buffer(true).expect(200);
    expect(headers['content-type']).toBe('image/jpeg');
    expect(Buffer.from(body as Uint8Array).subarray(0, 2)).toEqual(Buffer.from([0xff, 0xd8]));
    await api().delete(photo('p1')).expect(204);
    expect(await photoIds()).toEqual([]);
    await api().get(photo('p1')).expect(404);
    await api()
      .post(`${photo('p1')}/restore`)
      .expect(204);
    expect(await photoIds()).toEqual(['p1']);
    // What is no picture is refused, and so is a picture of spots that there are not, or under another's id.
    const refused = await send('p2', Buffer.from('not a picture')).expect(400);
    expect(faultOf(refused.body).field).toBe('photo');
    const other = await make<SpotRecord>(pathOf('spots'), ROOF);
    await api()
      .put(`${path()}/${other.id}/photos/p1`)
      .set('content-type', 'image/png')
      .send(PIXEL)
      .expect(409);
    await api().put(`${path()}/nothing/photos/p3`).set('content-type', 'image/png').send(PIXEL).expect(404);
    for (const { id } of [kept, other]) await api().delete(`${path()}/${id}`).expect(204);
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
