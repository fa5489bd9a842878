import { afterAll, describe, expect, it } from '@jest/globals';
import { MS_PER_DAY } from '@keen/core';
import { FileReader } from '../imports/file-reader.js';
import { READING } from './calendar.service.js';
import { readCalendar } from './read-calendar.js';

const FROM = Date.parse('2026-03-01T00:00:00Z');
const window = { fromMs: FROM, toMs: FROM + 60 * MS_PER_DAY, timeZone: 'America/Toronto' };
const file = (...lines: string[]): string =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//x//y//EN', ...lines, 'END:VCALENDAR', ''].join('\r\n');
const event = (uid: string, ...lines: string[]): string[] => [
  'BEGIN:VEVENT',
  `UID:${uid}`,
  'DTSTAMP:20260301T000000Z',
  ...lines,
  'END:VEVENT',
];
const PLAIN = event('a', 'DTSTART:20260310T090000Z', 'DTEND:20260310T100000Z');
/** The thirtieth of February. */
const NEVER = event(
  'n',
  'DTSTART:20260110T090000Z',
  'DTEND:20260110T100000Z',
  'RRULE:FREQ=DAILY;BYMONTH=2;BYMONTHDAY=30',
);

const reader = new FileReader();
afterAll(() => reader.onModuleDestroy());

describe('a calendar that is read beside the server', () => {
  it('is the one that is read in it', async () => {
    const text = file(...PLAIN);
    expect(await reader.read(READING, { text, window })).toEqual(readCalendar(text, window));
  });

  it('is refused as it would be in it', async () => {
    await expect(reader.read(READING, { text: 'no calendar', window })).rejects.toMatchObject({
      status: 400,
    });
  });

  it('is given up where a rule never comes to its end, while others are answered', async () => {
    const beats: number[] = [];
    const beat = setInterval(() => beats.push(Date.now()), 20);
    await expect(reader.read(READING, { text: file(...NEVER), window }, 700)).rejects.toMatchObject({
      status: 400,
      response: { error: { message: expect.stringContaining('never come to an end') } },
    });
    clearInterval(beat);
    expect(beats.length).toBeGreaterThan(5);
    expect(await reader.read(READING, { text: file(...PLAIN), window })).toMatchObject({ faults: [] });
  });

  it('tells of a hundred faults at most, and how many more there are', () => {
    const bad = Array.from({ length: 130 }, (_, i) =>
      event(`b${i}`, 'DTSTART:20260310T090000Z', 'DTEND:20260310T080000Z'),
    ).flat();
    const { faults } = readCalendar(file(...bad), window);
    expect(faults).toHaveLength(101);
    expect(faults.at(-1)?.message).toBe('And 30 more are wrong after this.');
  });
});
