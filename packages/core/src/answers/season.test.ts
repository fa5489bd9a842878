import { describe, expect, it } from '@jest/globals';
import { MS_PER_DAY } from '../quantity/index.js';
import { KEEP_NOTHING, type OfCar } from '../shop/index.js';
import { FACTS, NOW_MS, washAgo } from '../testing/facts.js';

import { BAY } from '../testing/shop.js';
import type { Protection } from '../vehicle/index.js';
import { conditionAnswer } from './condition.js';

/** The car was topped up this winter, and is washed every so many days. */
function carWith(kind: Protection, ageDays: number, cadenceDays = 7): OfCar {
  const { vehicle } = FACTS.car;
  const row = { kind, claimedLifeDays: 100, observed: null, appliedMs: NOW_MS - ageDays * MS_PER_DAY };
  return {
    ...FACTS,
    car: {
      ...FACTS.car,
      vehicle: {
        ...vehicle,
        cadenceDays,
        target: { kind: 'days' },
        seasonJobs: ['top-up'],
        protections: [{ zone: 'roof', ...row }],
      },
      washes: [washAgo(24 * 5, { extras: ['top-up'] })],
    },
  };
}
/** The top-up of that wash is for what could be renewed then; what is asked here is about what lies there now. */
const topUp = (question: OfCar) =>
  conditionAnswer(question, { keep: KEEP_NOTHING }).season.find(({ jobId }) => jobId === 'top-up');
const noted = (question: OfCar): OfCar => ({
  ...question,
  car: {
    ...question.car,
    vehicle: {
      ...question.car.vehicle,
      protections: question.car.vehicle.protections.map((row) => ({ ...row, notedMs: NOW_MS })),
    },
  },
});

describe('a top-up', () => {
  it('waits for its season where what lies there lasts beyond the wash after the next', () => {
    // Young: half of its life is left when the wash after the next is due.
    expect(topUp(noted(carWith('wax', 10)))).toMatchObject({ state: 'done' });
  });

  it('is due sooner where that is worn before the wash after the next', () => {
    const due = topUp(noted(carWith('wax', 60)));
    expect(due).toMatchObject({ state: 'due', dueMs: NOW_MS });
    expect(due?.wornMs).toBeGreaterThanOrEqual(NOW_MS);
    expect(due?.wornMs).toBeLessThan(NOW_MS + 10 * MS_PER_DAY);
  });

  it('is due the sooner the rarer the car is washed', () => {
    const after = (cadenceDays: number) => topUp(noted(carWith('sealant', 30, cadenceDays)))?.state;
    expect([after(7), after(60)]).toEqual(['done', 'due']);
  });

  it('is none for what it does not renew, nor where no hour of the forecast would do', () => {
    expect(topUp(noted(carWith('coating', 95)))).toMatchObject({ state: 'done' });
    const cold = { ...noted(carWith('wax', 60)), places: [BAY] };
    expect(topUp(cold)).toMatchObject({ state: 'done' });
  });
});
