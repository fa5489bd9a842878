import { AsyncLocalStorage } from 'node:async_hooks';

/** For whom the program is writing at this moment. */
export interface Acting {
  /** The account; null: nobody is signed in. */
  readonly who: string | null;
  /** The phone or computer by its name; null: it has none. */
  readonly device: string | null;
  readonly atMs: number;
  /** From where the request came. */
  readonly from?: string;
}

const storage = new AsyncLocalStorage<Acting>();

/** Everything that this work writes, however late, is written for this asker. */
export const actingFor = <T>(acting: Acting, work: () => T): T => storage.run(acting, work);

/** null: the program writes of its own accord. */
export const acting = (): Acting | null => storage.getStore() ?? null;

/** A name that differs from client to client. */
export function askerName(): string {
  const by = acting();
  return by ? [by.who, by.device, by.from].join(' ') : '';
}
