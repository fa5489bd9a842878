import { MS_PER_DAY } from '../quantity/index.js';

/** A stretch in which one wash of a car is wanted. */
export interface DuePeriod {
  readonly index: number;
  readonly dueMs: number;
  readonly fromMs: number;
  readonly toMs: number;
  /** The booking that it is for; null: the car's own cadence. */
  readonly bookingId: string | null;
  /** When the car has to be ready and home again; null: no such promise. */
  readonly readyByMs: number | null;
  /** The method that was agreed on; null: any. */
  readonly methodId: string | null;
}

/** Of the car's own cadence. */
const OWN = { bookingId: null, readyByMs: null, methodId: null } as const;

/** How far from its wanted date a wash may stand, as a share of the cadence (judgement); what lies between two is left free. */
const REACH_FRACTION = 0.4;

/** What is left free between two washes, as a share of the cadence: what the reach of two periods leaves between them. */
const APART_FRACTION = 1 - 2 * REACH_FRACTION;
/** A wash of the cadence that would come nearer than this to one that stands is that one, as a share of the cadence. */
const SAME_FRACTION = 0.5;

/**
 * When is each next wash of a car wanted, up to the horizon? At most one wash belongs into each period.
 *
 * @param due the wanted date of the next wash, and the days from one to the next
 * @param standing washes that are promised or stand fixed, from the earliest to the latest that they can be: each takes the place of the
 * wash of the cadence that comes nearest, and the cadence goes on from its end
 * @returns in order; a wash that is late belongs into the first from now on
 * @example duePeriods({ dueMs: 0, cadenceDays: 10 }, { nowMs: 0, horizonMs: 8 * 86_400_000 }) // two: from now on, and from day 6 on
 */
export function duePeriods(
  due: { readonly dueMs: number; readonly cadenceDays: number },
  { nowMs, horizonMs }: { readonly nowMs: number; readonly horizonMs: number },
  standing: readonly { readonly fromMs: number; readonly toMs: number }[] = [],
): DuePeriod[] {
  const everyMs = due.cadenceDays * MS_PER_DAY;
  const reachMs = REACH_FRACTION * everyMs;
  const ends = [...standing].sort((a, b) => a.toMs - b.toMs);
  const periods: DuePeriod[] = [];
  let dueMs = due.dueMs;
  let freeFromMs = nowMs;
  for (const next of [...ends, null]) {
    const nextMs = next?.toMs ?? Infinity;
    const lastMs = next ? Math.max(next.fromMs, nextMs - reachMs) - APART_FRACTION * everyMs : horizonMs;
    for (
      let centreMs = Math.max(dueMs, nowMs);
      centreMs - reachMs < horizonMs && centreMs <= nextMs - SAME_FRACTION * everyMs;
      centreMs += everyMs
    ) {
      const fromMs = Math.max(freeFromMs, centreMs - reachMs);
      const toMs = Math.min(horizonMs, lastMs, centreMs + reachMs);
      const isLate = centreMs === nowMs && periods.length === 0;
      if (fromMs < horizonMs && fromMs < toMs)
        periods.push({ index: periods.length, dueMs: isLate ? dueMs : centreMs, fromMs, toMs, ...OWN });
    }
    if (next) {
      dueMs = nextMs + everyMs;
      freeFromMs = Math.max(nowMs, nextMs + APART_FRACTION * everyMs);
    }
  }
  return periods;
}
