import type { Finding } from '../rules/index.js';
import type { DuePeriod } from './due-periods.js';
import type { SeasonJobId } from '../vehicle/index.js';
import type { PlannedSlot } from './plan-request.js';
import { type PlanWorth } from './worth-in-plan.js';
import type { Window } from './window.js';

/** Another way to do a wash, and what the plan would lose by it, minor units. */
export interface PricedOption {
  readonly window: Window;
  readonly workerId: string;
  readonly costMinor: number;
  /** Cars whose planned washes would have to give way. */
  readonly pushesOut: readonly string[];
}

/** What to turn to if the weather closes the window. */
export interface Fallback {
  readonly window: Window;
  readonly workerId: string;
  /** Share of the members in which the first window fails and this one holds; 1 where the first fails in none. */
  readonly savesFraction: number;
}

export interface PlanChoice {
  readonly vehicleId: string;
  readonly period: DuePeriod;
  readonly window: Window;
  readonly workerId: string;
  readonly worth: PlanWorth;
  /** Work of the season that was agreed on with it and does not go at that start. */
  readonly missingExtras: readonly SeasonJobId[];
  readonly fallback: Fallback | null;
  readonly alternatives: readonly PricedOption[];
}

/** Why a wash that is wanted is not in the plan. */
export type UnplannedReason =
  | { readonly kind: 'no-window'; readonly limiting: Finding | null }
  | { readonly kind: 'members'; readonly failingFraction: number }
  | { readonly kind: 'workers' }
  /** Washes that stay where they are fill the place. */
  | { readonly kind: 'room' }
  | { readonly kind: 'car-away' }
  | { readonly kind: 'no-product'; readonly methodId: string }
  | { readonly kind: 'not-worth'; readonly bestMinor: number }
  | { readonly kind: 'pushed-out'; readonly costMinor: number };

export interface Unplanned {
  readonly vehicleId: string;
  readonly period: DuePeriod;
  readonly reason: UnplannedReason;
  /** From then on it is late, or may not wait any longer. */
  readonly hurtsMs: number;
}

/** A wash that stays where it is, as the weather has it now. */
export interface FixedState {
  readonly slot: PlannedSlot;
  /** null: it does not go there any more, or the forecast does not reach. */
  readonly window: Window | null;
  readonly worthMinor: number | null;
}

export interface PlanAnswer {
  readonly choices: readonly PlanChoice[];
  readonly fixed: readonly FixedState[];
  readonly unplanned: readonly Unplanned[];
  /** What the schedule counts for leaving planned washes where they are, minor units; no part of what they are worth. */
  readonly steadyMinor: number;
}
