import { describe, expect, it } from '@jest/globals';
import {
  DEFAULT_SEASON,
  extraRefusal,
  SEASON_JOBS,
  SEASON_NUMBERS,
  type SeasonDue,
  seasonDue,
  type SeasonJobRow,
  seasonSpans,
  shopSeasonJobs,
  type Visit,
  workFor,
} from './index.js';
import { byGroup, type SeasonJobId } from '../vehicle/index.js';

const day = (text: string): number => Date.parse(`${text}T12:00:00Z`);
const job = (id: SeasonJobId): SeasonJobRow => {
  const row = SEASON_JOBS.find((candidate) => candidate.id === id);
  if (!row) throw new Error(id);
  return row;
};
const stand = (id: SeasonJobId, now: string, lastDone: string | null, latitudeDeg = 46.5): SeasonDue =>
  seasonDue(job(id), { lastDoneMs: lastDone === null ? null : day(lastDone), nowMs: day(now), latitudeDeg });
const isoDay = (atMs: number): string => new Date(atMs).toISOString().slice(0, 10);

describe('work of the season', () => {
  it.each([
    { id: 'underbody', now: '2026-01-14', last: null, state: 'due', due: '2026-01-05', why: 'never done' },
    {
      id: 'underbody',
      now: '2026-01-14',
      last: '2025-11-20',
      state: 'due',
      due: '2026-01-05',
      why: 'done before winter',
    },
    {
      id: 'underbody',
      now: '2026-01-14',
      last: '2026-01-08',
      state: 'done',
      due: '2026-03-20',
      why: 'done this winter',
    },
    {
      id: 'underbody',
      now: '2026-01-03',
      last: null,
      state: 'later',
      due: '2026-01-05',
      why: 'two days early',
    },
    {
      id: 'anti-corrosion',
      now: '2026-01-14',
      last: '2025-10-10',
      state: 'due',
      due: '2026-01-09',
      why: 'three months over',
    },
    {
      id: 'anti-corrosion',
      now: '2026-01-14',
      last: '2025-11-10',
      state: 'done',
      due: '2026-02-09',
      why: 'not three months yet',
    },
    {
      id: 'anti-corrosion',
      now: '2026-04-20',
      last: '2026-03-01',
      state: 'done',
      due: '2026-10-01',
      why: 'summer comes first',
    },
    {
      id: 'anti-corrosion',
      now: '2026-07-01',
      last: null,
      state: 'later',
      due: '2026-10-01',
      why: 'no salt in summer',
    },
    {
      id: 'underbody',
      now: '2028-02-29',
      last: null,
      state: 'due',
      due: '2028-01-05',
      why: 'mid-winter has its last day in a leap year too',
    },
    {
      id: 'underbody',
      now: '2028-03-01',
      last: null,
      state: 'later',
      due: '2028-03-20',
      why: 'and ends with it',
    },
    {
      id: 'polish',
      now: '2026-01-14',
      last: null,
      state: 'later',
      due: '2026-03-20',
      why: 'too cold a season',
    },
    {
      id: 're-coat',
      now: '2025-10-01',
      last: '2024-10-01',
      state: 'due',
      due: '2025-09-15',
      why: 'last year’s',
    },
  ] as const)('$id on $now: $state, $why', ({ id, now, last, state, due }) => {
    const found = stand(id, now, last);
    expect(found.state).toBe(state);
    expect(isoDay(found.dueMs)).toBe(due);
    expect(found.untilMs === null).toBe(state !== 'due');
  });

  it('stands half a year later in the southern half', () => {
    expect(stand('underbody', '2026-07-14', null, -45).state).toBe('due');
    expect(stand('underbody', '2026-01-14', null, -45).state).toBe('later');
  });

  it('has spans that follow each other, over the new year too', () => {
    for (const latitudeDeg of [46.5, -45]) {
      const spans = seasonSpans('salt-season', day('2026-01-14'), latitudeDeg);
      spans.forEach(({ fromMs, toMs }, i) => {
        expect(toMs).toBeGreaterThan(fromMs);
        expect(fromMs).toBeGreaterThanOrEqual(spans[i - 1]?.toMs ?? -Infinity);
      });
    }
  });

  it('has numbers within their ranges, each of them the shop’s to change', () => {
    for (const { value, min, max } of SEASON_NUMBERS) {
      expect(value).toBeGreaterThanOrEqual(min);
      expect(value).toBeLessThanOrEqual(max);
    }
    expect(shopSeasonJobs(DEFAULT_SEASON)).toEqual(SEASON_JOBS);
    const slow = shopSeasonJobs({ ...DEFAULT_SEASON, 'polish.minutes': 240 });
    expect(slow.find(({ id }) => id === 'polish')?.minutes).toBe(240);
  });
});

