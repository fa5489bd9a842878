import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import {
  type PlaceRecord,
  type VehicleRecord,
  type WashRecord,
  MS_PER_DAY,
  type BusySpan,
  type CalendarView,
  type ErrorBody,
  type ImportReport,
  type PlanView,
} from '@keen/core';
import ICAL from 'ical.js';
import request from 'supertest';
import { doneWash, PLACE, startTestApp, TEST_CLOCK, type TestApp, VEHICLE } from '../testing/test-app.js';
import { planCalendar, uidOf } from './plan-calendar.js';
import { readCalendar } from './read-calendar.js';

const ZONE = 'America/Toronto';
const from = Date.parse('2026-03-01T00:00:00-05:00');
const window = { fromMs: from, toMs: from + 60 * MS_PER_DAY, timeZone: ZONE };

const file = (...lines: string[]): string =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//x//y//EN', ...lines, 'END:VCALENDAR', ''].join('\r\n');
const event = (...lines: string[]): string[] => [
  'BEGIN:VEVENT',
  'UID:u',
  'DTSTAMP:20260301T000000Z',
  ...lines,
  'END:VEVENT',
];
const local = (atMs: number): string =>
  new Intl.DateTimeFormat('en-GB', { timeZone: ZONE, dateStyle: 'short', timeStyle: 'short' }).format(atMs);
const startsOf = (text: string): string[] =>
  readCalendar(text, window).good.map(({ fromMs }) => local(fromMs));

