import type { WashChoices } from '../house-rules/index.js';
import type { WayId } from '../method/index.js';
import type { Kit } from '../kit/index.js';
import type { CadencePart } from '../plan/index.js';
import type { SeasonJobId } from '../vehicle/index.js';
import type { CarFacts, OfCar, PlanNotes, ShopFacts } from '../shop/index.js';

/** One start at one place by one method. */
export interface StartQuestion extends WashChoices {
  readonly placeId: string;
  readonly methodId: string;
  readonly startMs: number;
  /** The way that was accepted; absent: the one that goes. */
  readonly wayId?: WayId;
  /** The cold, °C, by which its bottles were taken when it was accepted; absent: as forecast. */
  readonly placeC?: number | null;
  /** Work of the season that is done with it; absent: none. */
  readonly extras?: readonly SeasonJobId[];
}

/** A week of starts for one vehicle. */
export interface WeekQuestion extends OfCar {
  readonly kind: 'week';
}

/** What each vehicle needs and when, and one good plan for all of them. */
export interface PlanQuestion extends ShopFacts {
  readonly kind: 'plan';
  readonly cars: readonly CarFacts[];
  readonly facts: PlanNotes;
}

/** A share of the mornings that a plan of these cars will look for: those that nobody else has taken, from the last on. */
export interface MorningsQuestion extends Omit<PlanQuestion, 'kind'> {
  readonly kind: 'mornings';
}

/** What a little more of each limit would be worth. */
export interface ReliefsQuestion extends Omit<PlanQuestion, 'kind'> {
  readonly kind: 'reliefs';
}

/** Where else the wash of one vehicle could stand. */
export interface MovesQuestion extends OfCar {
  readonly kind: 'moves';
  readonly facts: PlanNotes;
}

/** The plan that some choice of its options makes. */
export interface PlanTellQuestion extends Omit<PlanQuestion, 'kind'> {
  readonly kind: 'plan-tell';
  readonly chosen: readonly number[];
}

/** The salt of one vehicle over the season. */
export interface SaltQuestion extends OfCar {
  readonly kind: 'salt';
}

/** Soil and protection of one vehicle. */
export interface ConditionQuestion extends OfCar {
  readonly kind: 'condition';
}

/** What each protection lasted on each car. */
export interface CoatsQuestion extends ShopFacts {
  readonly kind: 'coats';
  readonly cars: readonly CarFacts[];
}

/** Every finding for one start, and the films behind it. */
export interface CellQuestion extends OfCar {
  readonly kind: 'cell';
  readonly start: StartQuestion;
}

/** One start, worked through step by step. */
export interface WashQuestion extends OfCar {
  readonly kind: 'wash';
  readonly start: StartQuestion;
}

/** The ways in which one start could be done. */
export interface WaysQuestion extends OfCar {
  readonly kind: 'ways';
  readonly start: StartQuestion;
}

/** All that it takes to do one wash. */
export interface RunPackQuestion extends OfCar {
  readonly kind: 'run-pack';
  readonly start: StartQuestion;
  readonly kit: Kit;
}

/** One start in an order of steps that somebody tries out. */
export interface TrialQuestion extends OfCar {
  readonly kind: 'trial';
  readonly start: StartQuestion;
  readonly kit: Kit;
}

/** What would change the answer to one start. */
export interface FlipsQuestion extends OfCar {
  readonly kind: 'flips';
  readonly start: StartQuestion;
}

/** All ways to wash in one hour. */
export interface BalanceQuestion extends OfCar {
  readonly kind: 'balance';
  readonly atMs: number;
}

/** Cadences over the season so far. */
export interface CadenceQuestion extends OfCar {
  readonly kind: 'cadence';
  readonly plans: readonly (readonly CadencePart[])[];
}

export type Question =
  | WeekQuestion
  | PlanQuestion
  | MorningsQuestion
  | PlanTellQuestion
  | MovesQuestion
  | ReliefsQuestion
  | SaltQuestion
  | ConditionQuestion
  | CoatsQuestion
  | CellQuestion
  | WashQuestion
  | WaysQuestion
  | RunPackQuestion
  | TrialQuestion
  | FlipsQuestion
  | BalanceQuestion
  | CadenceQuestion;
