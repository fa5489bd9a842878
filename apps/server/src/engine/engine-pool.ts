import { existsSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { MessageChannel } from 'node:worker_threads';
import { Inject, Injectable, type OnModuleDestroy, Optional } from '@nestjs/common';
import {
  type AnswerProgress,
  type Answers,
  FieldError,
  LONG_QUESTIONS,
  PARTIAL_QUESTIONS,
  type Question,
} from '@keen/core';
import { Piscina } from 'piscina';
import { Subject } from 'rxjs';
import { Cancelled } from './cancelled.js';
import { CONFIG, type Config } from '../config/config.js';
import type { EngineData, Outcome } from './engine.worker.js';
import { SharedWriter } from './shared-memory.js';

/** A thread cannot load TypeScript, so a run from source uses what was built. */
function workerFile(): string {
  const beside = new URL('./engine.worker.js', import.meta.url);
  return existsSync(beside)
    ? beside.href
    : new URL('../../dist/engine/engine.worker.js', import.meta.url).href;
}

/** Without a bound a thread would rather grow than tidy up. */
const LONG_MEMORY = { maxOldGenerationSizeMb: 112, maxYoungGenerationSizeMb: 16 };
const QUICK_MEMORY = { maxOldGenerationSizeMb: 72, maxYoungGenerationSizeMb: 8 };

/** Two threads that answer questions: one for long ones, whose sums are worth keeping at hand, and one for quick ones meanwhile. */
@Injectable()
export class EnginePool implements OnModuleDestroy {
  readonly progress = new Subject<AnswerProgress>();
  /** Parts of the long answer that is being worked out, or was last, in the order in which they came. */
  parts: readonly NonNullable<AnswerProgress['part']>[] = [];
  private readonly weather = new SharedWriter();
  private isClosing = false;
  private readonly long: Piscina;
  private readonly quick = new Piscina({
    filename: workerFile(),
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: 20_000,
    resourceLimits: QUICK_MEMORY,
  });

  constructor(@Optional() @Inject(CONFIG) config: Pick<Config, 'dataFolder'> | null = null) {
    const filename = workerFile();
    const version = String(statSync(new URL(filename)).mtimeMs);
    const workerData: EngineData | null = config && { folder: join(config.dataFolder, 'answers'), version };
    this.long = new Piscina({
      filename,
      workerData,
      minThreads: 0,
      maxThreads: 1,
      idleTimeout: 600_000,
      resourceLimits: LONG_MEMORY,
    });
  }

  /** @throws Cancelled once the signal says that nobody waits any more */
  async run<K extends Question['kind']>(
    question: Extract<Question, { kind: K }>,
    signal?: AbortSignal,
  ): Promise<Answers[K]> {
    const { port1, port2 } = new MessageChannel();
    const isInParts = PARTIAL_QUESTIONS.has(question.kind);
    if (isInParts) this.parts = [];
    port1.on('message', (progress: AnswerProgress) => {
      if (progress.part && isInParts) this.parts = [...this.parts, progress.part];
      this.progress.next(progress);
    });
    const stop = new Int32Array(new SharedArrayBuffer(4));
    const onAbort = (): void => void Atomics.store(stop, 0, 1);
    signal?.addEventListener('abort', onAbort);
    try {
      const pool = LONG_QUESTIONS.has(question.kind) ? this.long : this.quick;
      const { weather, ...rest } = question;
      const order = { question: rest, weather: this.weather.of(weather), port: port2, stop };
      const outcome = (await pool.run(order, { transferList: [port2] })) as Outcome;
      if (outcome.kind === 'cancelled') throw new Cancelled();
      if (outcome.kind === 'fault') {
        const { code, field, message } = outcome.fault;
        throw new FieldError(code, field, message);
      }
      return outcome.answer as Answers[K];
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
