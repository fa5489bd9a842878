import { type Compiled } from './compiled.js';
import { narrowed } from './narrowed.js';
import { DualPrices } from './dual-prices.js';
import type { Roster } from './roster.js';
import { isProven } from './schedule-problem.js';

const MOST_STEPS = 600;
/** Steps without a better bound before the steps are made shorter. */
const PATIENCE = 12;
const SHORTEST_FRACTION = 0.004;

/** Prices of a problem larger than this are found on a core of its options. */
const LARGE = 8000;
const CORE_OPTIONS = 4000;
/** How many of the options with the highest bounds the core takes in after each round. */
const MORE_OPTIONS = 3000;
const MOST_ROUNDS = 12;
const WHOLE_STEPS = { share: 1, steps: MOST_STEPS };
/** Short rounds, as long as the core changes after each; a long one over the core that lacks nothing. */
const FIRST_ROUND = { share: 1, steps: 200 };
const LATER_ROUND = { share: 0.3, steps: 60 };
const LAST_ROUND = { share: 0.3, steps: MOST_STEPS };
/** The bound over all options this near to the bound over the core: nothing outside the core matters. */
const SAME_BOUND_FRACTION = 1e-5;

interface BoundWatch {
  /** Of a schedule known already; a bound that meets it is tight enough. */
  readonly worth: number;
  /** Of which every value is a whole multiple. */
  readonly grain: number;
  readonly isOver: () => boolean;
}

/**
 * Moves prices towards the tightest bound, in steps that grow shorter.
 *
 * @param first share of the way from the bound to a target by which it begins to step, 0–2, and the most steps
 */
function tightenBound(
  prices: DualPrices,
  first: typeof WHOLE_STEPS,
  { worth, grain, isOver }: BoundWatch,
): void {
  let { share } = first;
  let since = 0;
  for (let step = 0; step < first.steps && share > SHORTEST_FRACTION && !isOver(); step += 1) {
    const before = prices.bestBound;
    const answer = prices.solve();
    if (isProven(worth, prices.bestBound, grain)) return;
    since = prices.bestBound < before - 1e-6 * Math.abs(before) ? 0 : since + 1;
    if (since < PATIENCE) prices.step(answer, Math.max(worth, 0.95 * prices.bestBound), share);
    else {
      share /= 2;
      since = 0;
      prices.reset();
    }
  }
}

/** Options of the highest bounds, and those of a roster. */
export function highest(bounds: Float64Array, count: number, roster: Roster): number[] {
  const sorted = Float64Array.from(bounds).sort();
  const floor = sorted[sorted.length - 1 - count] ?? -Infinity;
  return Array.from(bounds.keys()).filter((i) => bounds[i]! > floor || roster.has(i));
}

/** The best option of each job at each place in each segment of time. */
function spread({ count, job, place, start, value, ...compiled }: Compiled): number[] {
  const { jobCount, placeCount, slotCount } = compiled;
  const kinds = jobCount * placeCount;
  const segments = Math.ceil(CORE_OPTIONS / kinds);
  const best = new Int32Array(kinds * segments).fill(-1);
  for (let i = 0; i < count; i += 1) {
    const segment = Math.floor((start[i]! * segments) / slotCount);
    const at = (job[i]! * placeCount + place[i]!) * segments + segment;
    if (best[at]! < 0 || value[i]! > value[best[at]!]!) best[at] = i;
  }
  return Array.from(best).filter((i) => i >= 0);
}

/**
 * Prices with a tight bound. In a large problem they move over a core of its options; what all the others are worth under the prices found
 * says which the core still lacks, until it lacks none.
 *
 * @param roster a schedule known already
 */
export function tightPrices(
  compiled: Compiled,
  { roster, isOver }: { readonly roster: Roster; readonly isOver: () => boolean },
): DualPrices {
  const whole = new DualPrices(compiled);
  const watch = { worth: roster.value, grain: compiled.grain, isOver };
  if (compiled.count <= LARGE) {
    tightenBound(whole, WHOLE_STEPS, watch);
    return whole;
  }
  const inside = new Set([...spread(compiled), ...roster.chosen]);
  let pace = FIRST_ROUND;
  for (let round = 0; round < MOST_ROUNDS && !isOver(); round += 1) {
    const some = new DualPrices(narrowed(compiled, [...inside]), whole);
    tightenBound(some, pace, watch);
    whole.follow(some);
    const bounds = whole.boundsHere();
    const isWhole = whole.bestBound <= some.bestBound * (1 + SAME_BOUND_FRACTION);
    if (isWhole && pace === LAST_ROUND) break;
    pace = isWhole ? LAST_ROUND : LATER_ROUND;
    for (const i of highest(bounds, MORE_OPTIONS, roster)) inside.add(i);
  }
  return whole;
}
