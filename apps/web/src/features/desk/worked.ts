/** What went in and what came out of a sum, in its own units. */
export interface Worked {
  readonly input: Readonly<Record<string, unknown>>;
  readonly output: Readonly<Record<string, unknown>>;
}

/** A figure of a sum; 0 where it has none. */
export const number = (value: unknown): number => (typeof value === 'number' ? value : 0);
/** Several of them; none where the sum has no list. */
export const numbers = (value: unknown): readonly number[] => (Array.isArray(value) ? value.map(number) : []);
