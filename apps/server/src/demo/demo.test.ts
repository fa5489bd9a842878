import { describe, expect, it } from '@jest/globals';
import { METHOD_IDS } from '@keen/core';
import { DEMO_GEAR, DEMO_PRODUCTS } from './kit.js';
import {
  DEMO_CLOCK,
  DEMO_PLACES,
  DEMO_SEASON_START,
  DEMO_VEHICLES,
  DEMO_WORKERS,
  DEMO_ZONE,
} from './scenario.js';

const twice = (ids: readonly string[]): string[] => ids.filter((id, i) => ids.indexOf(id) !== i);

describe('the demo', () => {
  it('has each name once', () => {
    for (const rows of [DEMO_PLACES, DEMO_VEHICLES, DEMO_WORKERS, DEMO_PRODUCTS, DEMO_GEAR])
      expect(twice(rows.map(({ id }) => id))).toEqual([]);
  });

  it('refers to nothing that it does not have', () => {
    const places = new Set(DEMO_PLACES.map(({ id }) => id));
    const standing = DEMO_VEHICLES.flatMap(({ standsAtPlaceId }) => standsAtPlaceId ?? []);
    expect(standing.length).toBeGreaterThan(0);
    expect(standing.filter((id) => !places.has(id))).toEqual([]);
    const methods: readonly string[] = METHOD_IDS;
    const offered = DEMO_PLACES.flatMap((place) => place.methods.map(({ methodId }) => methodId));
    expect(offered.filter((id) => !methods.includes(id))).toEqual([]);
  });

  it('opens every place, and has somebody working, on the day of its clock', () => {
    const weekday = (new Date(DEMO_CLOCK).getUTCDay() + 6) % 7;
    expect(DEMO_PLACES.filter(({ openHours }) => openHours[weekday] === null)).toEqual([]);
    expect(DEMO_WORKERS.some(({ hours }) => hours[weekday] !== null)).toBe(true);
  });

  it('begins its season before its clock, in a zone that there is', () => {
    expect(Date.parse(DEMO_SEASON_START)).toBeLessThan(Date.parse(DEMO_CLOCK));
    expect(() => new Intl.DateTimeFormat('en', { timeZone: DEMO_ZONE })).not.toThrow();
  });

  it('mixes as its labels allow, and has no more clean cloths than cloths', () => {
    const odd = DEMO_PRODUCTS.filter(
      ({ usualParts, fewestParts, mostParts }) => usualParts < fewestParts || usualParts > mostParts,
    );
    expect(odd).toEqual([]);
    expect(DEMO_GEAR.filter(({ count, cleanCount }) => (cleanCount ?? 0) > (count ?? 0))).toEqual([]);
  });
});
