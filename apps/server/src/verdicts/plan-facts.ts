import { type Hands, PLAN_SLOT_MINUTES, type PlannedSlot, type WashRecord } from '@keen/core';
import type { PlanFacts } from './engine-job.js';

const MS_PER_MINUTE = 60_000;
const SLOT_MS = PLAN_SLOT_MINUTES * MS_PER_MINUTE;

export const endOf = ({ startMs, minutes }: Pick<WashRecord, 'startMs' | 'minutes'>): number =>
  startMs + minutes * MS_PER_MINUTE;

/** Planned and not over: it still takes hands. */
export const isAhead = (wash: WashRecord, nowMs: number): boolean =>
  wash.status === 'planned' && endOf(wash) > nowMs;

/** A wash as the planner sees it. */
export const slotOf = (wash: WashRecord): PlannedSlot => ({
  vehicleId: wash.vehicleId,
  placeId: wash.placeId,
  methodId: wash.methodId,
  handsId: wash.handsId,
  startMs: wash.startMs,
  endMs: endOf(wash),
});

/** Locked, begun, or begun at a minute that the planner does not use: it stays where it is. */
export const isFixed = ({ isLocked, startedMs, startMs }: WashRecord): boolean =>
  isLocked || startedMs !== null || startMs % SLOT_MS !== 0;

/** The washes that stand in the plan, as the planner takes them. */
export function planFacts(
  planned: readonly WashRecord[],
  hands: readonly Hands[],
  busy: PlanFacts['busy'],
): PlanFacts {
  return {
    hands,
    fixed: planned.filter(isFixed).map(slotOf),
    movable: planned.filter((wash) => !isFixed(wash)).map(slotOf),
    busy,
  };
}
