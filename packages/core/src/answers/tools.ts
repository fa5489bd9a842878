import type { EarlyAnswer } from '../plan/index.js';
import type { Keeper } from '../shop/index.js';

export interface AnswerProgress {
  readonly label: string;
  /** 0–1. */
  readonly share: number;
  /** A part of the answer that is known already. */
  readonly part?: EarlyAnswer;
}

/**
 * Several threads that share the cars of one question: each car is worked out by the one that took it, and the others find its morning
 * kept.
 */
export interface Team {
  /** Asks the others to begin; called when there is much to be worked out. */
  call(): void;
  /** @returns whether this car, by its number, is now mine to work out; false: somebody else has it */
  take(car: number): boolean;
  /** What I took is kept. */
  done(car: number): void;
  /** Comes back when nobody works on this car any more; may throw to stop the work. */
  waitFor(car: number): void;
  /** Cars that are done. */
  readonly doneCount: number;
}

/** A team of one. */
export function alone(): Team {
  const taken = new Set<number>();
  let doneCount = 0;
  return {
    call: () => undefined,
    take: (car) => !taken.has(car) && taken.add(car).has(car),
    done: () => void (doneCount += 1),
    waitFor: () => undefined,
    get doneCount() {
      return doneCount;
    },
  };
}

/** What an answer works with besides its question. */
export interface Tools {
  readonly keep: Keeper;
  /** Told while it is worked out; may throw to stop it. */
  readonly report: (progress: AnswerProgress) => void;
  /** Milliseconds since some moment; the core has no clock of its own. */
  readonly clockMs: () => number;
  /** Who else works on it; absent: nobody. */
  readonly team?: Team;
}
