const MS_PER_DAY = 86_400_000;

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
const REACH_SHARE = 0.4;

/**
 * When is each next wash of a car wanted, up to the horizon? At most one wash belongs into each period.
 *
 * @param due the wanted date of the next wash, and the days from one to the next
 * @returns in order; a wash that is late belongs into the first from now on
 * @example duePeriods({ dueMs: 0, cadenceDays: 10 }, { nowMs: 0, horizonMs: 8 * 86_400_000 }) // two: from now on, and from day 6 on
 */
export function duePeriods(
  due: { readonly dueMs: number; readonly cadenceDays: number },
  { nowMs, horizonMs }: { readonly nowMs: number; readonly horizonMs: number },
): DuePeriod[] {
  const everyMs = due.cadenceDays * MS_PER_DAY;
  const firstMs = Math.max(due.dueMs, nowMs);
  const periods: DuePeriod[] = [];
  for (let index = 0; ; index += 1) {
    const centreMs = firstMs + index * everyMs;
    const fromMs = Math.max(nowMs, centreMs - REACH_SHARE * everyMs);
    if (fromMs >= horizonMs) return periods;
    const toMs = Math.min(horizonMs, centreMs + REACH_SHARE * everyMs);
    periods.push({ index, dueMs: index === 0 ? due.dueMs : centreMs, fromMs, toMs, ...OWN });
  }
}
