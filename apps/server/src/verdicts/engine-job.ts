import type { Limits, Place, Prices, Vehicle, WeatherHour } from '@keen/core';

/** Weather as the worker needs it. */
export interface EngineWeather {
  readonly stamp: string;
  readonly observed: readonly WeatherHour[];
  readonly control: readonly WeatherHour[];
  readonly members: readonly (readonly WeatherHour[])[];
}

/** A vehicle with what has been done to it. */
export interface EngineVehicle {
  readonly vehicle: Vehicle;
  readonly knownSinceMs: number;
  readonly washes: readonly { readonly atMs: number; readonly methodId: string }[];
}

interface EngineSetting {
  readonly places: readonly Place[];
  readonly limits: Limits;
  readonly weather: EngineWeather;
}

/** The grid of one vehicle. */
export interface GridJob extends EngineSetting {
  readonly kind: 'grid';
  readonly vehicle: Vehicle;
}

/** What each vehicle needs and when; grids that are known already are not computed again. */
export interface MorningJob extends EngineSetting {
  readonly kind: 'morning';
  readonly vehicles: readonly EngineVehicle[];
  readonly prices: Prices;
  readonly timeZone: string;
  readonly nowMs: number;
}

/** The salt of one vehicle over the season. */
export interface SaltJob extends EngineSetting {
  readonly kind: 'salt';
  readonly vehicle: EngineVehicle;
  readonly timeZone: string;
}

export type EngineJob = GridJob | MorningJob | SaltJob;

export interface EngineProgress {
  readonly label: string;
  /** 0–1. */
  readonly share: number;
}
