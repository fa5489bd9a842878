import { describe, expect, it } from '@jest/globals';
import { MS_PER_HOUR } from '../quantity/index.js';
import { FACTS, NOW_MS, ofCar } from '../testing/facts.js';
import { carStateOf } from './car-state.js';
import { KEEP_NOTHING } from './keeper.js';

const PLAIN = carStateOf(FACTS, KEEP_NOTHING);
const loadOf = ({ ledger }: typeof PLAIN): number =>
  ledger.zones().find(({ zone }) => zone === 'lower-left')?.loadGramsPerM2 ?? NaN;
const readingOf = (times: number) =>
  ofCar({
    readings: [1, 2, 3].map((hours) => ({
      atMs: NOW_MS - hours * MS_PER_HOUR,
      zone: 'lower-left' as const,
      gramsPerM2: times * loadOf(PLAIN),
    })),
  });

describe('the hours that a car lives through', () => {
  it('are those measured and those forecast', () => {
    expect(PLAIN.past).toHaveLength(FACTS.weather.observed.length);
    expect(PLAIN.ahead).toHaveLength(FACTS.weather.control.length);
    expect(PLAIN.ahead[0]?.atMs).toBe(FACTS.weather.fromMs);
    expect(PLAIN.pickUp).toEqual({ factor: 1, count: 0, checks: [] });
  });

  it('bring more salt to a car whose swabs say so, and less to one whose swabs say that', () => {
    const [more, less] = [readingOf(3), readingOf(0.3)].map((one) => carStateOf(one, KEEP_NOTHING));
    expect(more?.pickUp.factor).toBeGreaterThan(1.05);
    expect(less?.pickUp.factor).toBeLessThan(0.95);
    expect(more?.pickUp.count).toBe(3);
    const ahead = (one: typeof PLAIN | undefined): number => {
      const ledger = PLAIN.ledger.copy();
      for (const hour of one?.ahead ?? []) ledger.step(hour);
      return ledger.zones().reduce((sum, { loadGramsPerM2 }) => sum + loadGramsPerM2, 0);
    };
    expect(ahead(more)).toBeGreaterThan(ahead(PLAIN));
    expect(ahead(less)).toBeLessThan(ahead(PLAIN));
  });
});
