import type { HouseRules } from '../house/index.js';
import type { Vehicle } from '../vehicle/index.js';

const MS_PER_DAY = 86_400_000;
const WEEKLY_DAYS = 7;

export interface WashHistory {
  readonly lastWashMs: number | null;
  /** Of those that touched the paint. */
  readonly lastContactMs: number | null;
  /** When the record of this vehicle begins; stands in for a last wash where there is none. */
  readonly knownSinceMs: number;
  readonly nowMs: number;
}

export interface DueState {
  readonly lastWashMs: number | null;
  readonly dueMs: number;
  /** Days beyond the wanted date; negative: days left. */
  readonly daysLate: number;
  /** Which kind of wash the house wants next. */
  readonly wants: 'any' | 'contact' | 'touch-free';
  /** Set where salt may not sit beyond a date. */
  readonly deadlineMs: number | null;
}

function wantedKind(
  { lastContactMs, knownSinceMs, nowMs }: WashHistory,
  house: HouseRules,
): DueState['wants'] {
  switch (house.choices.cadence) {
    case 'rinse-weekly':
      return 'touch-free';
    case 'contact-when-fine':
      return 'contact';
    case 'mixed': {
      const days = (nowMs - (lastContactMs ?? knownSinceMs)) / MS_PER_DAY;
      return days >= house.numbers.contactEveryDays ? 'contact' : 'any';
    }
  }
}

/** When is it wanted next, and which kind, by its cadence and the house rules? */
export function dueState(
  vehicle: Pick<Vehicle, 'cadenceDays'>,
  history: WashHistory,
  house: HouseRules,
): DueState {
  const sinceMs = history.lastWashMs ?? history.knownSinceMs;
  const { cadence, afterSnow } = house.choices;
  const everyDays =
    cadence === 'rinse-weekly' ? Math.min(WEEKLY_DAYS, vehicle.cadenceDays) : vehicle.cadenceDays;
  const deadlineMs =
    afterSnow === 'never-beyond' ? sinceMs + house.numbers.neverBeyondDays * MS_PER_DAY : null;
  const dueMs = Math.min(sinceMs + everyDays * MS_PER_DAY, deadlineMs ?? Infinity);
  return {
    lastWashMs: history.lastWashMs,
    dueMs,
    daysLate: (history.nowMs - dueMs) / MS_PER_DAY,
    wants: wantedKind(history, house),
    deadlineMs,
  };
}
