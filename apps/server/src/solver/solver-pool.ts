import { MessageChannel } from 'node:worker_threads';
import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import type { CalculatorAnswer, Schedule, ScheduleProblem } from '@keen/core';
import { Piscina } from 'piscina';
import type { SolverJob } from './solver.worker.js';
import { workerFile } from '../engine/worker-file.js';

export interface SolveOptions {
  readonly timeLimitSeconds: number;
  readonly onBetter: (schedule: Schedule) => void;
  /** Aborting ends the search; the best so far is the answer. */
  readonly signal: AbortSignal;
}

/** The solver in a thread of its own, which ends when it is not needed, and its memory with it. */
@Injectable()
export class SolverPool implements OnModuleDestroy {
  private readonly pool = new Piscina({
    filename: workerFile('solver', import.meta.url),
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: 4000,
    resourceLimits: { maxOldGenerationSizeMb: 512 },
  });

  schedule(problem: ScheduleProblem, options: SolveOptions): Promise<Schedule> {
    const { timeLimitSeconds, onBetter, signal } = options;
    return this.run({ kind: 'schedule', problem, timeLimitSeconds }, signal, (message) =>
      onBetter(message as Schedule),
    ) as Promise<Schedule>;
  }

  /** A sum of the catalogue that searches. */
  sum(name: string, input: unknown, signal: AbortSignal): Promise<CalculatorAnswer> {
    return this.run({ kind: 'sum', name, input }, signal) as Promise<CalculatorAnswer>;
  }

  private async run(
    job: SolverJob,
    signal: AbortSignal,
    onMessage: (message: unknown) => void = () => undefined,
  ): Promise<unknown> {
    const { port1, port2 } = new MessageChannel();
    port1.on('message', onMessage);
    const stop = new Int32Array(new SharedArrayBuffer(4));
    const onAbort = (): void => void Atomics.store(stop, 0, 1);
    if (signal.aborted) onAbort();
    signal.addEventListener('abort', onAbort);
    try {
      return await (this.pool.run({ job, port: port2, stop }, { transferList: [port2] }) as Promise<unknown>);
    } finally {
      signal.removeEventListener('abort', onAbort);
      port1.close();
    }
  }

  onModuleDestroy(): Promise<void> {
    return this.pool.destroy();
  }
}
