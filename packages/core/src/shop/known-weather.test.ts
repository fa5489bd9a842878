import { describe, expect, it } from '@jest/globals';
import { MS_PER_HOUR } from '../quantity/index.js';
import { DRIVE } from '../testing/shop.js';
import { FACTS } from '../testing/facts.js';
import { standsAt } from './shop-facts.js';
import { KEEP_NOTHING, type Keeper } from './keeper.js';
import { controlSpan, spanOf } from './known-weather.js';
import { sitesOf } from './sites.js';
import { surroundingsOf, roadAheadOf, roadFacts } from './roads.js';

const { weather } = FACTS;

describe('the weather as one span', () => {
  it('is a day and a half of what was, and then what comes', () => {
    const { fromMs, hours } = controlSpan(weather);
    expect(fromMs).toBe(weather.fromMs - 36 * MS_PER_HOUR);
    expect(hours).toHaveLength(36 + weather.control.length);
    expect(hours[36]).toBe(weather.control[0]);
    expect(hours[35]).toBe(weather.observed.at(-1));
  });

  it('begins as early as is known, where that is later', () => {
    const observed = weather.observed.slice(-3);
    expect(spanOf({ fromMs: weather.fromMs, observed }, [])).toEqual({
      fromMs: weather.fromMs - 3 * MS_PER_HOUR,
      hours: observed,
    });
  });
});

describe('the roads of a shop', () => {
  it('are not known as long as it has no place', () => {
    expect(roadFacts({ ...FACTS, places: [] }).point).toBeNull();
    const { roads, hours } = surroundingsOf(roadFacts({ ...FACTS, places: [] }), KEEP_NOTHING);
    expect(roads).toHaveLength(hours.length);
    expect(roads.some(({ main, town }) => main || town)).toBe(false);
  });

  it('lie where the first place does, over the season and the forecast', () => {
    const facts = roadFacts(FACTS);
    expect(facts.point).toEqual({ latitudeDeg: 46.5, longitudeDeg: -84.3 });
    const { roads, fromMs } = surroundingsOf(facts, KEEP_NOTHING);
    expect(fromMs).toBe(weather.seasonMs);
    expect(roads.every(({ main }) => main)).toBe(true);
    const ahead = roadAheadOf(facts, KEEP_NOTHING);
    const now = roads[weather.observed.length]?.main;
    expect(now?.atMs).toBe(weather.fromMs);
    const next = roads.slice(weather.observed.length);
    const dirty = next.findIndex(({ main }) => !main || !['dry', 'damp'].includes(main.state));
    expect(ahead.dryHours(weather.fromMs)).toBe(dirty < 0 ? next.length : dirty);
    expect(ahead.dryHours(weather.fromMs - MS_PER_HOUR)).toBeNull();
  });
});

describe('the places under the forecast', () => {
  it('are one for each place, kept by what it and the weather are', () => {
    const asked: object[] = [];
    const keep: Keeper = {
      ...KEEP_NOTHING,
      of: (room, inputs, make) => {
        if (room === 'site') asked.push(inputs);
        return make(inputs);
      },
    };
    const withDrive = { ...FACTS, places: [...FACTS.places, DRIVE] };
    const sites = sitesOf(withDrive, keep);
    expect(sites.map(({ place }) => place.id)).toEqual(['garage', 'bay', 'drive']);
    expect(asked).toHaveLength(3);
    expect(asked[2]).toMatchObject({ place: DRIVE, weather: { stamp: 'base' }, timeZone: FACTS.timeZone });
  });
});

describe('where a car stands at night', () => {
  it('is the place of its record, or the street', () => {
    const at = (standsAtPlaceId: string | null) =>
      standsAt({ ...FACTS, car: { ...FACTS.car, vehicle: { ...FACTS.car.vehicle, standsAtPlaceId } } });
    expect(at('bay')?.id).toBe('bay');
    expect(at('gone')).toBeNull();
    expect(at(null)).toBeNull();
  });
});
