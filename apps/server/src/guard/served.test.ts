import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { CalendarView } from '@keen/core';
import request from 'supertest';
import { faultOf, startTestApp, type TestApp } from '../testing/test-app.js';

let test: TestApp;
const api = () => request(test.app.getHttpServer());
beforeAll(async () => {
  test = await startTestApp();
}, 60_000);
afterAll(() => test.close());

const ASSETS = join(import.meta.dirname, '../../../web/dist/assets');
const script = existsSync(ASSETS) ? readdirSync(ASSETS).find((name) => name.endsWith('.js')) : undefined;

describe('what is served', () => {
  it('is compressed for clients that accept it, and plain for others', async () => {
    const packed = await api().get('/api/docs-json').set('accept-encoding', 'gzip').expect(200);
    expect(packed.headers['content-encoding']).toBe('gzip');
    const plain = await api().get('/api/docs-json').set('accept-encoding', 'identity').expect(200);
    expect(plain.headers['content-encoding']).toBeUndefined();
    expect(plain.body).toEqual(packed.body);
  });

  it('is kept for good where its name holds its hash, and is missing where it is', async () => {
    expect(script).toBeDefined();
    const { headers } = await api().get(`/assets/${script}`).expect(200);
    expect(headers['cache-control']).toBe('public, max-age=31536000, immutable');
    await api().get('/assets/none-of-ours.js').expect(404);
    const page = await api().get('/').set('accept', 'text/html').expect(200);
    expect(page.headers['cache-control']).not.toContain('immutable');
  });

  it('has a secret that nobody guesses by trying, and whose owner is not kept out', async () => {
    const { body } = await api().post('/api/calendar/feeds').send({ name: 'Partner' }).expect(201);
    const own = (body as CalendarView).feeds[0]?.path ?? '';
    for (let i = 0; i < 25; i += 1) await api().get(own).expect(200);
    for (let i = 0; i < 20; i += 1) await api().get(`/api/calendar/guess-${i}/washes.ics`).expect(404);
    const refused = await api().get('/api/calendar/guess-more/washes.ics').expect(429);
    expect(faultOf(refused.body)).toMatchObject({ code: 'too-many-guesses', field: 'secret' });
  });
});
