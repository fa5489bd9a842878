import type {
  Band,
  CellDetail,
  PlaceRecord,
  Settings,
  VehicleAnswer,
  VehicleRecord,
  WashFound,
  WashRecord,
  WeatherHour,
  ZoneSalt,
} from '@keen/core';

export type {
  Band,
  CellDetail,
  PlaceRecord,
  Settings,
  VehicleAnswer,
  VehicleRecord,
  WashFound,
  WashRecord,
  WeatherHour,
  ZoneSalt,
};

export interface Clock {
  readonly nowMs: number;
  readonly canBeSet: boolean;
}

export interface MorningView {
  readonly nowMs: number;
  readonly source: string;
  readonly issuedMs: number;
  readonly memberCount: number;
  readonly answers: readonly VehicleAnswer[];
}

export interface WindowsView {
  readonly vehicleId: string;
  readonly fromMs: number;
  readonly hourCount: number;
  readonly issuedMs: number;
  readonly source: string;
  readonly bands: readonly Band[];
  readonly days: readonly { readonly sunriseMs: number; readonly sunsetMs: number }[];
}

export interface ForecastHour extends WeatherHour {
  readonly lowTempC: number;
  readonly highTempC: number;
}

export interface WeatherView {
  readonly source: string;
  readonly issuedMs: number;
  readonly memberCount: number;
  readonly past: readonly WeatherHour[];
  readonly ahead: readonly ForecastHour[];
}

export interface SaltView {
  readonly days: readonly {
    readonly atMs: number;
    readonly activeHours: number;
    readonly zones: readonly ZoneSalt[];
  }[];
  readonly now: { readonly activeHours: number; readonly zones: readonly ZoneSalt[] };
  readonly savedNow: readonly { readonly methodId: string; readonly activeHours: number }[];
  readonly savedByLast: { readonly atMs: number; readonly activeHours: number } | null;
  readonly forecastHours: number;
  readonly parked: { readonly here: number; readonly street: number; readonly heated: number };
}

export interface CellQuery {
  readonly vehicleId: string;
  readonly placeId: string;
  readonly methodId: string;
  readonly startMs: number;
}

export interface DoneWash {
  readonly startMs: number;
  readonly minutes: number;
  readonly methodId: string;
  readonly costMinor: number | null;
  readonly found: WashFound;
}
