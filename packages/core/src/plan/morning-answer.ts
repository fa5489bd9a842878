import type { Place } from '../place/index.js';
import type { VehicleMorning, Window } from './vehicle-morning.js';

const MS_PER_MINUTE = 60_000;
const MS_PER_DAY = 86_400_000;

/** A stretch in which the one pair of hands is taken, travel included. */
export interface Busy {
  readonly fromMs: number;
  readonly toMs: number;
}

export interface VehicleAnswer extends Omit<VehicleMorning, 'windows'> {
  readonly standing: 'due' | 'soon' | 'not-due' | 'no-window';
  /** The window given to it; null if it is not due or nothing goes. */
  readonly best: Window | null;
  /** Next best of other places and methods, then other times. */
  readonly alternatives: readonly Window[];
}

const SOON_DAYS = 2;
const ALTERNATIVES = 3;

/** The hands are taken from leaving home until being back. */
export function busyOf(
  window: Pick<Window, 'startMs' | 'endMs' | 'placeId'>,
  places: readonly Place[],
): Busy {
  const travelMs = (places.find(({ id }) => id === window.placeId)?.travelMinutes ?? 0) * MS_PER_MINUTE;
  return { fromMs: window.startMs - travelMs, toMs: window.endMs + travelMs };
}

const overlaps = (a: Busy, b: Busy): boolean => a.fromMs < b.toMs && b.fromMs < a.toMs;

function pickAlternatives(windows: readonly Window[], best: Window): Window[] {
  const firstOfBand = new Map<string, Window>();
  for (const window of windows) {
    const key = `${window.placeId} ${window.methodId}`;
    if (!firstOfBand.has(key)) firstOfBand.set(key, window);
  }
  const otherWays = [...firstOfBand.values()].filter(
    (window) => window.placeId !== best.placeId || window.methodId !== best.methodId,
  );
  const otherTimes = windows.filter(
    (window) => window.placeId === best.placeId && Math.abs(window.startMs - best.startMs) >= MS_PER_DAY / 4,
  );
  return [...otherWays, ...otherTimes].slice(0, ALTERNATIVES);
}

function standingOf(morning: VehicleMorning, horizonMs: number): 'due' | 'soon' | 'not-due' {
  if (morning.due.daysLate >= 0) return 'due';
  return morning.due.daysLate > -SOON_DAYS && morning.due.dueMs < horizonMs ? 'soon' : 'not-due';
}

/**
 * The morning's answer for all cars: the one that is latest chooses first, and no two washes want the same hands.
 *
 * @param mornings one for each vehicle
 * @param taken hands already promised to planned washes
 * @returns in the order of urgency
 * Model: greedy by days late over cadence; it is a good first answer, not a proven plan.
 */
export function morningAnswer(
  mornings: readonly VehicleMorning[],
  around: { readonly places: readonly Place[]; readonly taken: readonly Busy[]; readonly horizonMs: number },
): VehicleAnswer[] {
  const taken = [...around.taken];
  return [...mornings]
    .sort((a, b) => b.due.daysLate - a.due.daysLate)
    .map((morning) => {
      const { windows, ...rest } = morning;
      const standing = standingOf(morning, around.horizonMs);
      if (standing === 'not-due') return { ...rest, standing, best: null, alternatives: [] };
      const free = windows.filter((window) => {
        const busy = busyOf(window, around.places);
        return !taken.some((other) => overlaps(busy, other));
      });
      const [best] = free;
      if (!best) return { ...rest, standing: 'no-window' as const, best: null, alternatives: [] };
      taken.push(busyOf(best, around.places));
      return { ...rest, standing, best, alternatives: pickAlternatives(free, best) };
    });
}
