import type { MessagePort } from 'node:worker_threads';
import { describe, expect, it } from '@jest/globals';
import type { Schedule, ScheduleProblem } from '@keen/core';
import run, { type SolverJob } from './solver.worker.js';

/** One crew, two jobs of an hour, each worth most at the first hour. */
const PROBLEM = {
  slotMinutes: 30,
  slotCount: 8,
  jobCount: 2,
  crewCount: 1,
  capacity: [Array.from({ length: 8 }, () => 1)],
  travelMinutes: [[0]],
  stock: [],
  options: [0, 1].flatMap((job) =>
    [0, 2].map((startSlot) => ({
      job,
      place: 0,
      startSlot,
      durationMinutes: 60,
      crew: 0,
      stock: null,
      value: 10 - startSlot - job,
    })),
  ),
} as unknown as ScheduleProblem;

function order(job: SolverJob, stopped = 0) {
  const told: Schedule[] = [];
  let isShut = false;
  const port = {
    postMessage: (schedule: Schedule) => void told.push(schedule),
    close: () => void (isShut = true),
  } as unknown as MessagePort;
  const stop = new Int32Array(new SharedArrayBuffer(4));
  Atomics.store(stop, 0, stopped);
  return { told, isShut: () => isShut, given: { job, port, stop } };
}

describe('the solver’s work', () => {
  it('is a schedule that is proven, told as it gets better, with its port shut in the end', async () => {
    const { told, isShut, given } = order({ kind: 'schedule', problem: PROBLEM, timeLimitSeconds: 20 });
    expect(await run(given)).toMatchObject({ value: 17, bound: 17, status: 'proven' });
    expect(told.every(({ value }) => value <= 17)).toBe(true);
    expect(isShut()).toBe(true);
  });

  it('ends at once when it is enough', async () => {
    const { given } = order({ kind: 'schedule', problem: PROBLEM, timeLimitSeconds: 20 }, 1);
    const schedule = (await run(given)) as Schedule;
    expect(schedule.value).toBeLessThanOrEqual(schedule.bound);
  });

  it('names a sum that there is not, and shuts its port all the same', async () => {
    const { isShut, given } = order({ kind: 'sum', name: 'nonsense', input: {} });
    await expect(run(given)).rejects.toMatchObject({ field: 'name', code: 'unknown-name' });
    expect(isShut()).toBe(true);
  });
});
