/** What is kept between questions, and how many of each. */
export const KEPT_ROOMS = {
  /** Roads and clock over the season: one for all cars. */
  surroundings: 1,
  /** Places under the forecast. */
  site: 10,
  /** Cars brought up to the present. */
  'car-state': 16,
  /** What the pages of a car's book are named by, for each that has other fittings or work. */
  names: 200,
  /** One method at one place over a week for one car. */
  band: 400,
  /** All starts of one car that a plan may choose from; large. */
  morning: 80,
  /** What was found out about one car last, whatever has changed since; in files alone. */
  book: 0,
} as const;
export type KeptRoom = keyof typeof KEPT_ROOMS;

/**
 * Keeps what was made once. A value goes by its inputs: the same inputs, the same value; a change anywhere in them, another. What makes
 * a value is handed its inputs and nothing else, so that it cannot read what the key leaves out.
 */
export interface Keeper {
  /** false: nothing is ever found, and names for it need not be made. */
  readonly keeps: boolean;
  of<I extends object, V>(room: KeptRoom, inputs: I, make: (inputs: I) => V): V;
  get<V>(room: KeptRoom, inputs: object): V | undefined;
  set(room: KeptRoom, inputs: object, value: unknown): void;
  /** A short name for many inputs, where they go into the key of several values. */
  name(inputs: object): string;
  /** Forgets what a room holds, unless it was made under the same inputs. */
  only(room: KeptRoom, under: object): void;
}

/** Something large that carries a name for all that is in it. */
const isStamped = (value: unknown): value is { readonly stamp: string } =>
  typeof value === 'object' && value !== null && 'stamp' in value && typeof value.stamp === 'string';

/**
 * Inputs as text: the same inputs, the same text; a change anywhere in them, another. What carries a stamp goes by it, since that changes
 * whenever anything in it does.
 */
export const inputsText = (inputs: unknown): string =>
  JSON.stringify(inputs, (_name, value: unknown) => (isStamped(value) ? value.stamp : value));

/** Keeps nothing, so that every value is worked out again. */
export const KEEP_NOTHING: Keeper = {
  keeps: false,
  of: (_room, inputs, make) => make(inputs),
  get: () => undefined,
  set: () => undefined,
  name: () => '',
  only: () => undefined,
};
