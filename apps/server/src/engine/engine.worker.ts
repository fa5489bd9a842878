import { type MessagePort } from 'node:worker_threads';
import { workerData } from 'piscina';
import { type AnswerProgress, answerTo, FieldError, type Question } from '@keen/core';
import { Cancelled } from './cancelled.js';
import { KeptInMemory } from './kept.js';
import { KeptFiles } from './kept-files.js';
import { type Shared, SharedReader } from './shared-memory.js';
import { SharedTeam, type TeamBoard } from './shared-team.js';

const files = workerData as EngineData | null;
const keep = new KeptInMemory(files && new KeptFiles(files.folder, files.version));
const reader = new SharedReader<Question['weather']>();

/** Where the thread keeps what outlives the program, and which build made it. */
export interface EngineData {
  readonly folder: string;
  readonly version: string;
}

interface Order {
  readonly question: Omit<Question, 'weather'>;
  readonly weather: Shared;
  readonly port: MessagePort;
  /** Set to 1 when nobody waits for the answer any more. */
  readonly stop: Int32Array;
  /** Who shares the work of this question; absent: nobody. */
  readonly board?: TeamBoard;
}

/** What goes out on the port while a question is worked on. */
export type News =
  | { readonly kind: 'progress'; readonly progress: AnswerProgress }
  /** There is work for others. */
  | { readonly kind: 'call' };

/** What comes back from the thread: errors lose their names and fields on the way, so the expected ones are sent as data. */
export type Outcome =
  | { readonly kind: 'answer'; readonly answer: unknown }
  | { readonly kind: 'fault'; readonly fault: Pick<FieldError, 'code' | 'field' | 'message'> }
  | { readonly kind: 'cancelled' };

/** Answers one question in the worker thread; progress goes out on the port meanwhile, and it stops at a report when told. */
export default function run(order: Order): Outcome {
  try {
    return { kind: 'answer', answer: work(order) };
  } catch (error) {
    if (error instanceof Cancelled) return { kind: 'cancelled' };
    if (!(error instanceof FieldError)) throw error;
    const { code, field, message } = error;
    return { kind: 'fault', fault: { code, field, message } };
  } finally {
    order.port.close();
  }
}

function work({ question, weather, port, stop, board }: Order): unknown {
  const look = (): void => {
    if (Atomics.load(stop, 0) === 1) throw new Cancelled();
  };
  const tell = (news: News): void => port.postMessage(news);
  const report = (progress: AnswerProgress): void => {
    look();
    tell({ kind: 'progress', progress });
  };
  look();
  const team = board && new SharedTeam(board, () => tell({ kind: 'call' }), look);
  const whole = { ...question, weather: reader.of(weather) } as Question;
  try {
    return answerTo(whole, { keep, report, clockMs: () => performance.now(), ...(team && { team }) });
  } finally {
    team?.leave();
  }
}
