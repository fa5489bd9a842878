import type { Compiled } from './compiled.js';
import { fill, localSearch } from './improve.js';
import type { DualPrices } from './dual-prices.js';
import { Roster } from './roster.js';

/** How much of the running mean each new answer makes up. */
const FRESH_FRACTION = 0.12;
/** Taken this often under changing prices, an option is settled on. */
const SURE_FRACTION = 0.6;
const MOST_AT_ONCE_FRACTION = 0.12;

function forbidWhatClashes(roster: Roster, forbidden: Uint8Array): void {
  for (let i = 0; i < forbidden.length; i += 1) {
    if (forbidden[i] || roster.has(i)) continue;
    if (roster.inTheWay(i, Number.MIN_VALUE)?.length !== 0) forbidden[i] = 1;
  }
}

/**
 * Settles, step by step, on what the priced answers take most often, and lets the prices follow: a schedule near the bound, if a fair one
 * is to be had there.
 *
 * @param order options in order of preference, for what is left over at the end
 * @param isOver asked between rounds; what is not settled on by then is filled in that order
 */
export function lagrangianDive(
  compiled: Compiled,
  prices: DualPrices,
  {
    order,
    steps,
    share,
    isOver,
  }: {
    readonly order: Int32Array;
    readonly steps: number;
    readonly share: number;
    readonly isOver: () => boolean;
  },
): Roster {
  const roster = new Roster(compiled);
  const forbidden = new Uint8Array(compiled.count);
  const often = new Float64Array(compiled.count);
  const atOnce = Math.max(1, Math.ceil(compiled.jobCount * MOST_AT_ONCE_FRACTION));
  for (let round = 0; round < compiled.jobCount && !isOver(); round += 1) {
    for (let step = 0; step < steps; step += 1) {
      const answer = prices.solve(forbidden);
      for (let i = 0; i < often.length; i += 1) often[i]! *= 1 - FRESH_FRACTION;
      for (const i of answer.takes) often[i]! += FRESH_FRACTION;
      prices.step(answer, 0.98 * answer.bound, share);
    }
    const wanted = Array.from(often.keys())
      .filter((i) => !forbidden[i] && !roster.has(i) && often[i]! > 0.01)
      .sort((a, b) => often[b]! - often[a]!);
    if (wanted.length === 0) break;
    const sure = wanted.filter((i) => often[i]! >= SURE_FRACTION).slice(0, atOnce);
    for (const i of sure.length > 0 ? sure : wanted.slice(0, 1))
      if (roster.inTheWay(i, Number.MIN_VALUE)?.length === 0) roster.add(i);
    forbidWhatClashes(roster, forbidden);
  }
  fill(roster, order, compiled);
  localSearch(roster, order, compiled);
  return roster;
}
