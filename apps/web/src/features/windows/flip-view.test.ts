import { describe, expect, it } from '@jest/globals';
import { DEFAULT_DISPLAY, type Flip, type FlipInput } from '@keen/core';
import { makeFormat } from '../../format/format.js';
import { flipDistance, flipValue, sortFlips } from './flip-view.js';

const format = makeFormat(DEFAULT_DISPLAY, 'America/Toronto', 'en-CA');
const flip = (change: Partial<Flip>): Flip =>
  ({ input: 'air', now: 0, low: -30, high: 10, at: 5, ...change }) as Flip;

describe('what would change an answer', () => {
  it.each<[FlipInput, number, string]>([
    ['air', -3.5, '−3.5 °C'],
    ['wind', 5, '18 km/h'],
    ['humidity', 0.72, '72 %'],
    ['cloud', 0.2, '20 %'],
    ['solids', 84.6, '85 mg/L'],
    ['hand-speed', 9, '9.0 min'],
    ['start', Date.UTC(2026, 0, 14, 15), format.dayTime(Date.UTC(2026, 0, 14, 15))],
  ])('%s at %p reads as %p', (input, value, text) => {
    expect(flipValue(input, value, format)).toBe(text);
  });

  it.each([
    { change: { at: 5 }, distance: 0.5 },
    { change: { at: 10 }, distance: 1 },
    { change: { at: -15 }, distance: 0.5 },
    { change: { at: 0 }, distance: 0 },
    { change: { at: null }, distance: Infinity },
    { change: { at: 10, now: 10 }, distance: 0 },
  ])('is $distance away where it is at $change.at', ({ change, distance }) => {
    expect(flipDistance(flip(change))).toBe(distance);
  });

  it('comes nearest first, what changes nothing last', () => {
    const flips = [flip({ at: null }), flip({ at: -15, input: 'wind' }), flip({ at: 1, input: 'cloud' })];
    expect(sortFlips(flips).map(({ input }) => input)).toEqual(['cloud', 'wind', 'air']);
    expect(flips[0]?.at).toBeNull();
  });
});
