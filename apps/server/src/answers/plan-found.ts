import type { BookingRecord, DayLight, MadePlan, PlanAnswer, PlanNotes, WashRecord } from '@keen/core';

/** A plan as first found, with what it was made from. */
export interface PlanFound {
  readonly made: MadePlan;
  readonly planned: readonly WashRecord[];
  readonly workers: PlanNotes['workers'];
  readonly bookings: readonly BookingRecord[];
  readonly nowMs: number;
  readonly fromMs: number;
  readonly days: readonly DayLight[];
  readonly source: string;
  readonly issuedMs: number;
  readonly memberCount: number;
  /** Words the plan that other options of the same problem make. */
  readonly tell: (chosen: readonly number[]) => Promise<PlanAnswer>;
}