describe('reading a calendar', () => {
  it('keeps the wall clock of a weekly time over a weekend on which the clock is changed', () => {
    const weekly = event(
      'DTSTART;TZID=America/Toronto:20260302T090000',
      'DTEND;TZID=America/Toronto:20260302T100000',
      'RRULE:FREQ=WEEKLY;COUNT=3',
      'SUMMARY:School run',
    );
    const { good, faults } = readCalendar(file(...weekly), window);
    expect(faults).toEqual([]);
    expect(good.map(({ fromMs }) => local(fromMs))).toEqual([
      '02/03/2026, 09:00',
      '09/03/2026, 09:00',
      '16/03/2026, 09:00',
    ]);
    expect((good[1]?.fromMs ?? 0) - (good[0]?.fromMs ?? 0)).toBe(7 * MS_PER_DAY - 3_600_000);
    expect(good[0]).toMatchObject({ summary: 'School run', toMs: (good[0]?.fromMs ?? 0) + 3_600_000 });
  });

  it.each([
    {
      why: 'from wall clock to wall clock, an hour less in spring',
      lines: ['DTSTART;TZID=America/Toronto:20260307T220000', 'DTEND;TZID=America/Toronto:20260308T060000'],
      hours: [7],
    },
    {
      why: 'as many hours as its length says',
      lines: ['DTSTART;TZID=America/Toronto:20260307T220000', 'DURATION:PT8H'],
      hours: [8],
    },
    {
      why: 'a whole day of 23 hours',
      lines: ['DTSTART;VALUE=DATE:20260308', 'DTEND;VALUE=DATE:20260309'],
      hours: [23],
    },
    {
      why: 'to its own end in another zone',
      lines: ['DTSTART;TZID=America/Toronto:20260310T090000', 'DTEND;TZID=Europe/Berlin:20260310T170000'],
      hours: [3],
    },
    {
      why: 'each night of a series by its own clock',
      lines: [
        'DTSTART;TZID=America/Toronto:20260306T220000',
        'DTEND;TZID=America/Toronto:20260307T060000',
        'RRULE:FREQ=DAILY;COUNT=3',
      ],
      hours: [8, 7, 8],
    },
  ])('takes time $why', ({ lines, hours }) => {
    const { good, faults } = readCalendar(file(...event(...lines)), window);
    expect(faults).toEqual([]);
    expect(good.map(({ fromMs, toMs }) => (toMs - fromMs) / 3_600_000)).toEqual(hours);
  });

  it('keeps a changed occurrence whose series is not in the file', () => {
    const lone = event(
      'RECURRENCE-ID;TZID=America/Toronto:20260309T090000',
      'DTSTART;TZID=America/Toronto:20260309T140000',
      'DTEND;TZID=America/Toronto:20260309T150000',
    );
    expect(startsOf(file(...lone))).toEqual(['09/03/2026, 14:00']);
  });

  it('takes times without a zone, and whole days, as the shop’s own', () => {
    expect(startsOf(file(...event('DTSTART:20260310T083000', 'DTEND:20260310T090000')))).toEqual([
      '10/03/2026, 08:30',
    ]);
    const day = readCalendar(
      file(...event('DTSTART;VALUE=DATE:20260310', 'DTEND;VALUE=DATE:20260311')),
      window,
    );
    expect(day.good.map(({ fromMs, toMs }) => [local(fromMs), toMs - fromMs])).toEqual([
      ['10/03/2026, 00:00', MS_PER_DAY],
    ]);
  });

  it('follows a zone that the file defines itself', () => {
    const zone = [
      'BEGIN:VTIMEZONE',
      'TZID:Harbour',
      'BEGIN:STANDARD',
      'DTSTART:20250101T000000',
      'TZOFFSETFROM:-0300',
      'TZOFFSETTO:-0300',
      'END:STANDARD',
      'END:VTIMEZONE',
    ];
    const at = event('DTSTART;TZID=Harbour:20260310T090000', 'DTEND;TZID=Harbour:20260310T100000');
    expect(readCalendar(file(...zone, ...at), window).good[0]?.fromMs).toBe(
      Date.parse('2026-03-10T09:00:00-03:00'),
    );
  });

  it('leaves out what is free, called off, excepted, or moved elsewhere', () => {
    const series = event(
      'DTSTART;TZID=America/Toronto:20260302T090000',
      'DTEND;TZID=America/Toronto:20260302T100000',
      'RRULE:FREQ=DAILY;COUNT=4',
      'EXDATE;TZID=America/Toronto:20260303T090000',
    );
    const moved = event(
      'RECURRENCE-ID;TZID=America/Toronto:20260304T090000',
      'DTSTART;TZID=America/Toronto:20260304T150000',
      'DTEND;TZID=America/Toronto:20260304T160000',
    );
    const free = event('DTSTART:20260310T083000', 'DTEND:20260310T090000', 'TRANSP:TRANSPARENT');
    const off = event('DTSTART:20260310T083000', 'DTEND:20260310T090000', 'STATUS:CANCELLED');
    expect(startsOf(file(...series, ...moved))).toEqual([
      '02/03/2026, 09:00',
      '04/03/2026, 15:00',
      '05/03/2026, 09:00',
    ]);
    expect(startsOf(file(...free))).toEqual([]);
    expect(startsOf(file(...off))).toEqual([]);
  });

  it('puts a time in the skipped hour after the change', () => {
    expect(
      startsOf(
        file(
          ...event(
            'DTSTART;TZID=America/Toronto:20260308T023000',
            'DTEND;TZID=America/Toronto:20260308T040000',
          ),
        ),
      ),
    ).toEqual(['08/03/2026, 03:30']);
  });

  it.each([
    {
      why: 'a zone that is not there',
      lines: ['DTSTART;TZID=Nowhere/Bay:20260310T090000', 'DTEND;TZID=Nowhere/Bay:20260310T100000'],
      says: /Nowhere\/Bay is not known/,
    },
    {
      why: 'an end before its beginning',
      lines: ['DTSTART:20260310T090000Z', 'DTEND:20260310T080000Z'],
      says: /ends before/,
    },
    {
      why: 'a second for ever',
      lines: ['DTSTART:19700101T000000Z', 'DTEND:19700101T000001Z', 'RRULE:FREQ=SECONDLY'],
      says: /repeats secondly/,
    },
  ])('names $why and keeps the rest', ({ lines, says }) => {
    const bad = event(...lines);
    const good = event('DTSTART:20260311T090000Z', 'DTEND:20260311T100000Z').map((line) =>
      line.replace('UID:u', 'UID:v'),
    );
    const found = readCalendar(file(...bad, ...good), window);
    expect(found.good).toHaveLength(1);
    expect(found.faults).toHaveLength(1);
    expect(found.faults[0]?.message).toMatch(says);
  });

  it.each(['', 'no calendar', 'BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\n', 'BEGIN:VCARD\r\nEND:VCARD\r\n'])(
    'refuses what is no whole calendar: %j',
    (text) => {
      expect(() => readCalendar(text, window)).toThrow();
    },
  );
});

