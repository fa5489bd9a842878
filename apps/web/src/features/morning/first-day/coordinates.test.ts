import { describe, expect, it } from '@jest/globals';
import { readCoordinates } from './coordinates.js';
import { LAST_WASHES, washedBefore } from './last-wash.js';
import { REGIONS, regionOf } from './regions.js';

describe('coordinates as people paste them', () => {
  it.each([
    ['44.2312, -76.486', 44.2312, -76.486],
    ['44.2312,-76.486', 44.2312, -76.486],
    ['44.2312 −76.486', 44.2312, -76.486],
    ['44,2312; -76,486', 44.2312, -76.486],
    ['44,2312, -76,486', 44.2312, -76.486],
    ['44.2312° N, 76.486° W', 44.2312, -76.486],
    ['N 44.2312 W 76.486', 44.2312, -76.486],
    ['76.486 W, 44.2312 N', 44.2312, -76.486],
    ['-76.486, 44.2312 N', 44.2312, -76.486],
    ['33.9 s 18.4 e', -33.9, 18.4],
    ['60, 25', 60, 25],
    ['90, 180', 90, 180],
  ])('%s', (text, latitudeDeg, longitudeDeg) => {
    expect(readCoordinates(text)).toEqual({ latitudeDeg, longitudeDeg });
  });

  it.each([
    ['', 'missing'],
    ['   ', 'missing'],
    ['44.2312', 'two-numbers'],
    ['by the lake', 'two-numbers'],
    ['44.2, -76.4, 12', 'two-numbers'],
    ['-120.5, 44.2', 'swapped'],
    ['90.1, 10', 'swapped'],
    ['100, 200', 'out-of-range'],
    ['10, 180.1', 'out-of-range'],
  ])('"%s" is %s', (text, fault) => {
    expect(readCoordinates(text)).toBe(fault);
  });
});

describe('the region of a browser', () => {
  it.each([
    [['en-CA', 'en'], 'canada'],
    [['en', 'nb-NO'], 'norway'],
    [['zh-Hans-CN'], 'elsewhere'],
    [[], 'elsewhere'],
    [['en-XX', 'en-GB'], 'united-kingdom'],
  ])('%j: %s', (languages, id) => {
    expect(regionOf(languages).id).toBe(id);
  });

  it('is named once, and each country belongs to one', () => {
    const codes = REGIONS.flatMap((region) => region.codes);
    expect(new Set(codes).size).toBe(codes.length);
    expect(new Set(REGIONS.map(({ id }) => id)).size).toBe(REGIONS.length);
  });
});

describe('when it was last washed, as people remember', () => {
  it('is a day before now that is known, or nothing', () => {
    expect(washedBefore('unknown', 1e12)).toBeNull();
    expect(washedBefore('today', 1e12)).toEqual({ atMs: 1e12, isKnown: true });
    expect(washedBefore('week', 1e12)).toEqual({ atMs: 1e12 - 7 * 86_400_000, isKnown: true });
    expect(LAST_WASHES).toHaveLength(7);
  });
});
