import { MS_PER_DAY } from '../quantity/index.js';
import { describe, expect, it } from '@jest/globals';
import type { Protection, WaterBehaviour, ZoneProtection } from '../vehicle/index.js';
import { CLAIMED_LIFE_DAYS, protectionState, type WearHistory } from './index.js';

const NOW = 1000 * MS_PER_DAY;

interface Past {
  readonly kind: Protection;
  /** null: nobody remembers when it was put on. */
  readonly days: number | null;
  readonly life?: number | null;
  /** Days ago and pH. */
  readonly washes?: readonly (readonly [number, number])[];
  readonly strippedDaysAgo?: number;
  /** Days ago of each day under salt. */
  readonly saltDaysAgo?: readonly number[];
  readonly seen?: readonly [number, WaterBehaviour];
}

function stateOf({ kind, days, life = null, washes = [], strippedDaysAgo, saltDaysAgo = [], seen }: Past) {
  const row: ZoneProtection = {
    zone: 'roof',
    kind,
    appliedMs: days === null ? null : NOW - days * MS_PER_DAY,
    claimedLifeDays: life,
    observed: seen ? { atMs: NOW - seen[0] * MS_PER_DAY, behaviour: seen[1] } : null,
  };
  const strip = strippedDaysAgo === undefined ? [] : [strippedDaysAgo];
  const history: WearHistory = {
    nowMs: NOW,
    washes: [
      ...washes.map(([ago, soapPh]) => ({ atMs: NOW - ago * MS_PER_DAY, soapPh, strips: false })),
      ...strip.map((ago) => ({ atMs: NOW - ago * MS_PER_DAY, soapPh: 11, strips: true })),
    ],
    saltDaysSince: (atMs) => saltDaysAgo.filter((ago) => NOW - ago * MS_PER_DAY > atMs).length,
  };
  return protectionState(row, history);
}

describe('what is left of a coat, on paper', () => {
  it.each([
    { why: 'a wax of 75 days after 30', past: { kind: 'wax', days: 30 }, left: 1 - 30 / 75 },
    { why: 'a sealant of 120 days after 30', past: { kind: 'sealant', days: 30 }, left: 1 - 30 / 120 },
    {
      why: 'three mild washes take 0.4 % each off wax',
      past: {
        kind: 'wax',
        days: 30,
        life: 60,
        washes: [
          [1, 7],
          [2, 7],
          [3, 9.5],
        ],
      },
      left: 0.5 - 3 * 0.004,
    },
    {
      why: 'three beyond its pH 12 % each, alkaline or acid',
      past: {
        kind: 'wax',
        days: 30,
        life: 60,
        washes: [
          [1, 9.6],
          [2, 12],
          [3, 4.9],
        ],
      },
      left: 0.5 - 3 * 0.12,
    },
    {
      why: 'pH 5.0 is within what wax stands',
      past: { kind: 'wax', days: 30, life: 60, washes: [[1, 5]] },
      left: 0.5 - 0.004,
    },
    {
      why: 'a sealant takes seven tenths of that',
      past: {
        kind: 'sealant',
        days: 12,
        washes: [
          [1, 12],
          [2, 7],
        ],
      },
      left: 0.9 - 0.7 * (0.12 + 0.004),
    },
    {
      why: 'a day under salt ages wax by half a day more',
      past: { kind: 'wax', days: 30, life: 60, saltDaysAgo: [1, 2, 3, 4, 40] },
      left: 0.5 - (0.5 * 4) / 60,
    },
    {
      why: 'a coating shrugs off most of it, and does not age like wax',
      past: {
        kind: 'coating',
        days: 100,
        washes: [
          [1, 13.5],
          [2, 7],
        ],
        saltDaysAgo: [1, 2],
      },
      left: 1 - (100 + 0.5 * 2 * 0.12) / 1095 - 0.12 * (0.12 + 0.004),
    },
    {
      why: 'washes before it was put on do not count, nor those still to come',
      past: {
        kind: 'wax',
        days: 30,
        life: 60,
        washes: [
          [31, 12],
          [-1, 12],
        ],
      },
      left: 0.5,
    },
    {
      why: 'film stands a strip wash: it wears it, no more',
      past: { kind: 'film', days: 0, strippedDaysAgo: -1 },
      left: 1,
    },
    {
      why: 'beads seen today say half at least',
      past: { kind: 'wax', days: 60, life: 75, seen: [0, 'beading'] },
      left: 0.5,
    },
    {
      why: 'beads say nothing against more than half',
      past: { kind: 'wax', days: 15, life: 75, seen: [0, 'beading'] },
      left: 0.8,
    },
    {
      why: 'sheeting seen 6 days ago: three tenths then, a tenth less now',
      past: { kind: 'wax', days: 20, life: 60, seen: [6, 'sheeting'] },
      left: 0.3 - 6 / 60,
    },
    {
      why: 'sheeting says nothing for more than the days left',
      past: { kind: 'wax', days: 58, life: 60, seen: [1, 'sheeting'] },
      left: 2 / 60,
    },
    { why: 'nothing is left below nothing', past: { kind: 'wax', days: 999 }, left: 0 },
  ] as { why: string; past: Past; left: number }[])('$why', ({ past, left }) => {
    expect(stateOf(past).leftFraction).toBeCloseTo(left, 6);
  });

  it('a film that was stripped is worn, a wax is gone', () => {
    const left = (kind: Protection) =>
      stateOf({ kind, days: 10, life: 1000, strippedDaysAgo: 1 }).leftFraction;
    expect(left('film')).toBeCloseTo(1 - 10 / 1000 - 0.08 * 0.12, 6);
    expect(left('coating')).toBeCloseTo(1 - 10 / 1000 - 0.12 * 0.12, 6);
    expect([left('wax'), left('sealant'), left('spray-ceramic')]).toEqual([0, 0, 0]);
  });
});

