import { MS_PER_DAY } from '../quantity/index.js';
import type { HouseRules } from '../house-rules/index.js';
import type { TargetState } from './cadence-target.js';

const WEEKLY_DAYS = 7;

export interface WashHistory {
  readonly lastWashMs: number | null;
  /** False: it is assumed, since nobody has said when it was. */
  readonly isLastWashKnown: boolean;
  /** Of those that touched the paint. */
  readonly lastContactMs: number | null;
  /** When the record of this vehicle begins; stands in for a last wash where there is none. */
  readonly knownSinceMs: number;
  readonly nowMs: number;
}

export interface DueState {
  readonly lastWashMs: number | null;
  /** False: the last wash is assumed; that it is due soon or late is then no more than a guess. */
  readonly isLastWashKnown: boolean;
  readonly dueMs: number;
  /** Days beyond the wanted date; negative: days left. */
  readonly daysLate: number;
  /** Which kind of wash the house wants next. */
  readonly wants: 'any' | 'contact' | 'touch-free';
  /** Days from one wash to the next: by its target, and no more than the house lets pass. */
  readonly everyDays: number;
  /** Set where salt may not sit beyond a date. */
  readonly deadlineMs: number | null;
  /** What its target has used up. */
  readonly target: TargetState;
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

/** When is it wanted next, and which kind, by its target and the house rules? */
export function dueState(target: TargetState, history: WashHistory, house: HouseRules): DueState {
  const sinceMs = history.lastWashMs ?? history.knownSinceMs;
  const { cadence, afterSnow } = house.choices;
  const weeklyMs = cadence === 'rinse-weekly' ? sinceMs + WEEKLY_DAYS * MS_PER_DAY : Infinity;
  const deadlineMs =
    afterSnow === 'never-beyond' ? sinceMs + house.numbers.neverBeyondDays * MS_PER_DAY : null;
  const dueMs = Math.min(target.dueMs, weeklyMs, deadlineMs ?? Infinity);
  return {
    lastWashMs: history.lastWashMs,
    isLastWashKnown: history.isLastWashKnown,
    dueMs,
    daysLate: (history.nowMs - dueMs) / MS_PER_DAY,
    wants: wantedKind(history, house),
    everyDays: Math.min(
      target.everyDays,
      cadence === 'rinse-weekly' ? WEEKLY_DAYS : Infinity,
      afterSnow === 'never-beyond' ? house.numbers.neverBeyondDays : Infinity,
    ),
    deadlineMs,
    target,
  };
}
