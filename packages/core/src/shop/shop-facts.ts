import type { DoneWash } from '../log/index.js';
import type { Drive } from '../drive/index.js';
import type { HouseRules } from '../house-rules/index.js';
import type { Shelf } from '../kit/index.js';
import type { Place } from '../place/index.js';
import type { PlanCar, PlanRequest, Prices } from '../plan/index.js';
import type { RoadSight, Treatment } from '../road/index.js';
import type { DrivingSide } from '../settings/index.js';
import type { Limits } from '../rules/index.js';
import type { SaltReading } from '../salt/index.js';
import type { SeasonNumbers } from '../season/index.js';
import type { SoilSeen } from '../soil/index.js';
import type { Vehicle, VehicleRecord } from '../vehicle/index.js';
import type { WeatherHour } from '../weather/index.js';

/** The weather of a season up to now, and what is forecast. */
export interface ShopWeather {
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
export interface CarFacts {
  readonly vehicle: Vehicle;
  readonly knownSinceMs: number;
  readonly washedBefore: VehicleRecord['washedBefore'];
  /** When it can be had; null: at any time. */
  readonly availability: PlanCar['availability'];
  readonly washes: readonly DoneWash[];
  readonly drives: readonly Drive[];
  readonly readings: readonly SaltReading[];
  readonly looks: readonly (SoilSeen & { readonly estimatedThen: number })[];
}

/** What every question rests on: plain data, read once. */
export interface ShopFacts {
  readonly places: readonly Place[];
  readonly limits: Limits;
  readonly prices: Prices;
  readonly house: HouseRules;
  /** What of the kit decides how a car is washed. */
  readonly shelf: Shelf;
  readonly drivesOn: DrivingSide;
  readonly season: SeasonNumbers;
  readonly timeZone: string;
  readonly weather: ShopWeather;
  /** What was spread on the roads, as told. */
  readonly treatments: readonly Treatment[];
  readonly nowMs: number;
}

/** The shop, and one of its cars. */
export interface OfCar extends ShopFacts {
  readonly car: CarFacts;
}

/** The washes that stand in the plan, and who does them. */
export type PlanNotes = Pick<PlanRequest, 'workers' | 'fixed' | 'movable' | 'busy' | 'bookings' | 'stock'>;

/** Where a car stands at night; null: in the street. */
export const standsAt = ({ car, places }: OfCar): Place | null =>
  places.find(({ id }) => id === car.vehicle.standsAtPlaceId) ?? null;