describe('how it stands', () => {
  it.each([
    { days: 65, standing: 'sound' },
    { days: 66, standing: 'worn' },
    { days: 99, standing: 'worn' },
    { days: 100, standing: 'spent' },
  ])('a life of 100 days after $days is $standing', ({ days, standing }) => {
    expect(stateOf({ kind: 'wax', days, life: 100 })).toMatchObject({
      standing,
      ageDays: days,
      lifeDays: 100,
    });
  });

  it.each(Object.entries(CLAIMED_LIFE_DAYS))(
    '%s lasts %s days where the maker says nothing',
    (kind, lifeDays) => {
      expect(stateOf({ kind: kind as Protection, days: 0 })).toMatchObject({ lifeDays, standing: 'sound' });
    },
  );

  it('without a date: not known, until somebody looks at the water', () => {
    expect(stateOf({ kind: 'wax', days: null })).toMatchObject({
      standing: 'unknown-age',
      leftFraction: null,
    });
    expect(stateOf({ kind: 'wax', days: null, seen: [1, 'beading'] })).toMatchObject({
      standing: 'sound',
      leftFraction: null,
      ageDays: null,
    });
    expect(stateOf({ kind: 'wax', days: null, seen: [1, 'sheeting'] }).standing).toBe('worn');
    expect(stateOf({ kind: 'wax', days: null, strippedDaysAgo: 3 }).standing).toBe('spent');
  });

  it('forgets what was seen before it was put on or stripped, keeps what was seen on that day', () => {
    expect(stateOf({ kind: 'wax', days: 5, seen: [6, 'flat'] }).standing).toBe('sound');
    expect(stateOf({ kind: 'wax', days: 5, seen: [5, 'flat'] }).standing).toBe('clogged-or-gone');
    expect(stateOf({ kind: 'wax', days: 50, strippedDaysAgo: 3, seen: [4, 'beading'] })).toMatchObject({
      standing: 'spent',
      observed: null,
    });
    expect(stateOf({ kind: 'wax', days: 50, strippedDaysAgo: 3, seen: [2, 'beading'] }).standing).toBe(
      'sound',
    );
  });

  it('counts the washes beyond its pH and the days under salt since it was put on', () => {
    expect(
      stateOf({
        kind: 'wax',
        days: 10,
        washes: [
          [1, 12],
          [2, 7],
          [11, 12],
        ],
        saltDaysAgo: [3, 12],
      }),
    ).toMatchObject({ strongWashes: 1, saltDays: 1 });
    expect(stateOf({ kind: 'bare', days: 3 })).toEqual({
      kind: 'bare',
      standing: 'none',
      leftFraction: null,
      ageDays: null,
      lifeDays: null,
      strongWashes: 0,
      saltDays: 0,
      observed: null,
    });
  });
});
