import type {
  BalanceRow,
  Band,
  CadenceOutcome,
  CadencePart,
  CarZone,
  CellDetail,
  Drive,
  FilmInput,
  Flip,
  HouseRules,
  LearntPickUp,
  PanelId,
  PlaceRecord,
  ProtectionState,
  RoadState,
  SaltReading,
  Settings,
  SoilSeen,
  SwabInput,
  Treatment,
  VehicleAnswer,
  VehicleRecord,
  WashFound,
  WashRecord,
  WeatherHour,
  ZoneSalt,
  ZoneSoil,
} from '@keen/core';

export type {
  BalanceRow,
  Band,
  CadenceOutcome,
  CadencePart,
  Drive,
  Flip,
  HouseRules,
  PlaceRecord,
  Settings,
  Treatment,
  VehicleAnswer,
  VehicleRecord,
  WashFound,
  WashRecord,
  WeatherHour,
  ZoneSalt,
  ZoneSoil,
};

/** One start laid open, with the film of each panel. */
export interface CellAnswer extends CellDetail {
  readonly films: readonly { readonly panel: PanelId; readonly input: FilmInput }[];
}

export interface TreatmentRecord extends Treatment {
  readonly id: string;
  readonly source: string;
}

export interface Bulletins {
  readonly authority: string;
  readonly treatments: readonly TreatmentRecord[];
}

export interface DriveRecord extends Drive {
  readonly id: string;
  readonly vehicleId: string;
  readonly origin: 'entered' | 'track';
}

export interface SwabRecord extends SaltReading, SwabInput {
  readonly id: string;
  readonly vehicleId: string;
}

export interface SoilLookRecord extends SoilSeen {
  readonly id: string;
  readonly vehicleId: string;
  readonly estimatedThen: number;
}

export type ZoneProtectionState = ProtectionState & { readonly zone: CarZone };

export interface ConditionView {
  readonly soil: readonly ZoneSoil[];
  readonly estimated: readonly ZoneSoil[];
  readonly protections: readonly ZoneProtectionState[];
  readonly looks: readonly SoilLookRecord[];
}

export interface BalanceView {
  readonly vehicleId: string;
  readonly atMs: number;
  readonly source: string;
  readonly issuedMs: number;
  readonly rows: readonly BalanceRow[];
}

export type ImportMode = 'look' | 'all-or-nothing' | 'good-lines';

export interface ImportReport<T> {
  readonly good: readonly T[];
  readonly faults: readonly { readonly line: number; readonly field: string; readonly message: string }[];
  readonly kept: boolean;
}

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
  /** Main road and salt clock, hour by hour. */
  readonly hours: readonly { readonly road: RoadState; readonly pace: number }[];
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
  readonly washesMs: readonly number[];
  readonly pickUp: LearntPickUp;
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
