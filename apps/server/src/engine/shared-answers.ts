import { Cancelled } from './cancelled.js';
import { keyOf } from './kept.js';

const KEPT_ANSWERS = 40;

interface Entry {
  readonly answer: Promise<unknown>;
  readonly work: AbortController;
  waiting: number;
  isDone: boolean;
}

/** Answers by a hash of their inputs: asked once, shared by all who wait, stopped when none of them waits any more. */
export class SharedAnswers {
  private readonly entries = new Map<string, Entry>();

  /**
   * @param inputs everything that the answer depends on: the work gets these and nothing else
   * @param compute does the work; its signal says that nobody waits any more
   * @param caller aborts when this caller has gone; a caller without one waits for good
   */
  once<I, T>(
    inputs: I,
    compute: (inputs: I, signal: AbortSignal) => Promise<T>,
    caller?: AbortSignal,
  ): Promise<T> {
    if (caller?.aborted) return Promise.reject(new Cancelled());
    const key = keyOf(inputs);
    const entry = this.entries.get(key) ?? this.begin(key, (signal) => compute(inputs, signal));
    entry.waiting += 1;
    caller?.addEventListener('abort', () => this.leave(key, entry), { once: true });
    return entry.answer as Promise<T>;
  }

  private begin(key: string, compute: (signal: AbortSignal) => Promise<unknown>): Entry {
    const work = new AbortController();
    const entry: Entry = { answer: compute(work.signal), work, waiting: 0, isDone: false };
    this.entries.set(key, entry);
    entry.answer.then(
      () => (entry.isDone = true),
      () => this.forget(key, entry),
    );
    const [oldest] = this.entries.keys();
    if (this.entries.size > KEPT_ANSWERS && oldest !== undefined) this.entries.delete(oldest);
    return entry;
  }

  private leave(key: string, entry: Entry): void {
    entry.waiting -= 1;
    if (entry.waiting > 0 || entry.isDone) return;
    this.forget(key, entry);
    entry.work.abort();
  }

  private forget(key: string, entry: Entry): void {
    if (this.entries.get(key) === entry) this.entries.delete(key);
  }
}
