import { type Compiled, compile } from './compiled.js';
import { dive } from './dive.js';
import { rosterOf, shake } from './improve.js';
import { Prices } from './prices.js';
import { Roster } from './roster.js';
import { isProven, type Schedule, scheduleOf, type ScheduleProblem } from './schedule-problem.js';

const MOST_STEPS = 600;
/** Steps without a better bound before the steps are made shorter. */
const PATIENCE = 12;
/** A large problem leaves time for the dives. */
const WALK_SHARE = 0.6;
const SHORTEST_SHARE = 0.004;

/** What is known of a problem before the integer programme is asked. */
export interface Start {
  readonly compiled: Compiled;
  readonly prices: Prices;
  /** By option: no schedule with it is worth more. */
  readonly bounds: Float64Array;
  readonly roster: Roster;
}

export interface StartWatch {
  /** Share of its time that is spent, 0–1; beyond 1 it stops. */
  readonly spentShare: () => number;
  readonly onBetter: (schedule: Schedule) => void;
}

const byWorth = (worth: Float64Array): Int32Array =>
  Int32Array.from(worth.keys()).sort((a, b) => worth[b]! - worth[a]! || a - b);

/** Walks the prices towards the tightest bound. */
function walk(prices: Prices, worth: number, isOver: () => boolean): void {
  let share = 1;
  let since = 0;
  for (let step = 0; step < MOST_STEPS && share > SHORTEST_SHARE && !isOver(); step += 1) {
    const before = prices.bestBound;
    const answer = prices.solve();
    since = prices.bestBound < before - 1e-6 * Math.abs(before) ? 0 : since + 1;
    if (since < PATIENCE) prices.step(answer, Math.max(worth, 0.95 * prices.bestBound), share);
    else {
      share /= 2;
      since = 0;
      prices.reset();
    }
  }
}

/** A dive looks at the options that good schedules could take; the others would only slow it. */
const DIVE_OPTIONS = 3000;
/** Different paces come up in different places. */
const DIVES = [
  { steps: 6, share: 0.4 },
  { steps: 15, share: 0.4 },
  { steps: 15, share: 0.1 },
  { steps: 10, share: 0.8 },
  { steps: 40, share: 0.4 },
  { steps: 6, share: 0.1 },
  { steps: 25, share: 0.2 },
  { steps: 40, share: 0.1 },
];
const SHAKES = 40;

/** The options of the highest bounds, and those of a roster. */
export function highest(bounds: Float64Array, count: number, roster: Roster): number[] {
  const sorted = Float64Array.from(bounds).sort();
  const floor = sorted[sorted.length - 1 - count] ?? -Infinity;
  return Array.from(bounds.keys()).filter((i) => bounds[i]! > floor || roster.has(i));
}

/** The same choices in a problem laid out with more options. */
function carriedOver(roster: Roster, from: Compiled, to: Compiled): Roster {
  const at = new Map(Array.from(to.original, (index, i) => [index, i]));
  const twin = new Roster(to);
  for (const i of roster.chosen) twin.add(at.get(from.original[i]!)!);
  return twin;
}

/** A bound and a schedule near it, without the integer programme. */
export function goodStart(problem: ScheduleProblem, watch: StartWatch): Start {
  const compiled = compile(problem);
  const prices = new Prices(compiled);
  const byValue = byWorth(compiled.value);
  let best = rosterOf(byValue, compiled);
  const tell = (): void => watch.onBetter(scheduleOf(problem, originals(compiled, best), prices.bestBound));
  const isDone = (): boolean => isProven(best.value, prices.bestBound, compiled.grain);
  walk(prices, best.value, () => watch.spentShare() > WALK_SHARE || isDone());
  tell();
  const bounds = prices.boundsWith();
  const narrow = compile(
    problem,
    highest(bounds, DIVE_OPTIONS, best).map((i) => compiled.original[i]!),
  );
  const order = byWorth(narrow.value);
  const isOver = (): boolean => watch.spentShare() > 1 || isDone();
  const take = (roster: Roster): void => {
    if (roster.value <= best.value) return;
    best = carriedOver(roster, narrow, compiled);
    tell();
  };
  let bestDive: Roster | null = null;
  for (const pace of DIVES) {
    if (isOver()) break;
    const roster = dive(narrow, new Prices(narrow, prices), { order, ...pace });
    if (roster.value > (bestDive?.value ?? -Infinity)) bestDive = roster;
    take(roster);
  }
  if (bestDive) take(shake(bestDive, order, { compiled: narrow, rounds: SHAKES, isOver }));
  return { compiled, prices, bounds, roster: best };
}

/** The choices of a roster in the problem's own indexes. */
export const originals = (compiled: Compiled, roster: Roster): number[] =>
  roster.chosen.map((i) => compiled.original[i]!);

/**
 * A good schedule with its bound, at once and without proof.
 *
 * @param spentShare share of the time given that is spent
 */
export function goodSchedule(problem: ScheduleProblem, spentShare: () => number): Schedule {
  const { compiled, prices, roster } = goodStart(problem, { spentShare, onBetter: () => undefined });
  return scheduleOf(problem, originals(compiled, roster), prices.bestBound);
}
