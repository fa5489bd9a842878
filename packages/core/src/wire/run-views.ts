import type { RunAction, RunPack } from '../live/index.js';
import type { WashRecord } from '../log/index.js';

export interface RunAnswer {
  readonly wash: WashRecord;
  readonly vehicleName: string;
  /** Where it is done; of a wash in two places both, in their order. */
  readonly placeName: string;
  readonly pack: RunPack;
  readonly actions: readonly RunAction[];
  /** Of the last action; ask for what came after it. */
  readonly seq: number;
  readonly nowMs: number;
}

export interface RunNews {
  readonly actions: readonly RunAction[];
  readonly seq: number;
  readonly nowMs: number;
}

/** Deeds of a run that came in one account's session, from one phone or computer. */
export interface RunHand {
  /** The account; null: nobody was signed in. */
  readonly who: string | null;
  /** The phone or computer by the name of its session; null: it has none. */
  readonly device: string | null;
  readonly deeds: number;
  readonly fromMs: number;
  readonly toMs: number;
}
