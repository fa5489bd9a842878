import { MessageChannel } from 'node:worker_threads';
import { HttpException, Injectable, type OnModuleDestroy } from '@nestjs/common';
import { Piscina } from 'piscina';
import { askerName } from '../db/acting.js';
import { FairTurns } from '../engine/fair-turns.js';
import type { Order, Outcome } from './beside.js';
import { unreadable } from './import-report.js';

/** The largest honest file of any kind takes a tenth of it (judgement). */
export const MOST_READING_MS = 3000;
/** A thread that has not begun by then never will: a slow machine with much to do takes seconds to open its program. */
const MOST_STARTING_MS = 60_000;
const MOST_MEMORY_MB = 256;
/** Files of one client that may wait. */
const MOST_WAITING = 16;

type Program = (order: Order<never>) => Outcome<unknown>;
type FoundBy<Run extends Program> = Extract<ReturnType<Run>, { readonly kind: 'read' }>['found'];

/** How a kind of file is read: by the program of a thread, whose default export is `answering(…)`. */
export interface Reading<Run extends Program> {
  /** Of the thread's program. */
  readonly file: string;
  /** What to say where it does not come to an end. */
  readonly tooMuch: string;
  /** Only for the types; never called here. */
  readonly run?: Run;
}

/** Reads files beside the server, with a budget of time and memory: whatever stands in a file, others are answered meanwhile. */
@Injectable()
export class FileReader implements OnModuleDestroy {
  private readonly turns = new FairTurns(MOST_WAITING);
  private readonly pool = new Piscina({
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: 2000,
    resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY_MB },
  });

  /** @throws 400 where the file cannot be read, or not within its time and memory; 503 where too many of this client wait */
  read<Run extends Program>(
    reading: Reading<Run>,
    job: Parameters<Run>[0]['job'],
    mostMs = MOST_READING_MS,
  ): Promise<FoundBy<Run>> {
    return this.turns.run(askerName(), async () => {
      const outcome = await this.outcome(reading, job, mostMs);
      if (outcome.kind === 'read') return outcome.found;
      throw new HttpException(outcome.body, outcome.status);
    });
  }

  private async outcome(
    { file, tooMuch }: Pick<Reading<Program>, 'file' | 'tooMuch'>,
    job: unknown,
    mostMs: number,
  ): Promise<Outcome<unknown>> {
    const stop = new AbortController();
    const { signal } = stop;
    const { port1, port2 } = new MessageChannel();
    let timer = setTimeout(() => stop.abort(), MOST_STARTING_MS);
    // The time of a file begins when somebody reads it.
    port1.once('message', () => {
      clearTimeout(timer);
      timer = setTimeout(() => stop.abort(), mostMs);
    });
    try {
      const order = { job, begun: port2 };
      const options = { filename: file, signal, transferList: [port2] };
      return (await this.pool.run(order, options)) as Outcome<unknown>;
    } catch (error) {
      const isTooMuch = signal.aborted || (error as { code?: unknown }).code === 'ERR_WORKER_OUT_OF_MEMORY';
      if (!isTooMuch) throw error;
      throw unreadable(`${tooMuch} Nothing was kept.`);
    } finally {
      clearTimeout(timer);
      port1.close();
    }
  }

  async onModuleDestroy(): Promise<void> {
    await this.pool.destroy();
  }
}