describe('the washes as a calendar', () => {
  const wash = {
    id: 'w1',
    vehicleId: 'v',
    placeId: 'p',
    methodId: 'bay-contact',
    status: 'planned',
    startMs: Date.parse('2026-03-08T13:00:00-04:00'),
    minutes: 50,
    workerId: 'owner',
    isLocked: true,
    revision: 2,
  } as unknown as WashRecord & { revision: number };
  const facts = {
    washes: [wash],
    vehicles: [{ id: 'v', name: 'Black saloon, old' }] as unknown as VehicleRecord[],
    places: [{ id: 'p', name: 'Pier Road bay', travelMinutes: 9 }] as unknown as PlaceRecord[],
    nowMs: from,
    timeZone: ZONE,
  };
  const parsedFeed = (text: string) => new ICAL.Component(ICAL.parse(text) as unknown[]);

  it('comes back as it went out, with its alarm before the way there', () => {
    const parsed = parsedFeed(planCalendar([wash], facts));
    const back = new ICAL.Event(parsed.getFirstSubcomponent('vevent')!);
    expect(back.uid).toBe(uidOf('w1'));
    expect(back.summary).toBe('Wash Black saloon, old');
    expect(back.startDate.toUnixTime() * 1000).toBe(wash.startMs);
    expect(back.duration.toSeconds()).toBe(50 * 60);
    expect(back.component.getFirstPropertyValue('sequence')).toBe(2);
    const alarm = back.component.getFirstSubcomponent('valarm');
    expect(String(alarm?.getFirstPropertyValue('trigger'))).toBe('-PT19M');
  });

  it('tells its zone itself, so that a reader who knows no zones finds the instants', () => {
    // The night of the change: an hour that is skipped in spring, and one that comes twice in autumn.
    const starts = [
      '2026-03-08T01:30:00-05:00',
      '2026-03-08T03:10:00-04:00',
      '2026-11-01T01:30:00-04:00',
      '2026-11-01T09:00:00-05:00',
      '2026-07-01T09:00:00-04:00',
    ].map((text) => Date.parse(text));
    const washes = starts.map((startMs, i) => ({ ...wash, id: `w${i}`, startMs }));
    const text = planCalendar(washes, { ...facts, washes });
    expect(text).toContain('DTSTART;TZID=America/Toronto:20260308T013000');
    expect(text).toContain('DTSTART:20261101T053000Z');
    const root = parsedFeed(text);
    const zone = new ICAL.Timezone(root.getFirstSubcomponent('vtimezone')!);
    expect(zone.tzid).toBe(ZONE);
    const found = root.getAllSubcomponents('vevent').map((component) => {
      const { startDate } = new ICAL.Event(component);
      return startDate.toUnixTime() * 1000;
    });
    expect(found).toEqual(starts);
    const kinds = root.getFirstSubcomponent('vtimezone')!.getAllSubcomponents();
    expect(kinds.map(({ name }) => name)).toContain('daylight');
  });

  it.each(['UTC', 'Asia/Kolkata', 'Australia/Lord_Howe'])('keeps the instants in %s', (timeZone) => {
    const washes = [0, 90, 180, 270].map((days) => ({
      ...wash,
      id: `${days}`,
      startMs: wash.startMs + days * MS_PER_DAY,
    }));
    const root = parsedFeed(planCalendar(washes, { ...facts, washes, timeZone }));
    const zone = new ICAL.Timezone(root.getFirstSubcomponent('vtimezone')!);
    const found = root.getAllSubcomponents('vevent').map((component) => {
      const time = new ICAL.Event(component).startDate;
      time.zone = zone;
      return time.toUnixTime() * 1000;
    });
    expect(found).toEqual(washes.map(({ startMs }) => startMs));
  });

  it('reads as busy at the same instants in a weekend on which the clock is changed', () => {
    const { good, faults } = readCalendar(planCalendar([wash], facts), window);
    expect(faults).toEqual([]);
    expect(good).toMatchObject([{ fromMs: wash.startMs, toMs: wash.startMs + 50 * 60_000 }]);
  });
});

