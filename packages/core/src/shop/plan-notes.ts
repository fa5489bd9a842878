import { MS_PER_MINUTE } from '../quantity/index.js';
import { choicesOf, type HouseRules } from '../house-rules/index.js';
import { type Kit, shelfOf, washesLeft } from '../kit/index.js';
import type { WashRecord } from '../log/index.js';
import { METHOD_IDS } from '../method/index.js';
import { PLAN_SLOT_MINUTES, type PlannedSlot } from '../plan/index.js';
import type { Limits } from '../rules/index.js';
import type { Settings } from '../settings/index.js';
import { equippedMethod } from '../verdict/index.js';
import type { PlanNotes } from './shop-facts.js';

/** The planner begins washes at whole multiples of this. */
export const SLOT_MS = PLAN_SLOT_MINUTES * MS_PER_MINUTE;

export const endOf = ({
  startMs,
  minutes,
  visit,
}: Pick<WashRecord, 'startMs' | 'minutes' | 'visit'>): number =>
  startMs + (visit?.minutes ?? minutes) * MS_PER_MINUTE;

/** A wash that was begun and is not marked done takes at least so much longer; told in steps, so that a plan holds for a while (judgement). */
const STILL_AT_IT_MS = 10 * MS_PER_MINUTE;
/** A wash that takes so much longer has not been marked as done (judgement). */
const FORGOTTEN_MS = 4 * 60 * MS_PER_MINUTE;

/** When its hands and its place are free again: a wash that was begun late ends late, and one that runs over goes on. */
export function freeFrom(wash: WashRecord, nowMs: number): number {
  const { startMs, startedMs } = wash;
  if (wash.status !== 'planned' || startedMs === null) return endOf(wash);
  const wantedMs = Math.max(startMs, startedMs) + endOf(wash) - startMs;
  if (nowMs < wantedMs || nowMs > wantedMs + FORGOTTEN_MS) return wantedMs;
  return (Math.floor(nowMs / STILL_AT_IT_MS) + 2) * STILL_AT_IT_MS;
}

/** Planned and not over: it still takes hands. */
export const isAhead = (wash: WashRecord, nowMs: number): boolean =>
  wash.status === 'planned' && freeFrom(wash, nowMs) > nowMs;

/** A wash as the planner sees it now. */
export function slotOf(wash: WashRecord, nowMs: number): PlannedSlot {
  const choices = wash.predicted ? choicesOf(wash.predicted) : undefined;
  return {
    vehicleId: wash.vehicleId,
    placeId: wash.placeId,
    methodId: wash.methodId,
    workerId: wash.workerId,
    startMs: wash.startMs,
    endMs: freeFrom(wash, nowMs),
    isBegun: wash.startedMs !== null,
    extras: wash.extras,
    ...(choices ? { choices } : {}),
  };
}

/** Locked, begun, one of two in a visit, or at a minute that the planner does not use: it stays where it is. */
export const isFixed = ({ isLocked, startedMs, startMs, visit }: WashRecord): boolean =>
  isLocked || startedMs !== null || Boolean(visit) || startMs % SLOT_MS !== 0;

/** The washes that stand in the plan, as the planner takes them. */
export function planNotes(
  { planned, nowMs }: { readonly planned: readonly WashRecord[]; readonly nowMs: number },
  shop: Pick<PlanNotes, 'workers' | 'busy' | 'bookings' | 'stock'>,
): PlanNotes {
  return {
    ...shop,
    fixed: planned.filter(isFixed).map((wash) => slotOf(wash, nowMs)),
    movable: planned.filter((wash) => !isFixed(wash)).map((wash) => slotOf(wash, nowMs)),
  };
}

/** A saloon that no label minds: what is left does not go by the car. */
const ANY_CAR = {
  protection: 'bare',
  protections: [],
  delicateWheels: false,
  hasChargePort: false,
  bodyClass: 'saloon',
} as const;

/** For how many washes there is product, by method: what was counted, and what the bottles give; the less of the two. */
export function stockByMethod(
  counted: Settings['stock'],
  kit: Kit,
  { house, limits }: { readonly house: HouseRules; readonly limits: Limits },
): Record<string, number> {
  const shop = { vehicle: ANY_CAR, house, limits, shelf: shelfOf(kit) };
  return Object.fromEntries(
    METHOD_IDS.flatMap((id) => {
      const bottles = washesLeft(equippedMethod(id, shop).steps, kit);
      const left = Math.min(counted[id] ?? Infinity, bottles ?? Infinity);
      return left === Infinity ? [] : [[id, left]];
    }),
  );
}
