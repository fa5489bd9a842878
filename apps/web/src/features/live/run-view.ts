import { type RunAction, type RunAnswer, type RunNews } from '@keen/core';
import type { KeptRun } from './run-db.js';
import { type ShelfTally } from './run-shelf.js';

/** The server, as far as a run needs it. */
export interface RunServer {
  read(washId: string): Promise<RunAnswer>;
  news(washId: string, after: number): Promise<RunNews>;
  send(
    washId: string,
    body: { readonly actions: readonly RunAction[]; readonly after: number },
  ): Promise<RunNews>;
  sendPhoto(washId: string, photoId: string, photo: Blob): Promise<void>;
}

/** What the screen shows of the log. */
export interface RunView extends ShelfTally {
  /** null: nothing is known of it yet. */
  readonly run: KeptRun | null;
  readonly deviceId: string;
  readonly hasSignal: boolean;
  /** The server was reached, and wants somebody to sign in before it takes anything. */
  readonly isSignedOut: boolean;
  /** Why the run could not be opened. */
  readonly error: Error | null;
}

export const NOTHING: RunView = {
  run: null,
  deviceId: '',
  actions: [],
  keptCount: 0,
  refused: null,
  refusedPhotoCount: 0,
  hasSignal: true,
  isSignedOut: false,
  error: null,
};
