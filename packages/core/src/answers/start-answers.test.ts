import { describe, expect, it } from '@jest/globals';
import { EMPTY_KIT } from '../kit/index.js';
import { MS_PER_HOUR, MS_PER_MINUTE } from '../quantity/index.js';
import { KEEP_NOTHING, type OfCar } from '../shop/index.js';
import { FACTS, NOTES, NOW_MS, ofCar, THIS_HOUR_MS, washAgo } from '../testing/facts.js';
import { HEATED_UNIT } from '../testing/shop.js';
import { answerTo } from './index.js';
import { saltAnswer } from './salt.js';
import { zoneProtections } from './zone-protections.js';

const tools = { keep: KEEP_NOTHING, report: () => undefined, clockMs: () => 0 };
/** In the shop's time. */
const at = (clock: string): number => Date.parse(`2026-01-14T${clock}:00-05:00`);
const unlit: OfCar = { ...FACTS, places: [{ ...HEATED_UNIT, hasLight: false }] };
const packAt = (startMs: number, of: OfCar = unlit) =>
  answerTo<'run-pack'>(
    {
      ...of,
      kind: 'run-pack',
      start: { placeId: 'garage', methodId: 'garage-rinseless', startMs },
      kit: EMPTY_KIT,
    },
    tools,
  );

describe('the light of a wash', () => {
  it.each([
    { why: 'before sunrise', clock: '07:00', isDark: true, sunset: false },
    { why: 'at noon', clock: '12:00', isDark: false, sunset: true },
    { why: 'into the night', clock: '17:00', isDark: true, sunset: true },
    { why: 'at night', clock: '20:00', isDark: true, sunset: false },
  ])('$why', ({ clock, isDark, sunset }) => {
    const pack = packAt(at(clock));
    expect(pack?.isDark).toBe(isDark);
    expect(pack?.sunsetMs !== null).toBe(sunset);
  });

  it('ends when the sun sets, whatever the hour of the start, and needs none where a lamp hangs', () => {
    const [noon, later] = [packAt(at('12:00')), packAt(at('15:00'))];
    expect(Math.abs((noon?.sunsetMs ?? 0) - (later?.sunsetMs ?? 0))).toBeLessThan(2 * MS_PER_MINUTE);
    expect(noon?.sunsetMs).toBeGreaterThan(at('16:30'));
    expect(noon?.sunsetMs).toBeLessThan(at('18:30'));
    expect(packAt(at('12:00'), FACTS)?.sunsetMs).toBeNull();
  });
});

describe('one wash, worked through', () => {
  it('has the verdict that the week has for that hour, and none of a start beside it', () => {
    const week = answerTo<'week'>({ ...FACTS, kind: 'week' }, tools);
    const band = week.bands.find(({ placeId, methodId }) => placeId === 'bay' && methodId === 'bay-contact');
    for (const hour of [3, 8, 27]) {
      const start = { placeId: 'bay', methodId: 'bay-contact', startMs: THIS_HOUR_MS + hour * MS_PER_HOUR };
      const wash = answerTo<'wash'>({ ...FACTS, kind: 'wash', start }, tools);
      expect(wash?.verdict).toBe(band?.cells[hour]?.verdict);
    }
    const refused = { placeId: 'garage', methodId: 'bay-contact', startMs: THIS_HOUR_MS + 8 * MS_PER_HOUR };
    expect(answerTo<'wash'>({ ...FACTS, kind: 'wash', start: refused }, tools)?.verdict).toBe('no');
  });
});

describe('the salt of a car', () => {
  const salt = (of: OfCar) => saltAnswer(of, tools);

  it('says of how many hours nobody knows the weather', () => {
    const observed = FACTS.weather.observed.map((hour, i) => (i < 5 ? null : hour));
    const control = FACTS.weather.control.map((hour, i) => (i < 2 ? null : hour));
    const blind = { ...FACTS, weather: { ...FACTS.weather, stamp: 'blind', observed, control } };
    expect(salt(blind).unknownHours).toEqual({ past: 5, ahead: 2 });
    expect(salt(FACTS).unknownHours).toEqual({ past: 0, ahead: 0 });
  });

  it('tells what the last wash has saved, where it is known when that was', () => {
    const known = salt(FACTS).savedByLast;
    expect(known?.activeHours).toBeGreaterThan(0);
    const told = { washes: [], washedBefore: { atMs: NOW_MS - 5 * 24 * MS_PER_HOUR, isKnown: true } };
    expect(salt(ofCar(told)).savedByLast?.atMs).toBe(told.washedBefore.atMs);
    expect(
      salt(ofCar({ ...told, washedBefore: { ...told.washedBefore, isKnown: false } })).savedByLast,
    ).toBeNull();
    expect(salt(ofCar({ washes: [] })).savedByLast).toBeNull();
  });

  it('does not let a swab after the wash hide what it saved, and counts one before it', () => {
    const savedWith = (hours: number, gramsPerM2: number): number => {
      const swab = { atMs: NOW_MS - hours * MS_PER_HOUR, zone: 'lower-left' as const, gramsPerM2 };
      return salt(ofCar({ washes: [washAgo(120)], readings: [swab] })).savedByLast?.activeHours ?? NaN;
    };
    expect(savedWith(100, 3)).toBeGreaterThan(0);
    // So much salt just before it: the wash took more of it off than of next to none.
    expect(savedWith(122, 9)).toBeGreaterThan(savedWith(122, 0.01) + 1);
  });
});

describe('what is left of the protection', () => {
  it('is given for each zone by what lies on it, and of the others by the whole car’s', () => {
    const { vehicle } = FACTS.car;
    const row = {
      zone: 'roof',
      kind: 'wax',
      claimedLifeDays: 100,
      observed: null,
      appliedMs: NOW_MS - 50 * 24 * MS_PER_HOUR,
      productName: 'Own wax',
    };
    const state = {
      vehicle: { ...vehicle, protection: 'coating', protections: [row] },
      washes: [],
      days: [],
    } as never;
    const zones = zoneProtections(state, FACTS);
    expect(zones.find(({ zone }) => zone === 'roof')).toMatchObject({
      appliedMs: row.appliedMs,
      productName: 'Own wax',
    });
    expect(zones.find(({ zone }) => zone === 'bonnet')).toMatchObject({ appliedMs: null, productName: null });
    expect(zones.filter(({ productName }) => productName !== null)).toHaveLength(1);
  });
});

describe('what a little more of each limit is worth', () => {
  it('is what the plan gains by it: hands, in a shop that has none', () => {
    const dear = { ...FACTS, prices: { ...FACTS.prices, saltMinorPerActiveHour: 500 } };
    const away = { id: 'away', name: 'Away', hours: Array.from({ length: 7 }, () => null) };
    const worth = (workers: typeof NOTES.workers) =>
      answerTo<'reliefs'>(
        { ...dear, kind: 'reliefs', cars: [FACTS.car], facts: { ...NOTES, workers } },
        tools,
      ).filter(({ relief }) => relief.kind === 'workers');
    const [best] = worth([away]);
    expect(best?.worthMinor).toBeGreaterThan(100);
    expect(worth(NOTES.workers).every(({ worthMinor }) => worthMinor < (best?.worthMinor ?? 0))).toBe(true);
  });
});
