import type { EarlyAnswer } from '../plan/index.js';
import type { Keeper } from '../shop/index.js';

export interface AnswerProgress {
  readonly label: string;
  /** 0–1. */
  readonly share: number;
  /** A part of the answer that is known already. */
  readonly part?: EarlyAnswer;
}

/** What an answer works with besides its question. */
export interface Tools {
  readonly keep: Keeper;
  /** Told while it is worked out; may throw to stop it. */
  readonly report: (progress: AnswerProgress) => void;
  /** Milliseconds since some moment; the core has no clock of its own. */
  readonly clockMs: () => number;
}
