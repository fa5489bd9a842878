import type { Compiled } from './compiled.js';
import { Roster } from './roster.js';

/** A stream of numbers 0–1 that is the same every time (mulberry32). */
export function chance(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/** Adds, in the order given, whatever of jobs not yet planned nothing stands in the way of. */
export function fill(roster: Roster, order: Int32Array, compiled: Compiled): void {
  for (const i of order) {
    if (roster.isPlanned(compiled.job[i]!)) continue;
    const out = roster.inTheWay(i, Number.MIN_VALUE);
    if (out?.length === 0) roster.add(i);
  }
}

/** A schedule made of options in order of preference. */
export function rosterOf(order: Iterable<number>, compiled: Compiled): Roster {
  const roster = new Roster(compiled);
  for (const i of order) {
    if (roster.isPlanned(compiled.job[i]!)) continue;
    if (roster.inTheWay(i, Number.MIN_VALUE)?.length === 0) roster.add(i);
  }
  return roster;
}

const MOST_PASSES = 12;

/** Trades options for better ones until no single trade gains. */
export function localSearch(roster: Roster, order: Int32Array, compiled: Compiled): void {
  for (let pass = 0; pass < MOST_PASSES; pass += 1) {
    const before = roster.value;
    for (const i of order) if (!roster.has(i)) roster.trade(i);
    fill(roster, order, compiled);
    if (roster.value <= before + 1e-9 * Math.abs(before)) return;
  }
}

/**
 * Perturbs a local optimum and searches round it again, as long as it may, keeping the best: iterated local search.
 *
 * @param order options in order of preference
 * @param isOver asked between rounds
 */
export function perturb(
  start: Roster,
  order: Int32Array,
  around: { readonly compiled: Compiled; readonly rounds: number; readonly isOver: () => boolean },
): Roster {
  const { compiled, rounds, isOver } = around;
  const next = chance(17);
  let best = start.copy();
  let current = start.copy();
  for (let round = 0; round < rounds && !isOver(); round += 1) {
    const trial = current.copy();
    for (let kick = 0; kick < 3; kick += 1) {
      const i = order[Math.floor(next() * next() * order.length)];
      if (i === undefined || trial.has(i)) continue;
      for (const j of trial.inTheWay(i, Infinity) ?? []) trial.remove(j);
      if (trial.inTheWay(i, Infinity)?.length === 0) trial.add(i);
    }
    localSearch(trial, order, compiled);
    if (trial.value > best.value) best = trial.copy();
    if (trial.value > current.value - 0.002 * Math.abs(current.value)) current = trial;
  }
  return best;
}