const VISIT: Visit = {
  place: { kind: 'garage', hasDrain: true, hasLight: true, climate: { kind: 'unheated' } },
  method: { contact: true, scope: 'wash', ceilingGrade: byGroup(() => 5) },
  washMinutes: 60,
  openMinutes: 600,
  lightMinutes: 120,
  airOver: () => ({ airTempC: 8, mostPrecipMm: 0 }),
};

describe('a visit that work of the season is to go with', () => {
  const air =
    (airTempC: number, mostPrecipMm = 0) =>
    () => ({ airTempC, mostPrecipMm });
  it.each([
    { why: 'it suits', id: 'anti-corrosion', change: {}, refusal: null },
    {
      why: 'no such place',
      id: 'anti-corrosion',
      change: { place: { ...VISIT.place, kind: 'automatic-bay' } },
      refusal: 'place',
    },
    {
      why: 'no drain',
      id: 'anti-corrosion',
      change: { place: { ...VISIT.place, hasDrain: false } },
      refusal: 'drain',
    },
    {
      why: 'nothing touched it',
      id: 'top-up',
      change: { method: { ...VISIT.method, contact: false } },
      refusal: 'contact',
    },
    {
      why: 'it is no wash',
      id: 'underbody',
      change: { method: { ...VISIT.method, scope: 'in-between' } },
      refusal: 'contact',
    },
    {
      why: 'no water gets under it',
      id: 'underbody',
      change: { method: { ...VISIT.method, ceilingGrade: { ...byGroup(() => 5), under: 0 } } },
      refusal: 'reach',
    },
    { why: 'it closes too soon', id: 'top-up', change: { openMinutes: 79 }, refusal: 'open-hours' },
    { why: 'it closes as it ends', id: 'top-up', change: { openMinutes: 80 }, refusal: null },
    {
      why: 'dark',
      id: 'top-up',
      change: { lightMinutes: 79, place: { ...VISIT.place, hasLight: false } },
      refusal: 'light',
    },
    { why: 'the weather is not known', id: 'top-up', change: { airOver: () => null }, refusal: 'unknown' },
    { why: 'a little too cold', id: 'top-up', change: { airOver: air(4.9) }, refusal: 'cold' },
    { why: 'just warm enough', id: 'top-up', change: { airOver: air(5) }, refusal: null },
    {
      why: 'snow on a drive',
      id: 'underbody',
      change: {
        place: { ...VISIT.place, kind: 'drive', climate: { kind: 'outdoors' } },
        airOver: air(1, 0.4),
      },
      refusal: 'falling',
    },
    { why: 'snow outside a garage', id: 'underbody', change: { airOver: air(1, 0.4) }, refusal: null },
  ] as const)('$id: $why', ({ id, change, refusal }) => {
    const visit: Visit = { ...VISIT, ...change };
    const row = job(id);
    expect(extraRefusal(row, visit, visit.washMinutes + row.minutes)).toBe(refusal);
  });

  it('takes each that still suits the longer visit', () => {
    const due = [job('underbody'), job('anti-corrosion'), job('top-up')];
    const taken = (visit: Visit): SeasonJobId[] => workFor(due, visit).map(({ id }) => id);
    expect(taken(VISIT)).toEqual(['underbody', 'anti-corrosion', 'top-up']);
    expect(taken({ ...VISIT, openMinutes: 96 })).toEqual(['underbody', 'anti-corrosion']);
    expect(taken({ ...VISIT, openMinutes: 60 })).toEqual([]);
    // It cools: what comes last no longer goes.
    const cooling = (minutes: number) => ({ airTempC: minutes > 96 ? 3 : 6, mostPrecipMm: 0 });
    expect(taken({ ...VISIT, airOver: cooling })).toEqual(['underbody', 'anti-corrosion']);
  });
});
