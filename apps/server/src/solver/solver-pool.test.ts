import { afterAll, describe, expect, it } from '@jest/globals';
import type { Schedule, ScheduleProblem } from '@keen/core';
import { SolverPool } from './solver-pool.js';

const pool = new SolverPool();
afterAll(() => pool.onModuleDestroy());

/** Two jobs of one crew at one place: an hour each, worth most at the same hour. */
const PROBLEM: ScheduleProblem = {
  slotMinutes: 30,
  slotCount: 8,
  jobCount: 2,
  crewCount: 1,
  capacity: [Array.from({ length: 8 }, () => 1)],
  travelMinutes: [[0]],
  stock: [],
  options: [
    { job: 0, place: 0, startSlot: 0, durationMinutes: 60, crew: 0, stock: null, value: 10 },
    { job: 0, place: 0, startSlot: 2, durationMinutes: 60, crew: 0, stock: null, value: 7 },
    { job: 1, place: 0, startSlot: 0, durationMinutes: 60, crew: 0, stock: null, value: 9 },
    { job: 1, place: 0, startSlot: 2, durationMinutes: 60, crew: 0, stock: null, value: 8 },
  ],
};

describe('the solver in its thread', () => {
  it('finds the best, proves it, and says what it finds on the way', async () => {
    const better: Schedule[] = [];
    const schedule = await pool.schedule(PROBLEM, {
      timeLimitSeconds: 20,
      onBetter: (one) => better.push(one),
      signal: new AbortController().signal,
    });
    expect(schedule).toMatchObject({ value: 18, bound: 18, status: 'proven' });
    expect([...schedule.chosen].sort()).toEqual([0, 3]);
    expect(better.every(({ value, bound }) => value <= bound)).toBe(true);
  });

  it('answers with what it has where nobody waits', async () => {
    const stop = new AbortController();
    stop.abort();
    const schedule = await pool.schedule(PROBLEM, {
      timeLimitSeconds: 20,
      onBetter: () => undefined,
      signal: stop.signal,
    });
    expect(schedule.value).toBeLessThanOrEqual(schedule.bound);
  });

  it('works out a sum of the catalogue, and names the field of one that cannot be', async () => {
    const { signal } = new AbortController();
    const bad = await pool.sum('schedule', { slotMinutes: -1 }, signal).catch((error: unknown) => error);
    expect(JSON.stringify(bad instanceof Error ? bad.message : bad)).toMatch(/slotMinutes|slotCount/);
  });
});
