import { describe, expect, it } from '@jest/globals';
import type { Request, Response } from 'express';
import { Lines } from './lines.js';
import { redacted } from './redacted.js';
import { numbered, requestNumber } from './request-number.js';

const QUERY = `Error: Failed query: insert into "customer" values (?, ?)
params: Wilhelmina Quist,555-0142
gate code 4471
    at LibSQLPreparedQuery.queryWithCache (session.js:49:15)`;

describe('a log', () => {
  const lines: Record<string, unknown>[] = [];
  const log = new Lines('warn', (line) => void lines.push(JSON.parse(line) as Record<string, unknown>));

  it('is a line for each, with its level and place, down to the level that is wanted', () => {
    log.warn('late', 'Backups');
    log.log('started', 'App');
    log.debug('cell', 'Engine');
    expect(lines).toMatchObject([{ level: 'warn', where: 'Backups', message: 'late' }]);
    expect(Date.parse(String(lines[0]?.at))).not.toBeNaN();
  });

  it('tells nothing of people: no values of a query, no secret address, no password', () => {
    const text = redacted(QUERY);
    expect(text).toContain('Failed query: insert into "customer"');
    expect(text).toContain('at LibSQLPreparedQuery');
    expect(text).not.toMatch(/Wilhelmina|0142|4471/);
    expect(redacted('GET /api/calendar/aBc-1/washes.ics')).toBe('GET /api/calendar/[hidden]/washes.ics');
    expect(redacted('{"name":"Ida","password":"a \\" b","contact":"555"}')).toBe(
      '{"name":"Ida","password":"[hidden]","contact":"[hidden]"}',
    );
    expect(redacted('a plain line')).toBe('a plain line');
    log.error(QUERY, 'errors');
    log.error('failed', QUERY, 'errors');
    log.error(new Error(QUERY));
    expect(JSON.stringify(lines)).not.toMatch(/Wilhelmina|0142|4471/);
  });

  it('names the request that it belongs to, and the answer carries the same number', async () => {
    const headers: Record<string, string> = {};
    const response = { setHeader: (name: string, value: string) => (headers[name] = value) };
    await new Promise<void>((done) => {
      numbered({} as Request, response as unknown as Response, () => {
        void Promise.resolve().then(() => {
          log.error('inside', 'errors');
          done();
        });
      });
    });
    expect(lines.at(-1)?.request).toBe(headers['x-request-id']);
    expect(headers['x-request-id']).toMatch(/^[0-9a-f]{8}$/);
    expect(requestNumber()).toBeNull();
    log.error('outside', 'errors');
    expect(lines.at(-1)).not.toHaveProperty('request');
  });
});
