import { type MessagePort } from 'node:worker_threads';
import { workerData } from 'piscina';
import { type AnswerProgress, answerTo, FieldError, type Question } from '@keen/core';
import { Cancelled } from './cancelled.js';
import { KeptInMemory } from './kept.js';
import { KeptFiles } from './kept-files.js';
import { type Shared, SharedReader } from './shared-memory.js';

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
}

/** What comes back from the thread: errors lose their names and fields on the way, so the expected ones are told as data. */
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

function work({ question, weather, port, stop }: Order): unknown {
  const report = (progress: AnswerProgress): void => {
    if (Atomics.load(stop, 0) === 1) throw new Cancelled();
    port.postMessage(progress);
  };
  if (Atomics.load(stop, 0) === 1) throw new Cancelled();
  const whole = { ...question, weather: reader.of(weather) } as Question;
  return answerTo(whole, { keep, report, clockMs: () => performance.now() });
}
