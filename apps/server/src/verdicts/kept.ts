import { createHash } from 'node:crypto';

/** Something large that carries a name for all that is in it. */
const isStamped = (value: unknown): value is { readonly stamp: string } =>
  typeof value === 'object' && value !== null && 'stamp' in value && typeof value.stamp === 'string';

/**
 * A name for some inputs: the same inputs, the same name; a change anywhere in them, another. Weather goes by its stamp, which changes
 * whenever it does.
 */
export const keyOf = (inputs: unknown): string =>
  createHash('sha256')
    .update(JSON.stringify(inputs, (_name, value: unknown) => (isStamped(value) ? value.stamp : value)))
    .digest('base64');

/**
 * What is made from some inputs once and kept, the oldest given up first. The sum is handed its inputs and nothing else, and its key is
 * made from the same object: it cannot read what the key leaves out.
 */
export class Kept<V> {
  private readonly values = new Map<string, V>();

  constructor(private readonly most: number) {}

  of<I extends object>(inputs: I, make: (inputs: I) => V): V {
    const key = keyOf(inputs);
    const known = this.get(key);
    if (known !== undefined) return known;
    const made = make(inputs);
    this.set(key, made);
    return made;
  }

  get(key: string): V | undefined {
    return this.values.get(key);
  }

  set(key: string, value: V): void {
    this.values.delete(key);
    this.values.set(key, value);
    const [oldest] = this.values.keys();
    if (this.values.size > this.most && oldest !== undefined) this.values.delete(oldest);
  }

  clear(): void {
    this.values.clear();
  }
}
