import { createHash } from 'node:crypto';
import type { KeptFiles } from './kept-files.js';
import { KEPT_ROOMS, type Keeper, type KeptRoom } from '@keen/core';

/** Something large that carries a name for all that is in it. */
const isStamped = (value: unknown): value is { readonly stamp: string } =>
  typeof value === 'object' && value !== null && 'stamp' in value && typeof value.stamp === 'string';

/**
 * A name for some inputs: the same inputs, the same name; a change anywhere in them, another. What carries a stamp goes by it, since
 * that changes whenever anything in it does.
 */
export const keyOf = (inputs: unknown): string =>
  createHash('sha256')
    .update(JSON.stringify(inputs, (_name, value: unknown) => (isStamped(value) ? value.stamp : value)))
    .digest('base64');

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

/** What takes long to make and is asked for first after a start. */
const OUTLIVES: ReadonlySet<KeptRoom> = new Set(['morning']);

/** Keeps what was made in memory, by a hash of all that it was made from; some of it in files as well. */
export class KeptInMemory implements Keeper {
  /** @param files where mornings outlive the program; absent: they do not */
  constructor(private readonly files: KeptFiles | null = null) {}

  private readonly rooms = Object.fromEntries(
    Object.entries(KEPT_ROOMS).map(([room, most]) => [room, new LruCache(most)]),
  ) as Record<KeptRoom, LruCache>;

  of<I extends object, V>(room: KeptRoom, inputs: I, make: (inputs: I) => V): V {
    const key = keyOf(inputs);
    const files = OUTLIVES.has(room) ? this.files : null;
    const known = (this.rooms[room].get(key) ?? files?.get(key)) as V | undefined;
    const value = known ?? make(inputs);
    if (known === undefined) files?.set(key, value);
    this.rooms[room].set(key, value);
    return value;
  }

  get<V>(room: KeptRoom, inputs: object): V | undefined {
    return this.rooms[room].get(keyOf(inputs)) as V | undefined;
  }

  set(room: KeptRoom, inputs: object, value: unknown): void {
    this.rooms[room].set(keyOf(inputs), value);
  }

  name(inputs: object): string {
    return keyOf(inputs);
  }

  only(room: KeptRoom, under: object): void {
    const key = keyOf(under);
    this.rooms[room].only(key);
    if (OUTLIVES.has(room)) this.files?.only(key);
  }
}
