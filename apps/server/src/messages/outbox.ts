import type { MessageRecord } from '@keen/core';

/** Where messages go. A real carrier would fill this port with its own adapter. */
export interface Outbox {
  readonly name: string;
  /** Newest first. */
  list(): Promise<MessageRecord[]>;
  put(record: MessageRecord): Promise<void>;
  markTaken(ids: readonly string[], atMs: number): Promise<void>;
  setRemoved(id: string, removedMs: number | null): Promise<boolean>;
}

export const OUTBOX = Symbol('outbox');
