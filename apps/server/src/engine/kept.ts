import { createHash } from 'node:crypto';
import type { KeptFiles } from './kept-files.js';
import { inputsText, KEPT_ROOMS, type Keeper, type KeptRoom } from '@keen/core';

/**
 * A name for some inputs: the same inputs, the same name; a change anywhere in them, another. What carries a stamp goes by it, since
 * that changes whenever anything in it does.
 */
export const keyOf = (inputs: unknown): string =>
  createHash('sha256').update(inputsText(inputs)).digest('base64');

/** Values by their keys, the oldest given up first. */
class LruCache {
  private readonly values = new Map<string, unknown>();
  private under = '';

  constructor(private readonly most: number) {}

  get(key: string): unknown {
    return this.values.get(key);
  }

  set(key: string, value: unknown): void {
    this.values.delete(key);
    this.values.set(key, value);
    const [oldest] = this.values.keys();
    if (this.values.size > this.most && oldest !== undefined) this.values.delete(oldest);
  }

  only(under: string): void {
    if (under !== this.under) this.values.clear();
    this.under = under;
  }
}

/** What takes long to make, or is too large to be held. */
const OUTLIVES = ['morning', 'book'] as const satisfies readonly KeptRoom[];

const outlives = (room: KeptRoom): room is (typeof OUTLIVES)[number] => OUTLIVES.some((one) => one === room);

/** Keeps what was made in memory, by a hash of all that it was made from; some of it in files as well. */
export class KeptInMemory implements Keeper {
  readonly keeps = true;

  /** @param files where some of it outlives the program; absent: nothing does */
  constructor(private readonly files: KeptFiles | null = null) {}

  private readonly rooms = Object.fromEntries(
    Object.entries(KEPT_ROOMS).map(([room, most]) => [room, new LruCache(most)]),
  ) as Record<KeptRoom, LruCache>;

  of<I extends object, V>(room: KeptRoom, inputs: I, make: (inputs: I) => V): V {
    const key = keyOf(inputs);
    const known = this.find<V>(room, key);
    const value = known ?? make(inputs);
    if (known === undefined) this.write(room, key, value);
    this.rooms[room].set(key, value);
    return value;
  }

  get<V>(room: KeptRoom, inputs: object): V | undefined {
    return this.find<V>(room, keyOf(inputs));
  }

  set(room: KeptRoom, inputs: object, value: unknown): void {
    const key = keyOf(inputs);
    this.write(room, key, value);
    this.rooms[room].set(key, value);
  }

  private find<V>(room: KeptRoom, key: string): V | undefined {
    const inFile = (): unknown => (outlives(room) ? this.files?.get(room, key) : undefined);
    return (this.rooms[room].get(key) ?? inFile()) as V | undefined;
  }

  private write(room: KeptRoom, key: string, value: unknown): void {
    if (outlives(room)) this.files?.set(room, key, value);
  }

  name(inputs: object): string {
    return keyOf(inputs);
  }

  only(room: KeptRoom, under: object): void {
    const key = keyOf(under);
    this.rooms[room].only(key);
    if (outlives(room)) this.files?.only(room, key);
  }
}
