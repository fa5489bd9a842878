import { type Method, STEP_KINDS } from '../method/index.js';
import { TYPICAL_PRODUCTS } from './data/typical-products.js';
import type { Shelf } from './shelf.js';

/** Water as it stands about in warm air (judgement). */
const UNHEATED_C = 20;

/** From here on buckets are not heated, °C (judgement). */
const WARM_C = 15;
const isWarm = (placeC: number | null | undefined): boolean => placeC != null && placeC >= WARM_C;

/**
 * In which of a shop's colds this is: other bottles are taken, or buckets heated. 0: warm enough for all labels, buckets heated; −1: warm
 * enough for all, buckets as they are.
 */
export function coldClass(shelf: Shelf, placeC: number | null): number {
  const known = coldSteps.get(shelf) ?? coldStepsOf(shelf);
  coldSteps.set(shelf, known);
  if (placeC === null) return 0;
  const cold = known.filter((lowestWorkC) => placeC < lowestWorkC).length;
  return isWarm(placeC) ? -1 - cold : cold;
}

/** One cold of each of them, from warm to cold, °C; null: not known. */
export function coldsOf(shelf: Shelf): (number | null)[] {
  const edges = new Set([WARM_C, ...coldStepsOf(shelf)]);
  return [null, ...[...edges].sort((a, b) => b - a), -Infinity];
}

/** Asked for every start: each shelf is looked through once. */
const coldSteps = new WeakMap<Shelf, readonly number[]>();
const coldStepsOf = ({ bottles }: Shelf): readonly number[] => [
  ...new Set(
    [...bottles, ...Object.values(TYPICAL_PRODUCTS)].flatMap(({ lowestWorkC }) => lowestWorkC ?? []),
  ),
];

/** Buckets are as warm as the method wants them in the cold; where the air is warm nobody heats water, °C. */
export const bucketAt = (
  { bucketC, fillsBuckets, steps }: Method,
  placeC: number | null | undefined,
): number | null =>
  !fillsBuckets && isWarm(placeC) && steps.some(({ id }) => STEP_KINDS[id].wets?.water === 'bucket')
    ? UNHEATED_C
    : bucketC;
