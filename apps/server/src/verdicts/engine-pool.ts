import { existsSync } from 'node:fs';
import { MessageChannel } from 'node:worker_threads';
import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import type { Band, VehicleMorning } from '@keen/core';
import { Piscina } from 'piscina';
import { Subject } from 'rxjs';
import type { SaltAnswer } from './engine.js';
import type { EngineJob, EngineProgress } from './engine-job.js';

interface Results {
  grid: Band[];
  morning: VehicleMorning[];
  salt: SaltAnswer;
}

/** A thread cannot load TypeScript, so a run from source uses what was built. */
function workerFile(): string {
  const beside = new URL('./engine.worker.js', import.meta.url);
  return existsSync(beside)
    ? beside.href
    : new URL('../../dist/verdicts/engine.worker.js', import.meta.url).href;
}

/** The grids of a shop fit well within this; without a bound the thread would rather grow than tidy up. */
const MEMORY = { maxOldGenerationSizeMb: 160, maxYoungGenerationSizeMb: 12 };

/** The engine in a thread of its own; one thread, so that what it has computed stays at hand. */
@Injectable()
export class EnginePool implements OnModuleDestroy {
  readonly progress = new Subject<EngineProgress>();
  private readonly pool = new Piscina({
    filename: workerFile(),
    minThreads: 0,
    maxThreads: 1,
    resourceLimits: MEMORY,
  });

  async run<K extends EngineJob['kind']>(job: Extract<EngineJob, { kind: K }>): Promise<Results[K]> {
    const { port1, port2 } = new MessageChannel();
    port1.on('message', (progress: EngineProgress) => this.progress.next(progress));
    try {
      return (await this.pool.run({ job, port: port2 }, { transferList: [port2] })) as Results[K];
    } finally {
      port1.close();
    }
  }

  async onModuleDestroy(): Promise<void> {
    await this.pool.destroy();
  }
}
