import { describe, expect, it } from '@jest/globals';
import { NotFoundException } from '@nestjs/common';
import { FieldError } from '@keen/core';
import { Cancelled } from '../engine/cancelled.js';
import { answerFor } from './error.filter.js';

const withCode = (code: string): Error => Object.assign(new Error('the driver says so'), { code });

describe('answerFor', () => {
  it.each([
    { error: withCode('SQLITE_FULL'), status: 507, code: 'disk-full' },
    { error: withCode('SQLITE_READONLY'), status: 503, code: 'database-read-only' },
    { error: withCode('SQLITE_BUSY'), status: 503, code: 'database-busy' },
    { error: withCode('CLIENT_CLOSED'), status: 503, code: 'database-closed' },
    {
      error: new Error('query failed', { cause: withCode('SQLITE_IOERR') }),
      status: 503,
      code: 'database-closed',
    },
    {
      error: new FieldError('out-of-range', 'tiltDeg', 'film: tiltDeg is 999'),
      status: 400,
      code: 'out-of-range',
    },
    { error: new NotFoundException(), status: 404, code: 'not-found' },
    { error: new Cancelled(), status: 499, code: 'cancelled' },
    { error: new Error('anything else'), status: 500, code: 'failed' },
    { error: 'a thrown text', status: 500, code: 'failed' },
  ])('$code with $status', ({ error, status, code }) => {
    expect(answerFor(error)).toMatchObject({ status, body: { error: { code } } });
  });

  it('says nothing of the inside of an unexpected error', () => {
    expect(JSON.stringify(answerFor(new Error('select * from secret')))).not.toContain('secret');
  });
});
