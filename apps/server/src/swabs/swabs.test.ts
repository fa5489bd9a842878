import { describe, expect, it } from '@jest/globals';
import { MS_PER_DAY } from '@keen/core';
import { loadOn, NOW, saltedCar } from '../testing/salted-car.js';
import { faultOf } from '../testing/test-app.js';

const { api, make, pathOf, salt } = saltedCar();

describe('swabs', () => {
  const path = (): string => pathOf('swabs');
  const reading = {
    atMs: NOW - MS_PER_DAY,
    zone: 'rear',
    deltaMicroSiemensPerCm: 900,
    volumeMl: 15,
    areaMm2: 1250,
  };

  it('correct the load and the vehicle’s pick-up, and can be taken back', async () => {
    const before = await salt();
    const kept = await make<{ id: string; gramsPerM2: number }>(path(), reading);
    expect(kept.gramsPerM2).toBeCloseTo(5.4, 9);
    const after = await salt();
    expect(after.pickUp).toMatchObject({ count: 1 });
    expect(after.pickUp.factor).toBeGreaterThan(1);
    expect(loadOn(after, 'rear')).toBeGreaterThan(loadOn(before, 'rear'));
    await api().delete(`/api/${path()}/${kept.id}`).expect(204);
    expect((await salt()).pickUp).toMatchObject({ count: 0, factor: 1 });
  }, 60_000);

  it('taken this minute count at once', async () => {
    const kept = await make<{ id: string; gramsPerM2: number }>(path(), { ...reading, atMs: NOW });
    const after = await salt();
    expect(loadOn(after, 'rear')).toBeCloseTo(kept.gramsPerM2, 6);
    expect(after.pickUp.count).toBe(1);
    await api().delete(`/api/${path()}/${kept.id}`).expect(204);
  }, 60_000);

  it.each([
    { change: { deltaMicroSiemensPerCm: -1 }, field: 'deltaMicroSiemensPerCm' },
    { change: { areaMm2: 0 }, field: 'areaMm2' },
    { change: { zone: 'ashtray' }, field: 'zone' },
    { change: { atMs: NOW + MS_PER_DAY }, field: 'atMs' },
  ])('are refused by $field', async ({ change, field }) => {
    const { body } = await api()
      .post(`/api/${path()}`)
      .send({ ...reading, ...change })
      .expect(400);
    expect(faultOf(body).field).toBe(field);
  });
});
