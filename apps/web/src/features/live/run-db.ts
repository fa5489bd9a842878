import type { RunAction, RunPack, WashRecord } from '@keen/core';
import { type DBSchema, type IDBPDatabase, openDB } from 'idb';

/** What this phone holds of a run besides its actions. */
export interface KeptRun {
  readonly washId: string;
  readonly wash: WashRecord;
  readonly vehicleName: string;
  readonly placeName: string;
  readonly pack: RunPack;
  /** The last number that the server gave. */
  readonly seq: number;
  /** The server's clock less this phone's, ms. */
  readonly offsetMs: number;
}

export type SendState = 'kept' | 'sent' | 'refused';

export interface KeptAction {
  readonly id: string;
  readonly washId: string;
  readonly action: RunAction;
  readonly state: SendState;
  /** Why the server did not take it. */
  readonly fault: string | null;
}

export interface KeptPhoto {
  readonly id: string;
  readonly washId: string;
  readonly bytes: ArrayBuffer;
  readonly mediaType: string;
  readonly state: SendState;
  readonly fault: string | null;
}

interface RunSchema extends DBSchema {
  runs: { key: string; value: KeptRun };
  actions: { key: string; value: KeptAction; indexes: { washId: string } };
  photos: { key: string; value: KeptPhoto; indexes: { washId: string } };
  device: { key: string; value: string };
}

export type RunDb = IDBPDatabase<RunSchema>;

/** Opens what this phone keeps of its runs. */
export const openRunDb = (name = 'keen-runs'): Promise<RunDb> =>
  openDB<RunSchema>(name, 1, {
    upgrade(db) {
      db.createObjectStore('runs', { keyPath: 'washId' });
      db.createObjectStore('actions', { keyPath: 'id' }).createIndex('washId', 'washId');
      db.createObjectStore('photos', { keyPath: 'id' }).createIndex('washId', 'washId');
      db.createObjectStore('device');
    },
  });

/** The name under which this phone writes; made once. */
export async function deviceIdOf(db: RunDb): Promise<string> {
  const change = db.transaction('device', 'readwrite', { durability: 'strict' });
  const known = await change.store.get('id');
  const id = known ?? crypto.randomUUID();
  if (known === undefined) await change.store.put(id, 'id');
  await change.done;
  return id;
}
