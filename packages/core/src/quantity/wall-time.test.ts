import { describe, expect, it } from '@jest/globals';
import { instantOfWallTime } from './index.js';

const ZONE = 'America/Toronto';

describe('a time on the wall', () => {
  it.each([
    { text: '2026-01-15T17:00', at: '2026-01-15T22:00:00Z', why: 'winter' },
    { text: '2026-07-15T17:00', at: '2026-07-15T21:00:00Z', why: 'summer' },
    {
      text: '2026-03-08T01:59',
      at: '2026-03-08T06:59:00Z',
      why: 'the last minute before the clock is put forward',
    },
    { text: '2026-03-08T03:00', at: '2026-03-08T07:00:00Z', why: 'the first minute after it' },
    { text: '2026-11-01T01:30', at: '2026-11-01T05:30:00Z', why: 'twice: the first counts' },
    { text: '2026-01-15T00:00', at: '2026-01-15T05:00:00Z', why: 'midnight' },
  ])('$text: $why', ({ text, at }) => {
    expect(instantOfWallTime(text, ZONE)).toEqual({ kind: 'instant', atMs: Date.parse(at) });
  });

  it.each([
    { zone: 'Asia/Kathmandu', text: '2026-01-15T12:00', at: '2026-01-15T06:15:00Z' },
    { zone: 'Pacific/Kiritimati', text: '2026-01-15T12:00', at: '2026-01-14T22:00:00Z' },
    { zone: 'Pacific/Pago_Pago', text: '2026-01-15T12:00', at: '2026-01-15T23:00:00Z' },
    { zone: 'UTC', text: '2026-01-15T12:00', at: '2026-01-15T12:00:00Z' },
  ])('in $zone', ({ zone, text, at }) => {
    expect(instantOfWallTime(text, zone)).toEqual({ kind: 'instant', atMs: Date.parse(at) });
  });

  it.each(['2026-03-08T02:00', '2026-03-08T02:30', '2026-03-08T02:59'])('%s is skipped', (text) => {
    expect(instantOfWallTime(text, ZONE)).toEqual({ kind: 'skipped' });
  });

  it.each(['2026-02-30T10:00', '2026-13-01T10:00', '2026-01-15T25:00', '2026-01-15', 'soon', ''])(
    '%s is no day and time',
    (text) => {
      expect(instantOfWallTime(text, ZONE)).toEqual({ kind: 'no-date' });
    },
  );
});
