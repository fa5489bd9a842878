import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { faultOf, startTestApp, type TestApp, testCalls } from '../testing/test-app.js';
import { refusalOf } from './same-site.js';

const NAMES = ['shop.local'];
const JSON_TYPE = { 'content-type': 'application/json', 'content-length': '2' };
const why = (method: string, headers: Readonly<Record<string, string | undefined>>): string | null =>
  refusalOf({ method, headers: { host: 'localhost:4310', ...headers } }, NAMES)?.error.code ?? null;

describe('by which name the server is asked', () => {
  it.each([
    { host: 'localhost:4310', code: null },
    { host: '127.0.0.1:4310', code: null },
    { host: '192.168.1.20', code: null },
    { host: '[::1]:4310', code: null },
    { host: 'shop.local', code: null },
    { host: 'SHOP.local:4310', code: null },
    { host: 'evil.example', code: 'unknown-host' },
    { host: 'localhost.evil.example', code: 'unknown-host' },
    { host: '', code: 'unknown-host' },
    { host: 'a b', code: 'unknown-host' },
  ])('$host: $code', ({ host, code }) => {
    expect(why('GET', { host })).toBe(code);
  });
});

describe('a change', () => {
  it.each([
    { headers: {}, code: null, who: 'a program' },
    {
      headers: { origin: 'http://localhost:4310', 'sec-fetch-site': 'same-origin' },
      code: null,
      who: 'its own page',
    },
    { headers: { origin: 'https://shop.local' }, code: null, who: 'its own page behind a proxy' },
    {
      headers: { origin: 'http://localhost:9999' },
      code: 'foreign-page',
      who: 'another server on the machine',
    },
    { headers: { origin: 'https://evil.example' }, code: 'foreign-page', who: 'a page elsewhere' },
    { headers: { origin: 'null' }, code: 'foreign-page', who: 'a page without origin' },
    { headers: { 'sec-fetch-site': 'cross-site' }, code: 'foreign-page', who: 'a form elsewhere' },
    { headers: { 'sec-fetch-site': 'same-site' }, code: 'foreign-page', who: 'a neighbour of the same site' },
    { headers: { 'sec-fetch-site': 'none' }, code: null, who: 'a person' },
  ])('by $who: $code', ({ headers, code }) => {
    expect(why('POST', { ...JSON_TYPE, ...headers })).toBe(code);
  });

  it('is taken as JSON or an image, and with nothing in it', () => {
    const typed = (type: string): string | null =>
      why('PUT', { 'content-type': type, 'content-length': '9' });
    expect(['application/json', 'application/json; charset=utf-8', 'image/jpeg'].map(typed)).toEqual([
      null,
      null,
      null,
    ]);
    expect(
      ['text/plain', 'application/x-www-form-urlencoded', 'multipart/form-data', 'application/jsonp'].map(
        typed,
      ),
    ).toEqual(Array.from({ length: 4 }, () => 'wrong-type'));
    expect(why('DELETE', {})).toBeNull();
    expect(why('POST', { 'content-length': '0' })).toBeNull();
    expect(why('POST', { 'content-length': '9' })).toBe('wrong-type');
    expect(why('POST', { 'transfer-encoding': 'chunked' })).toBe('wrong-type');
  });

  it('is not asked of a reading', () => {
    expect(why('GET', { origin: 'https://evil.example', 'sec-fetch-site': 'cross-site' })).toBeNull();
  });
});

describe('the running server', () => {
  let test: TestApp;
  const { api } = testCalls(() => test);
  beforeAll(async () => {
    test = await startTestApp();
  }, 60_000);
  afterAll(() => test.close());

  it('keeps nothing that a page elsewhere sends', async () => {
    const sent = { name: 'Mallory' };
    const { body } = await api()
      .post('/api/customers')
      .set('Origin', 'https://evil.example')
      .send(sent)
      .expect(403);
    expect(faultOf(body)).toMatchObject({ code: 'foreign-page', field: 'Origin' });
    await api().post('/api/customers').type('text/plain').send(JSON.stringify(sent)).expect(415);
    await api().get('/api/customers').set('Host', 'evil.example').expect(403);
    expect((await api().get('/api/customers').expect(200)).body).toEqual([]);
  });

  it('turns away what is nested too deep, and null where no value is none, before anything is changed', async () => {
    const deep = `{"house":${'['.repeat(20_000)}${']'.repeat(20_000)}}`;
    const { body } = await api().patch('/api/settings').type('application/json').send(deep).expect(400);
    expect(faultOf(body).message).toContain('deeper than');
    for (const [path, field] of [
      ['washes/gone', 'isLocked'],
      ['places/gone', 'name'],
      ['vehicles/gone', 'bodyClass'],
      ['kit/products/gone', 'leftMl'],
      ['customers/gone', 'name'],
      ['bookings/gone', 'vehicleId'],
      ['settings', 'display'],
    ] as const) {
      const answer = await api()
        .patch(`/api/${path}`)
        .send({ [field]: null })
        .expect(400);
      expect([path, faultOf(answer.body).field]).toEqual([path, field]);
    }
    const plans = await api()
      .post('/api/verdicts/cadence/gone')
      .send({ plans: [[]] })
      .expect(400);
    expect(faultOf(plans.body).field).toMatch(/^plans/);
  });

  it('lets no page frame it, sniff it or run a script of its own in it, and does not say what it is made of', async () => {
    const { headers } = await api().get('/api/health').expect(200);
    expect(headers['x-powered-by']).toBeUndefined();
    expect(headers).toMatchObject({ 'x-content-type-options': 'nosniff', 'x-frame-options': 'DENY' });
    const policy = String(headers['content-security-policy']);
    expect(policy).toContain("script-src 'self';");
    expect(policy).toContain("frame-ancestors 'none'");
    expect(policy).toContain("object-src 'none'");
  });
});
