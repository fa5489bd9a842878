import { describe, expect, it } from '@jest/globals';
import { MS_PER_DAY } from '@keen/core';
import { loadOn, NOW, saltedCar } from '../testing/salted-car.js';
import { faultOf } from '../testing/test-app.js';

const { api, make, salt } = saltedCar();

describe('bulletins', () => {
  const good = { atMs: NOW - 5 * MS_PER_DAY, roadClass: 'main', agent: 'CaCl2', gramsPerM2: 22 };
  const list = async (): Promise<{ id: string; source: string; atMs: number; agent: string }[]> =>
    ((await api().get('/api/roads/bulletins').expect(200)).body as { treatments: never[] }).treatments;

  it('come from the authority up to now, the same when asked again', async () => {
    const first = await list();
    expect(first.length).toBeGreaterThan(50);
    expect(first.every(({ source, atMs }) => source === 'simulated road authority' && atMs < NOW)).toBe(true);
    expect(await list()).toEqual(first);
  });

  it('differ from the estimate: rounds are missed, late, and in the deep cold calcium', async () => {
    expect((await list()).some(({ agent }) => agent === 'MgCl2')).toBe(true);
  });

  it('are kept when somebody enters one, and change every ledger from then on', async () => {
    const before = await salt();
    const kept = await make<{ id: string; isLate: boolean }>('roads/bulletins', good);
    expect(kept.isLate).toBe(true);
    const after = await salt();
    expect(loadOn(after, 'underbody')).toBeGreaterThan(loadOn(before, 'underbody'));
    const { body } = await api().post('/api/roads/bulletins').send(good).expect(409);
    expect(faultOf(body)).toMatchObject({ code: 'conflict', field: 'atMs' });
    await api().delete(`/api/roads/bulletins/${kept.id}`).expect(204);
    expect(loadOn(await salt(), 'underbody')).toBeCloseTo(loadOn(before, 'underbody'), 9);
    await api().post(`/api/roads/bulletins/${kept.id}/restore`).expect(204);
    await api().delete(`/api/roads/bulletins/${kept.id}`).expect(204);
  }, 60_000);

  it.each([
    { change: { agent: 'sugar' }, field: 'agent', why: 'an unknown salt' },
    { change: { roadClass: 'canal' }, field: 'roadClass', why: 'an unknown road' },
    { change: { gramsPerM2: -3 }, field: 'gramsPerM2', why: 'less than nothing' },
    { change: { gramsPerM2: 900 }, field: 'gramsPerM2', why: 'a slip of the unit' },
    { change: { atMs: NOW - 400 * MS_PER_DAY }, field: 'atMs', why: 'long past' },
    { change: { atMs: NOW + 30 * MS_PER_DAY }, field: 'atMs', why: 'too far ahead' },
  ])('are refused for $why by field', async ({ change, field }) => {
    const { body } = await api()
      .post('/api/roads/bulletins')
      .send({ ...good, ...change })
      .expect(400);
    expect(faultOf(body).field).toBe(field);
  });

  it('are read from a table line by line, all or nothing as one chooses', async () => {
    const text = [
      'at,roadClass,agent,gramsPerM2',
      '2026-01-09T04:30:00-05:00,town,CaCl2,9',
      '2026-01-09T05:00:00-05:00,town,sand,9',
      '2026-01-09T06:00:00-05:00,bridge,CaCl2,11',
    ].join('\n');
    const count = (await list()).length;
    const send = async (mode: string): Promise<unknown> =>
      (await api().post('/api/roads/bulletins/import').send({ text, mode }).expect(200)).body;
    const fault = { line: 3, field: 'agent' };
    expect(await send('look')).toMatchObject({ kept: false, faults: [fault] });
    expect(await send('all-or-nothing')).toMatchObject({ kept: false, faults: [fault] });
    expect(await list()).toHaveLength(count);
    expect(await send('good-lines')).toMatchObject({ kept: true, faults: [fault] });
    expect(await list()).toHaveLength(count + 2);
    // A second time both are there already.
    expect(await send('good-lines')).toMatchObject({ kept: false, good: [] });
  });
});
