import type { MessageKind } from '@keen/core';

/** What a customer is to be told. */
export interface MessageRecord {
  readonly id: string;
  readonly customerId: string;
  readonly vehicleId: string;
  readonly washId: string | null;
  readonly kind: MessageKind;
  readonly body: string;
  readonly createdMs: number;
  /** Start and place of the wash that it tells of. */
  readonly toldStartMs: number | null;
  readonly toldPlaceId: string | null;
  /** When it was taken out of the outbox; null: it waits. */
  readonly exportedMs: number | null;
}

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
