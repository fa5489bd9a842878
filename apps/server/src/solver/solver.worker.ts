import type { MessagePort } from 'node:worker_threads';
import { FieldError, type Schedule, type ScheduleProblem, solve, solveSchedule, SOLVERS } from '@keen/core';

export type SolverJob =
  | { readonly kind: 'schedule'; readonly problem: ScheduleProblem; readonly timeLimitSeconds: number }
  | { readonly kind: 'sum'; readonly name: string; readonly input: unknown };

interface Order {
  readonly job: SolverJob;
  readonly port: MessagePort;
  /** Set to 1 when it is enough. */
  readonly stop: Int32Array;
}

const clockSeconds = (): number => performance.now() / 1000;

/** Searches in the worker thread; better schedules go out on the port while it runs. */
export default async function run({ job, port, stop }: Order): Promise<unknown> {
  const isOver = (): boolean => Atomics.load(stop, 0) === 1;
  try {
    if (job.kind === 'sum') {
      const solver = SOLVERS.get(job.name);
      if (!solver) throw new FieldError('unknown-name', 'name', `there is no sum called ${job.name}`);
      return await solve(solver, job.input, { clockSeconds, isOver });
    }
    const onBetter = (schedule: Schedule): void => port.postMessage(schedule);
    const { problem, timeLimitSeconds } = job;
    return await solveSchedule(problem, { clockSeconds, isOver, onBetter, timeLimitSeconds });
  } finally {
    port.close();
  }
}
