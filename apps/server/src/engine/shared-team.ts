import type { Team } from '@keen/core';

const FREE = 0;
const TAKEN = 1;
const DONE = 2;
/** How long one sleeps before it looks whether the work was stopped, ms. */
const LOOK_MS = 50;

/** Who has taken which part, in memory that all threads see. */
export type TeamBoard = Int32Array;

export const teamBoard = (partCount: number): TeamBoard =>
  new Int32Array(new SharedArrayBuffer(partCount * Int32Array.BYTES_PER_ELEMENT));

/** Nobody works on any of it any more: a thread that waits goes on, and makes what is not there itself. */
export function dissolve(board: TeamBoard): void {
  for (let part = 0; part < board.length; part += 1) {
    Atomics.compareExchange(board, part, TAKEN, DONE);
    Atomics.notify(board, part);
  }
}

/** One thread's seat in a team. */
export class SharedTeam implements Team {
  private hasCalled = false;
  private readonly mine = new Set<number>();

  /**
   * @param onCall asks the others to begin
   * @param look called now and then while it waits; may throw
   */
  constructor(
    private readonly board: TeamBoard,
    private readonly onCall: () => void,
    private readonly look: () => void,
  ) {}

  call(): void {
    if (this.hasCalled) return;
    this.hasCalled = true;
    this.onCall();
  }

  take(part: number): boolean {
    if (Atomics.compareExchange(this.board, part, FREE, TAKEN) !== FREE) return false;
    this.mine.add(part);
    return true;
  }

  done(part: number): void {
    this.mine.delete(part);
    Atomics.store(this.board, part, DONE);
    Atomics.notify(this.board, part);
  }

  waitFor(part: number): void {
    while (Atomics.load(this.board, part) === TAKEN) {
      this.look();
      Atomics.wait(this.board, part, TAKEN, LOOK_MS);
    }
  }

  /** Gives up what it has begun, so that nobody waits for it. */
  leave(): void {
    for (const part of this.mine) this.done(part);
  }

  get doneCount(): number {
    return this.board.reduce((count, state) => count + Number(state === DONE), 0);
  }
}
