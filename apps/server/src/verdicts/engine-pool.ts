import { existsSync } from 'node:fs';
import { MessageChannel } from 'node:worker_threads';
import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import {
  type BalanceRow,
  type CadenceOutcome,
  FieldError,
  type Flip,
  type PlanAnswer,
  type PlanOption,
  type WorthOfRelief,
} from '@keen/core';
import { Piscina } from 'piscina';
import { Subject } from 'rxjs';
import { Cancelled } from './cancelled.js';
import type { ConditionAnswer } from './condition-answer.js';
import type { CellAnswer, GridAnswer, MadePlan, PackDraft } from './engine.js';
import type { EngineJob, EngineProgress } from './engine-job.js';
import type { Outcome } from './engine.worker.js';
import type { SaltAnswer } from './salt-answer.js';
import { WeatherShare } from './shared-weather.js';

/** The answer to each kind of question. */
export interface EngineResults {
  grid: GridAnswer;
  plan: MadePlan;
  'plan-tell': PlanAnswer;
  moves: PlanOption[];
  reliefs: WorthOfRelief[];
  salt: SaltAnswer;
  condition: ConditionAnswer;
  cell: CellAnswer;
  'run-pack': PackDraft | null;
  flips: Flip[];
  balance: BalanceRow[];
  cadence: CadenceOutcome[];
}

/** A thread cannot load TypeScript, so a run from source uses what was built. */
function workerFile(): string {
  const beside = new URL('./engine.worker.js', import.meta.url);
  return existsSync(beside)
    ? beside.href
    : new URL('../../dist/verdicts/engine.worker.js', import.meta.url).href;
}

/** Long work, whose bands are worth keeping: one thread, so that they stay at hand. */
const LONG: ReadonlySet<EngineJob['kind']> = new Set([
  'grid',
  'plan',
  'plan-tell',
  'moves',
  'reliefs',
  'balance',
]);
/** Without a bound a thread would rather grow than tidy up. */
const LONG_MEMORY = { maxOldGenerationSizeMb: 84, maxYoungGenerationSizeMb: 8 };
const QUICK_MEMORY = { maxOldGenerationSizeMb: 64, maxYoungGenerationSizeMb: 4 };

/** The engine in two threads: one for grids, and one that answers quick questions meanwhile. */
@Injectable()
export class EnginePool implements OnModuleDestroy {
  readonly progress = new Subject<EngineProgress>();
  private readonly weather = new WeatherShare();
  private isClosing = false;
  private readonly long = new Piscina({
    filename: workerFile(),
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: 600_000,
    resourceLimits: LONG_MEMORY,
  });
  private readonly quick = new Piscina({
    filename: workerFile(),
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: 20_000,
    resourceLimits: QUICK_MEMORY,
  });

  /** @throws Cancelled once the signal says that nobody waits any more */
  async run<K extends EngineJob['kind']>(
    job: Extract<EngineJob, { kind: K }>,
    signal?: AbortSignal,
  ): Promise<EngineResults[K]> {
    const { port1, port2 } = new MessageChannel();
    port1.on('message', (progress: EngineProgress) => this.progress.next(progress));
    const stop = new Int32Array(new SharedArrayBuffer(4));
    const onAbort = (): void => void Atomics.store(stop, 0, 1);
    signal?.addEventListener('abort', onAbort);
    try {
      const pool = LONG.has(job.kind) ? this.long : this.quick;
      const { weather, ...rest } = job;
      const order = { job: rest, weather: this.weather.of(weather), port: port2, stop };
      const outcome = (await pool.run(order, { transferList: [port2] })) as Outcome;
      if (outcome.kind === 'cancelled') throw new Cancelled();
      if (outcome.kind === 'fault') {
        const { code, field, message } = outcome.fault;
        throw new FieldError(code, field, message);
      }
      return outcome.answer as EngineResults[K];
    } catch (error) {
      // A thread that is ended in the middle of its work is no fault once the program stops.
      throw this.isClosing ? new Cancelled() : error;
    } finally {
      signal?.removeEventListener('abort', onAbort);
      port1.close();
    }
  }

  async onModuleDestroy(): Promise<void> {
    this.isClosing = true;
    await Promise.all([this.long.destroy(), this.quick.destroy()]);
  }
}
