import { describe, expect, it } from '@jest/globals';
import type { WashEffect } from '../log/index.js';
import { MS_PER_DAY, MS_PER_HOUR } from '../quantity/index.js';
import type { Surroundings } from '../salt/index.js';
import { FACTS } from '../testing/facts.js';
import { type ByGroup, ZONE_GROUPS } from '../vehicle/index.js';
import { coatEvent, isStillThere, latest, soilFacts } from './since-washes.js';

const NOW = 100 * MS_PER_DAY;
const shares = (share: number): ByGroup =>
  Object.fromEntries(ZONE_GROUPS.map((group) => [group, share])) as unknown as ByGroup;
const wash = (daysAgo: number, change: Partial<WashEffect> = {}): WashEffect => ({
  atMs: NOW - daysAgo * MS_PER_DAY,
  methodId: 'bay-contact',
  isWash: true,
  contact: true,
  removes: shares(0.9),
  phOn: null,
  stripped: [],
  laid: [],
  extras: [],
  isSpotted: false,
  seen: [],
  ...change,
});
const CAR = { ...FACTS.car, knownSinceMs: NOW - 30 * MS_PER_DAY };

type Road = 'dry' | 'damp' | 'wet' | 'slush' | null;
/** Hours up to now, the last one the present: their air and the state of the main road. */
const around = (hours: readonly (readonly [number, Road] | null)[]): Surroundings => {
  const fromMs = NOW - (hours.length - 1) * MS_PER_HOUR;
  return {
    fromMs,
    hours: hours.map((one, i) => (one ? { atMs: fromMs + i * MS_PER_HOUR, airTempC: one[0] } : null)),
    roads: hours.map((one) => ({ main: one?.[1] ? { state: one[1] } : undefined })),
  } as unknown as Surroundings;
};
const factsOf = (
  washes: readonly WashEffect[],
  { lastWashMs = null as number | null, lastContactMs = null as number | null, at = around([]) } = {},
) => soilFacts(CAR, at, { washes, zones: [], lastWashMs, lastContactMs, nowMs: NOW });

describe('the last of some washes', () => {
  it('is the latest, whatever their order, or none', () => {
    expect(latest([{ atMs: 4 }, { atMs: 9 }, { atMs: 2 }])).toBe(9);
    expect(latest([])).toBeNull();
  });
});

describe('what the estimate of soil reads', () => {
  it('counts days from the last wash and from the last by hand, or from when the car is known', () => {
    expect(factsOf([])).toMatchObject({ nowMs: NOW, daysSinceWash: 30, daysSinceContactWash: 30 });
    const since = { lastWashMs: NOW - 2 * MS_PER_DAY, lastContactMs: NOW - 9 * MS_PER_DAY };
    expect(factsOf([], since)).toMatchObject({ daysSinceWash: 2, daysSinceContactWash: 9 });
  });

  it('takes the air and the roads of the hours since then, and not the present one', () => {
    const at = around([
      [40, 'wet'],
      [-2, 'wet'],
      null,
      [-4, 'damp'],
      [-6, 'slush'],
      [-8, 'dry'],
      [-10, null],
      [90, 'wet'],
    ]);
    const facts = factsOf([], { lastWashMs: NOW - 6 * MS_PER_HOUR, at });
    expect(facts.meanAirC).toBeCloseTo(-6, 9);
    expect(facts.wetRoadFraction).toBeCloseTo(2 / 5, 9);
  });

  it('has neither where no hour is known', () => {
    expect(factsOf([])).toMatchObject({ meanAirC: 0, wetRoadFraction: 0 });
  });

  it.each([
    { why: 'washes that left spots', washes: [wash(3, { isSpotted: true }), wash(2)], count: 1 },
    { why: 'not those that months have washed off', washes: [wash(61, { isSpotted: true })], count: 0 },
    { why: 'just those within the time', washes: [wash(59, { isSpotted: true })], count: 1 },
    {
      why: 'not those before a polish',
      washes: [wash(9, { isSpotted: true }), wash(5, { extras: ['polish'] }), wash(4, { isSpotted: true })],
      count: 1,
    },
    {
      why: 'not those before iron and tar were taken off',
      washes: [wash(9, { isSpotted: true }), wash(5, { extras: ['top-up', 'decontaminate'] })],
      count: 0,
    },
    {
      why: 'those before other work',
      washes: [wash(9, { isSpotted: true }), wash(5, { extras: ['top-up'] })],
      count: 1,
    },
  ])('counts $why', ({ washes, count }) => {
    expect(factsOf(washes).spottedWashes).toBe(count);
  });
});

describe('what a wash did to the protection', () => {
  it('is what it stripped, laid, topped up and what water was seen to do', () => {
    const seen = [{ zone: 'roof', behaviour: 'beading' }] as const;
    const laid = [{ productId: 'wax' }] as unknown as WashEffect['laid'];
    expect(coatEvent(wash(1, { stripped: ['upper'], laid, seen, extras: ['top-up'] }))).toEqual({
      atMs: NOW - MS_PER_DAY,
      seen,
      stripped: ['upper'],
      laid,
      isToppedUp: true,
    });
    expect(coatEvent(wash(1, { extras: ['polish'] })).isToppedUp).toBe(false);
  });
});

describe('what was seen of a zone', () => {
  const look = {
    zone: 'roof',
    kind: 'film',
    grade: 3,
    atMs: NOW - 4 * MS_PER_DAY,
    estimatedThen: 1,
  } as never;
  const only = (share: number, group: string): ByGroup => ({ ...shares(0), [group]: share });
  it.each([
    { why: 'no wash', washes: [], holds: true },
    { why: 'a wash before it', washes: [wash(5)], holds: true },
    { why: 'a wash at that moment', washes: [wash(4)], holds: false },
    { why: 'a wash since', washes: [wash(3)], holds: false },
    { why: 'a wash that takes off half', washes: [wash(3, { removes: shares(0.5) })], holds: false },
    { why: 'one that takes off less', washes: [wash(3, { removes: shares(0.49) })], holds: true },
    { why: 'one of other zones', washes: [wash(3, { removes: only(0.9, 'wheels') })], holds: true },
  ])('holds or not after $why', ({ washes, holds }) => {
    expect(isStillThere(look, washes)).toBe(holds);
  });
});
