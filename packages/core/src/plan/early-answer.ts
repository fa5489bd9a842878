import type { ByGroup } from '../vehicle/index.js';
import type { DueState } from './cadence.js';
import type { VehicleMorning } from './vehicle-morning.js';
import type { Window } from './window.js';

/** What is known of one car before the plan of all of them is made: hands and places are not shared out yet. */
export interface EarlyAnswer {
  readonly vehicleId: string;
  readonly due: DueState;
  readonly soil: ByGroup;
  /** Its worthiest start by itself, the queue for hands left aside; null: none goes. */
  readonly best: Window | null;
}

/** The worthiest start from now on that washes the car, of the kind that is wanted if one goes. */
export function earlyAnswer({ vehicleId, due, soil, windows }: VehicleMorning, nowMs: number): EarlyAnswer {
  const ahead = windows.filter(({ startMs, isWash }) => isWash && startMs >= nowMs);
  return { vehicleId, due, soil, best: ahead.find(({ isWanted }) => isWanted) ?? ahead[0] ?? null };
}
