import type {
  CadencePart,
  DoneWash,
  Drive,
  DrivingSide,
  HouseRules,
  Kit,
  Limits,
  Place,
  PlanCar,
  PlanRequest,
  Prices,
  RoadSight,
  SaltReading,
  SeasonNumbers,
  SoilSeen,
  Treatment,
  Vehicle,
  WeatherHour,
} from '@keen/core';

/** Weather as the worker needs it. */
export interface EngineWeather {
  /** Changes whenever the weather or what was spread on the roads does. */
  readonly stamp: string;
  /** The first of the measured hours. */
  readonly seasonMs: number;
  /** The present hour: the first of those to come. */
  readonly fromMs: number;
  /** Consecutive from `seasonMs` to `fromMs`; null where not known. */
  readonly observed: readonly (WeatherHour | null)[];
  /** Consecutive from `fromMs`; null where not known. */
  readonly control: readonly (WeatherHour | null)[];
  readonly members: readonly (readonly (WeatherHour | null)[])[];
  readonly roadSights: readonly RoadSight[];
}

/** A vehicle with all that is known to have happened to it. */
export interface EngineVehicle {
  readonly vehicle: Vehicle;
  readonly knownSinceMs: number;
  /** When it can be had; null: at any time. */
  readonly availability: PlanCar['availability'];
  readonly washes: readonly DoneWash[];
  readonly drives: readonly Drive[];
  readonly readings: readonly SaltReading[];
  readonly looks: readonly (SoilSeen & { readonly estimatedThen: number })[];
}

/** What every question rests on. */
export interface EngineSetting {
  readonly places: readonly Place[];
  readonly limits: Limits;
  readonly prices: Prices;
  readonly house: HouseRules;
  readonly drivesOn: DrivingSide;
  readonly season: SeasonNumbers;
  readonly timeZone: string;
  readonly weather: EngineWeather;
  /** What was spread on the roads, as told. */
  readonly treatments: readonly Treatment[];
  readonly nowMs: number;
}

interface OfVehicle extends EngineSetting {
  readonly car: EngineVehicle;
}

/** One start at one place by one method. */
export interface StartQuestion {
  readonly placeId: string;
  readonly methodId: string;
  readonly startMs: number;
}

/** The grid of one vehicle. */
export interface GridJob extends OfVehicle {
  readonly kind: 'grid';
}

/** The washes that stand in the plan, and who does them. */
export type PlanFacts = Pick<PlanRequest, 'hands' | 'fixed' | 'movable' | 'busy' | 'bookings' | 'stock'>;

/** What each vehicle needs and when, and one good plan for all of them. */
export interface PlanJob extends EngineSetting {
  readonly kind: 'plan';
  readonly cars: readonly EngineVehicle[];
  readonly facts: PlanFacts;
}

/** What a little more of each limit would be worth. */
export interface ReliefsJob extends Omit<PlanJob, 'kind'> {
  readonly kind: 'reliefs';
}

/** Where else the wash of one vehicle could stand. */
export interface MovesJob extends OfVehicle {
  readonly kind: 'moves';
  readonly facts: PlanFacts;
}

/** The plan that some choice of its options makes. */
export interface PlanTellJob extends Omit<PlanJob, 'kind'> {
  readonly kind: 'plan-tell';
  readonly chosen: readonly number[];
}

/** The salt of one vehicle over the season. */
export interface SaltJob extends OfVehicle {
  readonly kind: 'salt';
}

/** Soil and protection of one vehicle. */
export interface ConditionJob extends OfVehicle {
  readonly kind: 'condition';
}

/** Every finding for one start, and the films behind it. */
export interface CellJob extends OfVehicle {
  readonly kind: 'cell';
  readonly start: StartQuestion;
}

/** All that it takes to do one wash. */
export interface RunPackJob extends OfVehicle {
  readonly kind: 'run-pack';
  readonly start: StartQuestion;
  readonly kit: Kit;
}

/** What would change the answer to one start. */
export interface FlipsJob extends OfVehicle {
  readonly kind: 'flips';
  readonly start: StartQuestion;
}

/** All ways to wash in one hour. */
export interface BalanceJob extends OfVehicle {
  readonly kind: 'balance';
  readonly atMs: number;
}

/** Cadences over the season so far. */
export interface CadenceJob extends OfVehicle {
  readonly kind: 'cadence';
  readonly plans: readonly (readonly CadencePart[])[];
}

export type EngineJob =
  | GridJob
  | PlanJob
  | PlanTellJob
  | MovesJob
  | ReliefsJob
  | SaltJob
  | ConditionJob
  | CellJob
  | RunPackJob
  | FlipsJob
  | BalanceJob
  | CadenceJob;

export interface EngineProgress {
  readonly label: string;
  /** 0–1. */
  readonly share: number;
}
