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
  NeededField,
  PanelId,
  PlaceRecord,
  ProtectionState,
  RoadState,
  SeasonDue,
  SeasonJobId,
  SaltReading,
  Settings,
  SoilSeen,
  SwabInput,
  TargetState,
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
  readonly season: readonly SeasonDue[];
  readonly target: TargetState;
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
  /** What was read and left out, in words. */
  readonly notes?: readonly string[];
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
  readonly hours: readonly { readonly road: RoadState | null; readonly pace: number }[];
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
  readonly fromMs: number;
  /** Hours that are known. */
  readonly past: readonly WeatherHour[];
  readonly ahead: readonly ForecastHour[];
  /** Who told each hour of the last day and to come, and what is missing where it is not known. */
  readonly told: readonly {
    readonly atMs: number;
    readonly source: string | null;
    readonly missing: readonly NeededField[];
  }[];
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
  /** Past hours of the season, and hours to come, of which nobody knows the weather. */
  readonly unknownHours: { readonly past: number; readonly ahead: number };
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
  /** Work of the season that was done. */
  readonly extras?: readonly SeasonJobId[];
  readonly costMinor: number | null;
  readonly found: WashFound;
}
