import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import type { Request, Response } from 'express';
import { Lines } from './lines.js';
import { redacted } from './redacted.js';
import { numbered, requestNumber } from './request-number.js';

const QUERY = `Error: Failed query: insert into "customer" values (?, ?)
params: Wilhelmina Quist,555-0142
gate code 4471
    at LibSQLPreparedQuery.queryWithCache (session.js:49:15)`;

describe('a log', () => {
  let lines: Record<string, unknown>[];
  beforeEach(() => {
    lines = [];
    const read = (text: unknown): boolean => {
      lines.push(JSON.parse(String(text)) as Record<string, unknown>);
      return true;
    };
    for (const stream of [process.stdout, process.stderr])
      jest.spyOn(stream, 'write').mockImplementation(read);
  });
  afterEach(() => void jest.restoreAllMocks());
  const log = new Lines('warn');

  it('is a line for each event, with its level and place, down to the level that is wanted', () => {
    log.warn('late', 'Backups');
    log.log('started', 'App');
    log.debug('cell', 'Engine');
    expect(lines).toMatchObject([{ level: 'warn', context: 'Backups', message: 'late' }]);
    expect(Number(lines[0]?.timestamp)).toBeGreaterThan(0);
  });

  it('holds nothing of people: no values of a query, no secret address, no password', () => {
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
    log.error({ why: [QUERY] }, 'errors');
    log.error(new Error(QUERY));
    expect(lines).toHaveLength(4);
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
