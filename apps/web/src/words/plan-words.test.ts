import { describe, expect, it } from '@jest/globals';
import {
  DEFAULT_DISPLAY,
  type Fallback,
  type Finding,
  type MemberFailures,
  type UnplannedReason,
} from '@keen/core';
import { makeFormat } from '../format/format.js';
import { chanceText, fallbackText, moveCostText, reliefText, unplannedText } from './plan-words.js';

const format = makeFormat(DEFAULT_DISPLAY, 'UTC', 'en-CA');
const PLACES = [{ id: 'bay', name: 'Corner bay' }];
const DAY = Date.UTC(2026, 0, 14, 10);

describe('what the forecasts say', () => {
  const failures = (change: Partial<MemberFailures>): MemberFailures => ({
    memberCount: 20,
    freezes: 0,
    spots: 0,
    falls: 0,
    cold: 0,
    ...change,
  });
  it.each([
    { of: failures({}), text: 'all 20 forecasts agree' },
    { of: failures({ freezes: 0b11 }), text: 'freezes in 2 of 20 forecasts' },
    { of: failures({ freezes: 0b101, spots: 0b1 }), text: 'freezes in 2 and spots in 1 of 20 forecasts' },
    {
      of: failures({ falls: 1, cold: 0b111 }),
      text: 'is rained or snowed on in 1 and is too cold to work in 3 of 20 forecasts',
    },
  ])('$text', ({ of, text }) => {
    expect(chanceText(of)).toBe(text);
  });
});

it('what to turn to is given with the share in which it holds', () => {
  const fallback = (savesFraction: number): Fallback =>
    ({
      window: { startMs: DAY, placeId: 'bay', methodId: 'bay-touch-free' },
      savesFraction,
    }) as unknown as Fallback;
  expect(fallbackText(fallback(1), PLACES, format)).toMatch(
    /^If it closes: Wed, Jan 14, 10:00, Corner bay, .+\.$/,
  );
  expect(fallbackText(fallback(1), PLACES, format)).not.toContain('holds');
  expect(fallbackText(fallback(0.5), PLACES, format)).toMatch(
    /; holds in 50 % of the cases in which this fails\.$/,
  );
});

describe('why a wash stands in no plan', () => {
  const closed = { ruleId: 'open-hours', level: 'block', margin: null, unit: 'none', comfort: -1 } as Finding;
  it.each<readonly [UnplannedReason, string | RegExp]>([
    [{ kind: 'no-window', limiting: null }, 'nothing goes'],
    [{ kind: 'no-window', limiting: closed }, 'nothing goes: closed at this hour'],
    [{ kind: 'members', failingFraction: 0.35 }, 'every start fails in at least 35 % of the forecasts'],
    [{ kind: 'workers' }, 'nobody has time while it goes'],
    [{ kind: 'room' }, 'other washes fill the place while it goes'],
    [{ kind: 'car-away' }, 'it goes only while the car is not available'],
    [{ kind: 'no-product', methodId: 'bay-touch-free' }, /^no product is left for ./],
    [{ kind: 'not-worth', bestMinor: -250 }, 'not worth it yet: the best start would lose $2.50'],
    [
      { kind: 'pushed-out', costMinor: 480 },
      'other cars need the hours more: fitting it in would cost $4.80',
    ],
  ])('%o', (reason, expected) => {
    expect(unplannedText(reason, format)).toMatch(
      expected instanceof RegExp ? expected : new RegExp(`^${expected.replace(/[$.]/g, '\\$&')}$`),
    );
  });
});

it('more workers are named by their day, more room by its place and day', () => {
  expect(reliefText({ kind: 'workers', dayMs: DAY }, PLACES, format)).toBe(
    'Another person on Wed, Jan 14, 8 to 18',
  );
  expect(reliefText({ kind: 'room', placeId: 'bay', dayMs: DAY }, PLACES, format)).toBe(
    'Room for another car at Corner bay on Wed, Jan 14',
  );
  expect(reliefText({ kind: 'room', placeId: 'bay', dayMs: null }, PLACES, format)).toBe(
    'Room for another car at Corner bay',
  );
});

it.each([
  { costMinor: null, text: 'it does not go where it is now' },
  { costMinor: 0.4, text: 'worth the same' },
  { costMinor: -0.4, text: 'worth the same' },
  { costMinor: 120, text: 'costs $1.20' },
  { costMinor: -40, text: 'gains $0.40' },
])('a move of $costMinor $text', ({ costMinor, text }) => {
  expect(moveCostText(costMinor, format)).toBe(text);
});
