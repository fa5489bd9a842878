import type { BookedSpan } from '../booking/index.js';
import type { WashChoices } from '../house-rules/index.js';
import type { OpenSpan, Place } from '../place/index.js';
import type { ScheduleProblem } from '../schedule/index.js';
import type { Extras } from '../season/index.js';
import type { SeasonJobId } from '../vehicle/index.js';
import type { Prices } from './data/prices.js';
import type { DuePeriod } from './due-periods.js';
import type { VehicleMorning } from './vehicle-morning.js';
import type { Window } from './window.js';
import type { Span, Worker, WorkerSlot } from './workers.js';

/** Slots of the schedule; starts lie on the hour, or a third or two thirds after it. */
export const PLAN_SLOT_MINUTES = 20;

/** A wash that stands in the plan. */
export interface PlannedSlot extends WorkerSlot {
  readonly vehicleId: string;
  readonly methodId: string;
  readonly workerId: string;
  /** Work of the season in the same visit. */
  readonly extras: readonly SeasonJobId[];
  /** What was chosen for this wash alone; absent: all is the shop's own. */
  readonly choices?: WashChoices;
}

/** A car in the plan: what it needs, how often, and when it can be had. */
export interface PlanCar extends VehicleMorning {
  readonly cadenceDays: number;
  /** By weekday, Monday first, in the shop's time; null: at any time. */
  readonly availability: readonly (OpenSpan | null)[] | null;
  /** What only this work of the season would add to a window of it. */
  readonly extrasOf: (window: Window, jobIds: readonly SeasonJobId[]) => Extras;
  /** A window of it with what was chosen for one wash. */
  readonly withChoices: (window: Window, choices: WashChoices) => Window;
}

export interface PlanRequest {
  readonly cars: readonly PlanCar[];
  readonly bookings: readonly BookedSpan[];
  /** For how many washes product is left, by method; a method that is not named has plenty. */
  readonly stock: Readonly<Partial<Record<string, number>>>;
  readonly places: readonly Place[];
  readonly workers: readonly Worker[];
  /** Locked or begun: they stay as they are, and the rest is planned round them. */
  readonly fixed: readonly PlannedSlot[];
  /** Planned, but free to be moved. */
  readonly movable: readonly PlannedSlot[];
  /** When hands are otherwise engaged. */
  readonly busy: readonly (Span & { readonly workerId: string | null })[];
  /** Room for one car more at a place than it has, for a time: what if. */
  readonly moreRoom?: readonly (Span & { readonly placeId: string })[];
  readonly prices: Prices;
  /** Between being back from one wash and setting out for the next. */
  readonly restMinutes: number;
  /** Largest share of members that a start may fail in. */
  readonly tolerableFraction: number;
  readonly timeZone: string;
  readonly nowMs: number;
  readonly horizonMs: number;
}

/** One way to do one wash of one car. */
export interface PlanOption {
  readonly vehicleId: string;
  readonly period: DuePeriod;
  readonly window: Window;
  readonly workerId: string;
  /** Mean over the members, with lateness avoided, minor units. */
  readonly worthMinor: number;
  /** It is what stands in the plan already. */
  readonly isPlanned: boolean;
}

export interface PlanJob {
  readonly vehicleId: string;
  readonly period: DuePeriod;
  /** Work of the season that was agreed on with it. */
  readonly agreed: readonly SeasonJobId[];
  /** Work of the season that is agreed on with another wash of the car: it is not done with this one. */
  readonly agreedElsewhere: readonly SeasonJobId[];
  /** The first wash of the car takes the work of the season that is due and not agreed on. */
  readonly takesDue: boolean;
}

/** A plan to be made: the problem in numbers, and what its numbers stand for. */
export interface PlanCase {
  readonly problem: ScheduleProblem;
  readonly options: readonly PlanOption[];
  readonly jobs: readonly PlanJob[];
  readonly originMs: number;
}