describe('calendars over HTTP', () => {
  let test: TestApp;
  let car: VehicleRecord;
  let place: PlaceRecord;
  const api = () => request(test.app.getHttpServer());
  const post = async <T>(path: string, body: object, status = 201): Promise<T> =>
    (await api().post(`/api/${path}`).send(body).expect(status)).body as T;
  const view = async (): Promise<CalendarView> =>
    (await api().get('/api/calendar').expect(200)).body as CalendarView;
  const at = (text: string): number => Date.parse(`${text}:00-05:00`);

  beforeAll(async () => {
    test = await startTestApp();
    await api().patch('/api/settings').send({ timeZone: ZONE }).expect(200);
    place = await post<PlaceRecord>('places', PLACE);
    car = await post<VehicleRecord>('vehicles', VEHICLE);
    await post('washes/done', doneWash(car.id, place.id, at('2026-01-07T10:00')));
  }, 60_000);
  afterAll(() => test.close());

  it('a moved wash keeps its name and counts its moves; a new address shuts out the old, for its owner alone', async () => {
    const slot = {
      vehicleId: car.id,
      placeId: place.id,
      methodId: 'garage-rinseless',
      startMs: at('2026-01-15T10:00'),
    };
    const wash = await post<WashRecord>('washes', slot);
    expect((await view()).feeds).toEqual([]);
    await post('calendar/feeds', { name: 'Lena' });
    const both = await post<CalendarView>(
      'calendar/feeds',
      { name: ' Partner ', workerId: 'nobody-else' },
      400,
    );
    expect(both).toMatchObject({ error: { field: 'workerId' } });
    expect(await post('calendar/feeds', { name: 'lena' }, 409)).toMatchObject({ error: { field: 'name' } });
    const { feeds } = await post<CalendarView>('calendar/feeds', { name: ' Partner ' });
    expect(feeds).toMatchObject([
      { name: 'Lena', workerId: null, lastReadMs: null },
      { name: 'Partner', workerId: null, lastReadMs: null },
    ]);
    const [{ id, path } = { id: '', path: '' }, partner] = feeds;
    const feed = async () => {
      const { text, headers } = await api().get(path).expect(200);
      expect(headers['content-type']).toMatch(/text\/calendar/);
      const root = new ICAL.Component(ICAL.parse(text) as unknown[]);
      const [only] = root.getAllSubcomponents('vevent').map((component) => new ICAL.Event(component));
      return { uid: only?.uid, atMs: (only?.startDate.toUnixTime() ?? 0) * 1000, sequence: only?.sequence };
    };
    expect(await feed()).toEqual({ uid: uidOf(wash.id), atMs: wash.startMs, sequence: 0 });
    await api()
      .patch(`/api/washes/${wash.id}`)
      .send({ startMs: at('2026-01-15T13:00') })
      .expect(200);
    expect(await feed()).toEqual({ uid: uidOf(wash.id), atMs: at('2026-01-15T13:00'), sequence: 1 });
    expect((await view()).feeds[0]?.lastReadMs).toBeGreaterThanOrEqual(Date.parse(TEST_CLOCK));
    const renewed = await post<CalendarView>(`calendar/feeds/${id}/renew`, {}, 200);
    expect(renewed.feeds[0]?.path).not.toBe(path);
    expect(renewed.feeds[0]?.lastReadMs).toBeNull();
    await api().get(path).expect(404);
    await api()
      .get(partner?.path ?? '')
      .expect(200);
    await api().delete(`/api/calendar/feeds/${partner?.id}`).expect(204);
    await api()
      .get(partner?.path ?? '')
      .expect(404);
    await api().delete(`/api/calendar/feeds/${partner?.id}`).expect(404);
    await post('calendar/feeds/nobody/renew', {}, 404);
    await api().get('/api/calendar/guess/washes.ics').expect(404);
    await api().delete(`/api/washes/${wash.id}`).expect(204);
  }, 60_000);

  it('busy times keep the plan away, are replaced by a second import, and forgotten', async () => {
    const all = (day: string) => event(`DTSTART;VALUE=DATE:${day}`, 'DURATION:P9D', 'SUMMARY:Away');
    const body = { text: file(...all('20260114')), calendar: 'Family', mode: 'look' };
    expect(await post<ImportReport<BusySpan>>('calendar/busy/import', body, 200)).toMatchObject({
      kept: false,
    });
    const plan = async () => (await api().get('/api/plan').expect(200)).body as PlanView;
    expect((await plan()).choices.length).toBeGreaterThan(0);
    await post('calendar/busy/import', { ...body, mode: 'all-or-nothing' }, 200);
    expect((await view()).calendars).toMatchObject([{ calendar: 'Family', workerId: null, count: 1 }]);
    const kept = await plan();
    expect(kept.choices.every(({ window: { startMs } }) => startMs >= at('2026-01-23T00:00'))).toBe(true);
    const later = { ...body, text: file(...all('20260301')), mode: 'all-or-nothing' };
    await post('calendar/busy/import', later, 200);
    expect((await plan()).choices.length).toBeGreaterThan(0);
    await api().delete('/api/calendar/busy/Family').expect(204);
    await api().delete('/api/calendar/busy/Family').expect(404);
    expect((await view()).calendars).toEqual([]);
  }, 60_000);

  it.each([
    { body: { text: 'x', calendar: 'A', mode: 'look' }, field: 'text' },
    { body: { text: file(), calendar: '', mode: 'look' }, field: 'calendar' },
    { body: { text: file(), calendar: 'A', mode: 'look', workerId: 'nobody' }, field: 'workerId' },
    { body: { text: file(), calendar: 'A', mode: 'perhaps' }, field: 'mode' },
  ])('a bad import names $field', async ({ body, field }) => {
    const answer = await api().post('/api/calendar/busy/import').send(body).expect(400);
    expect((answer.body as ErrorBody).error.field).toBe(field);
  });

  it('a file beyond all measure is refused, and what was kept stays', async () => {
    const answer = await api()
      .post('/api/calendar/busy/import')
      .send({ text: 'x'.repeat(9_000_000), calendar: 'A', mode: 'look' });
    expect(answer.status).toBe(400);
    const huge = await api()
      .post('/api/calendar/busy/import')
      .send({ text: 'x'.repeat(14_000_000), calendar: 'A', mode: 'look' });
    expect(huge.status).toBe(413);
  });
});
