import { describe, expect, it } from '@jest/globals';
import { MS_PER_HOUR } from '../quantity/index.js';
import type { CompiledHour, SaltLedger } from '../salt/index.js';
import { FACTS } from '../testing/facts.js';
import { carStateOf, saltDaysOn } from './car-state.js';
import { KEEP_NOTHING } from './keeper.js';
import { courseDay, DAY_HOUR, daysAhead, SALTED_GRAMS_PER_M2, type SaltDay } from './salt-days.js';

const day = (atMs: number, ...loads: number[]): SaltDay => ({
  atMs,
  activeHours: 12,
  zones: loads.map(
    (loadGramsPerM2, i) => ({ zone: i === 0 ? 'roof' : 'sills', loadGramsPerM2, activeHours: 0 }) as never,
  ),
});

describe('a day of the season', () => {
  it('is salted where one zone carries enough of it, from the limit on', () => {
    expect(courseDay(day(7, 0, SALTED_GRAMS_PER_M2))).toEqual({ atMs: 7, activeHours: 12, isSalted: true });
    expect(courseDay(day(7, 0, SALTED_GRAMS_PER_M2 - 0.001)).isSalted).toBe(false);
    expect(courseDay(day(7)).isSalted).toBe(false);
  });

  it('counts for a zone by that zone’s own load, since an instant', () => {
    const days = [day(1, 1), day(2, 0.29), day(3, 0.3), day(4, 0, 5)];
    expect(saltDaysOn({ days }, 'roof')(1)).toBe(2);
    expect(saltDaysOn({ days }, 'roof')(2)).toBe(1);
    expect(saltDaysOn({ days }, 'roof')(4)).toBe(0);
    expect(saltDaysOn({ days }, 'underbody')(0)).toBe(0);
  });
});

describe('the days to come', () => {
  const hours = Array.from({ length: 49 }, (_, i) => ({ atMs: i * MS_PER_HOUR }) as CompiledHour);
  const clock = hours.map((_, i) => i % 24);
  /** Counts the hours that it went through. */
  const counting = (): SaltLedger => {
    let gone = 0;
    return {
      step: () => (gone += 1),
      get activeHours() {
        return gone;
      },
      zones: () => [],
      copy: counting,
    } as unknown as SaltLedger;
  };

  it('are written down once a day at their hour, that hour included, and leave the present as it is', () => {
    const now = counting();
    expect(daysAhead(now, hours, clock)).toEqual([
      { atMs: DAY_HOUR * MS_PER_HOUR, activeHours: DAY_HOUR + 1, isSalted: false },
      { atMs: (24 + DAY_HOUR) * MS_PER_HOUR, activeHours: 24 + DAY_HOUR + 1, isSalted: false },
    ]);
    expect(now.activeHours).toBe(0);
  });
});

describe('the days of a car', () => {
  const state = carStateOf(FACTS, KEEP_NOTHING);

  it('stand a day apart, at five in the morning of the shop’s clock, from the first of the season on', () => {
    const clock = new Intl.DateTimeFormat('en-GB', { timeZone: FACTS.timeZone, hour: '2-digit' });
    expect(state.days.map(({ atMs }) => clock.format(atMs))).toEqual(state.days.map(() => '05'));
    expect(state.days).toHaveLength(12);
    const steps = state.days.slice(1).map(({ atMs }, i) => (atMs - (state.days[i]?.atMs ?? 0)) / MS_PER_HOUR);
    expect(new Set(steps)).toEqual(new Set([24]));
    expect(state.days[0]?.atMs).toBeGreaterThanOrEqual(FACTS.weather.seasonMs);
  });

  it('count its clock from the last wash on', () => {
    const { lastWashMs, target } = state;
    expect(lastWashMs).toBe((FACTS.car.washes[0]?.startMs ?? 0) + MS_PER_HOUR);
    expect(target.used).toBeCloseTo((FACTS.weather.fromMs - (lastWashMs ?? 0)) / (24 * MS_PER_HOUR), 6);
  });

  it('with a target in hours of salt count what has gone on since the last wash alone', () => {
    const inHours = (washes: typeof FACTS.car.washes) => {
      const vehicle = { ...FACTS.car.vehicle, target: { kind: 'active-hours', hours: 90 } as never };
      return carStateOf({ ...FACTS, car: { ...FACTS.car, vehicle, washes } }, KEEP_NOTHING);
    };
    const [never, washed] = [inHours([]), inHours(FACTS.car.washes)];
    expect(never.target.used).toBeCloseTo(never.ledger.activeHours, 6);
    expect(washed.target.used).toBeLessThan(washed.ledger.activeHours);
    expect(washed.target.used).toBeGreaterThan(0);
  });
});
