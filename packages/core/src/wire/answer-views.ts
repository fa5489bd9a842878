import type { SoilLookRecord } from '../shop/index.js';
import type { ConditionAnswer, RibbonHour, StartQuestion } from '../answers/index.js';
import type { BalanceRow } from '../plan/index.js';
import type { Band } from '../verdict/index.js';

/** Whose forecast it rests on, and when it was issued. */
export interface WeatherOrigin {
  readonly source: string;
  readonly issuedMs: number;
}

/** One start of one car. */
export interface CellQuery extends StartQuestion {
  readonly vehicleId: string;
}

/** Sunrise and sunset of one day. */
export interface DayLight {
  readonly sunriseMs: number;
  readonly sunsetMs: number;
}

/** A week of starts for one car. */
export interface WindowsView extends WeatherOrigin {
  readonly vehicleId: string;
  readonly fromMs: number;
  readonly hourCount: number;
  readonly bands: readonly Band[];
  readonly hours: readonly RibbonHour[];
  readonly days: readonly DayLight[];
}

/** All ways to wash one car in one hour. */
export interface BalanceView extends WeatherOrigin {
  readonly vehicleId: string;
  readonly atMs: number;
  readonly rows: readonly BalanceRow[];
}

/** Soil and protection of one car, and what was seen of it. */
export interface ConditionView extends ConditionAnswer {
  readonly looks: readonly SoilLookRecord[];
}

/** The program’s hour, and whether it may be set. */
export interface Clock {
  readonly nowMs: number;
  readonly canBeSet: boolean;
}

/** Copies of the shop's data. */
/** A copy that follows every write. */
export interface LiveCopyView {
  readonly to: string;
  readonly isRunning: boolean;
  /** How far it is behind; null: it does not tell. */
  readonly lagSeconds: number | null;
  /** Why it does not run, or ended last; null: nothing is wrong. */
  readonly failure: string | null;
}

export interface BackupsView {
  /** Where they are, on the machine that the program runs on. */
  readonly folder: string;
  /** One is made each day. */
  readonly isDaily: boolean;
  /** The newest first. */
  readonly copies: readonly { readonly atMs: number; readonly bytes: number }[];
  /** When the next is made; null: none is, unless somebody asks for it. */
  readonly nextMs: number | null;
  /** Why the last one could not be made; null: it could. */
  readonly failure: string | null;
  /** Where each is copied to as well; null: nowhere. */
  readonly secondFolder: string | null;
  /** What is left on the disk of the data; null: it does not tell. */
  readonly freeBytes: number | null;
  /** So little that it should be seen to. */
  readonly isRoomLow: boolean;
  /** null: none is kept. */
  readonly liveCopy: LiveCopyView | null;
}

/** The newest copy, opened elsewhere as a restore would, and what was found in it. */
export interface BackupTrial {
  readonly atMs: number;
  readonly vehicles: number;
  /** Done ones. */
  readonly washes: number;
  readonly customers: number;
}
