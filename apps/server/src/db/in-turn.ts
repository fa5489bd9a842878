/**
 * Work that reads before it writes, done one after the other in the order in which it was asked for: what it checked still holds when it
 * writes. One program owns the database, so that a queue in it is enough.
 */
export class InTurn {
  private last: Promise<unknown> = Promise.resolve();

  /** Not to be asked for from within such work: it would wait for itself. */
  run<T>(work: () => Promise<T>): Promise<T> {
    const mine = this.last.then(work);
    // Who comes next does not mind how this one ended.
    this.last = mine.catch(() => undefined);
    return mine;
  }

  /** Resolves when all that was asked for so far has ended. */
  async settled(): Promise<void> {
    await this.last;
  }
}
