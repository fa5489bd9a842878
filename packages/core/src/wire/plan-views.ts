import type { DayLight } from './answer-views.js';
import type { BookingRecord } from './records.js';
import type { WashRecord } from '../log/index.js';
import type {
  EarlyAnswer,
  FixedState,
  Worker,
  PlanChange,
  PlanChoice,
  Unplanned,
  VehicleAnswer,
} from '../plan/index.js';
import type { Finding } from '../rules/index.js';
import type { Schedule } from '../schedule/index.js';
import type { VerdictKind } from '../verdict/index.js';

export type SearchState = 'searching' | 'ended' | 'stopped' | 'failed';

/** How good the plan is: its value, what no plan can pass, and whether it is still being worked on; minor units. */
export interface PlanStanding {
  readonly valueMinor: number;
  readonly boundMinor: number;
  readonly status: Schedule['status'];
  readonly state: SearchState;
}

/** A change, and why the old start does not go any more. */
export type ExplainedChange = PlanChange & {
  readonly id: string;
  readonly washId: string | null;
  readonly against: { readonly verdict: VerdictKind; readonly limiting: Finding } | null;
  /** The car whose wash runs late and takes the hands or the place; null: none does. */
  readonly heldUpBy: string | null;
};

export interface PlanView {
  readonly id: string;
  readonly nowMs: number;
  readonly fromMs: number;
  readonly horizonMs: number;
  readonly source: string;
  readonly issuedMs: number;
  readonly memberCount: number;
  readonly workers: readonly Worker[];
  readonly days: readonly DayLight[];
  readonly planned: readonly WashRecord[];
  readonly fixed: readonly FixedState[];
  readonly choices: readonly PlanChoice[];
  readonly unplanned: readonly Unplanned[];
  readonly bookings: readonly BookingRecord[];
  readonly changes: readonly ExplainedChange[];
  readonly standing: PlanStanding;
}

export interface MorningView {
  readonly nowMs: number;
  readonly source: string;
  readonly issuedMs: number;
  readonly memberCount: number;
  readonly answers: readonly VehicleAnswer[];
}

/** What can be said of the morning while it is being worked out. */
export interface MorningSoFar {
  /** Cars that are done, each by itself. */
  readonly early: readonly EarlyAnswer[];
  /** The whole morning as it was worked out last, and when; null: never. */
  readonly last: MorningView | null;
}

export interface ChangedWashes {
  readonly added: readonly WashRecord[];
  readonly moved: readonly { readonly before: WashRecord; readonly after: WashRecord }[];
  readonly removed: readonly WashRecord[];
  readonly restored: readonly WashRecord[];
}
