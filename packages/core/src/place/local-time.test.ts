import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { localTime } from './index.js';

const ZONES = [
  'America/Toronto',
  'America/St_Johns',
  'Europe/Oslo',
  'Asia/Kathmandu',
  'Australia/Lord_Howe',
  'Pacific/Chatham',
];

/** As the platform tells it, without anything kept. */
function asTold(atMs: number, timeZone: string): string {
  return new Intl.DateTimeFormat('en-GB', {
    timeZone,
    weekday: 'short',
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
  }).format(atMs);
}

const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
const twoDigits = (value: number): string => String(value).padStart(2, '0');
function asKept(atMs: number, timeZone: string): string {
  const { weekday, minuteOfDay } = localTime(atMs, timeZone);
  return `${WEEKDAYS[weekday]} ${twoDigits(Math.floor(minuteOfDay / 60))}:${twoDigits(minuteOfDay % 60)}`;
}

describe('local time', () => {
  it('is that of the zone, at any instant of these decades', () => {
    const instants = fc.integer({ min: Date.UTC(1990, 0, 1), max: Date.UTC(2060, 0, 1) });
    fc.assert(
      fc.property(instants, fc.constantFrom(...ZONES), (atMs, timeZone) => {
        expect(asKept(atMs, timeZone)).toBe(asTold(atMs, timeZone).replace(',', ''));
      }),
      { numRuns: 400 },
    );
  });

  it.each([
    ['America/Toronto', Date.UTC(2026, 2, 8, 7)],
    ['America/Toronto', Date.UTC(2026, 10, 1, 6)],
    ['Australia/Lord_Howe', Date.UTC(2026, 9, 3, 15, 30)],
  ])('is right to the minute round the change of the clock in %s', (timeZone, changeMs) => {
    for (let minute = -20; minute <= 20; minute += 1) {
      const atMs = changeMs + minute * 60_000 + 59_999;
      expect(asKept(atMs, timeZone)).toBe(asTold(atMs, timeZone).replace(',', ''));
    }
  });

  it('is none in a zone that does not exist', () => {
    expect(() => localTime(0, 'Nowhere/At_All')).toThrow(RangeError);
  });
});
