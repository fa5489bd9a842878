import { statSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { MessageChannel } from 'node:worker_threads';
import { Inject, Injectable, type OnModuleDestroy, Optional } from '@nestjs/common';
import {
  type AnswerProgress,
  type Answers,
  FieldError,
  helpWith,
  LONG_QUESTIONS,
  PARTIAL_QUESTIONS,
  type Question,
} from '@keen/core';
import { Piscina } from 'piscina';
import { Subject } from 'rxjs';
import { askerName } from '../db/acting.js';
import { Cancelled } from './cancelled.js';
import { FairTurns } from './fair-turns.js';
import { CONFIG, type Config } from '../config/config.js';
import type { EngineData, News, Outcome } from './engine.worker.js';
import { SharedWriter } from './shared-memory.js';
import { dissolve, type TeamBoard, teamBoard } from './shared-team.js';
import { workerFile } from './worker-file.js';

/** Without a bound a thread would rather grow than tidy up. */
const LONG_MEMORY = { maxOldGenerationSizeMb: 112, maxYoungGenerationSizeMb: 16 };
const QUICK_MEMORY = { maxOldGenerationSizeMb: 72, maxYoungGenerationSizeMb: 8 };
/** Threads that help with a long question: as many as there are processors besides, but each has its own memory. */
const MOST_HELPERS = 3;
const HELPERS = Math.min(MOST_HELPERS, availableParallelism() - 1);

/** So many questions of one client may wait; a page asks a handful. */
const MOST_WAITING = 64;

/** A question under way. */
interface UnderWay {
  readonly isInParts: boolean;
  /** Set to 1 when nobody waits for the answer any more. */
  readonly stop: Int32Array;
  /** What several threads have taken of it; null: one thread does it all. */
  readonly board: TeamBoard | null;
  /** The last progress that was reported. */
  share: number;
}

/**
 * Threads that answer questions: one for long ones, whose sums are worth keeping at hand, others that help it where there is much to be
 * made, and one for quick ones meanwhile.
 */
@Injectable()
export class EnginePool implements OnModuleDestroy {
  readonly progress = new Subject<AnswerProgress>();
  /** Parts of the long answer that is being worked out, or was last, in the order in which they came. */
  parts: readonly NonNullable<AnswerProgress['part']>[] = [];
  private readonly weather = new SharedWriter();
  private isClosing = false;
  private readonly longTurns = new FairTurns(MOST_WAITING);
  private readonly quickTurns = new FairTurns(MOST_WAITING);
  private readonly long: Piscina;
  /** null: nobody would find what they make, or there is one processor only. */
  private readonly helpers: Piscina | null;
  private readonly quick = new Piscina({
    filename: workerFile('engine', import.meta.url),
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: 20_000,
    resourceLimits: QUICK_MEMORY,
  });

  constructor(@Optional() @Inject(CONFIG) config: Pick<Config, 'dataFolder'> | null = null) {
    const filename = workerFile('engine', import.meta.url);
    const version = String(statSync(new URL(filename)).mtimeMs);
    const workerData: EngineData | null = config && { folder: join(config.dataFolder, 'answers'), version };
    const keeping = { filename, workerData, minThreads: 0, resourceLimits: LONG_MEMORY };
    this.long = new Piscina({ ...keeping, maxThreads: 1, idleTimeout: 600_000 });
    this.helpers =
      config && HELPERS > 0 ? new Piscina({ ...keeping, maxThreads: HELPERS, idleTimeout: 2000 }) : null;
  }

  /** @throws Cancelled once the signal says that nobody waits any more */
  async run<K extends Question['kind']>(
    question: Extract<Question, { kind: K }>,
    signal?: AbortSignal,
  ): Promise<Answers[K]> {
    const isInParts = PARTIAL_QUESTIONS.has(question.kind);
    if (isInParts) this.parts = [];
    const help = this.helpers && helpWith(question);
    const stop = new Int32Array(new SharedArrayBuffer(4));
    const board = help && teamBoard(help.partCount);
    const underWay: UnderWay = { isInParts, stop, board, share: 0 };
    const onAbort = (): void => void Atomics.store(stop, 0, 1);
    signal?.addEventListener('abort', onAbort);
    const [pool, turns] = LONG_QUESTIONS.has(question.kind)
      ? [this.long, this.longTurns]
      : [this.quick, this.quickTurns];
    const ask = (): Promise<unknown> =>
      this.ask(pool, question, {
        underWay,
        onCall: () => {
          if (help) this.callHelpers(help.ask, underWay);
        },
      });
    try {
      return (await turns.run(askerName(), ask)) as Answers[K];
    } catch (error) {
      // A thread that is ended in the middle of its work is no fault once the program stops.
      throw this.isClosing ? new Cancelled() : error;
    } finally {
      signal?.removeEventListener('abort', onAbort);
      onAbort();
    }
  }

  /** What they make is kept; that one of them fails is seen by the thread that does its part again. */
  private callHelpers(question: Question, underWay: UnderWay): void {
    for (let helper = 0; helper < HELPERS && this.helpers; helper += 1)
      this.ask(this.helpers, question, { underWay, onCall: () => undefined }).catch(() => {
        if (underWay.board) dissolve(underWay.board);
      });
  }

  private async ask(
    pool: Piscina,
    { weather, ...question }: Question,
    { underWay, onCall }: { readonly underWay: UnderWay; readonly onCall: () => void },
  ): Promise<unknown> {
    const { stop, board } = underWay;
    const { port1, port2 } = new MessageChannel();
    port1.on('message', (news: News) => {
      if (news.kind === 'call') onCall();
      else this.tell(news.progress, underWay);
    });
    try {
      const order = {
        question,
        weather: this.weather.of(weather),
        port: port2,
        stop,
        ...(board && { board }),
      };
      const outcome = (await pool.run(order, { transferList: [port2] })) as Outcome;
      if (outcome.kind === 'cancelled') throw new Cancelled();
      if (outcome.kind === 'fault') {
        const { code, field, message } = outcome.fault;
        throw new FieldError(code, field, message);
      }
      return outcome.answer;
    } finally {
      port1.close();
    }
  }

  /** Several threads tell of the same work, and never that it went backwards. */
  private tell(progress: AnswerProgress, underWay: Pick<UnderWay, 'isInParts' | 'share'>): void {
    if (progress.part && underWay.isInParts) this.parts = [...this.parts, progress.part];
    underWay.share = Math.max(underWay.share, progress.share);
    this.progress.next({ ...progress, share: underWay.share });
  }

  async onModuleDestroy(): Promise<void> {
    this.isClosing = true;
    await Promise.all([this.long.destroy(), this.quick.destroy(), this.helpers?.destroy()]);
  }
}
