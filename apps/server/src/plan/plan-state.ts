import { createHash } from 'node:crypto';
import {
  type PlanAnswer,
  type PlannedSlot,
  type Schedule,
  endOf,
  freeFrom,
  type PlanStanding,
  type SearchState,
  MS_PER_HOUR,
} from '@keen/core';
import type { PlanFound } from '../answers/plan-found.js';
import { type NamedChange } from './proposals.js';

/** What runs late is in the way of starts so soon after it, ways included. */
const LATE_REACH_MS = MS_PER_HOUR;

export interface Run {
  readonly found: PlanFound;
  schedule: Schedule;
  answer: PlanAnswer;
  state: SearchState;
  /** What it has proposed: a user who saw a proposal may still accept it when the search has found better since. */
  readonly proposals: NamedChange[][];
  readonly stop: AbortController;
}

export const standingOf = ({ schedule, state, answer }: Run): PlanStanding => ({
  valueMinor: schedule.value - answer.steadyMinor,
  boundMinor: schedule.bound - answer.steadyMinor,
  status: schedule.status,
  state,
});

export const proposedBy = ({ proposals }: Run): readonly NamedChange[] => proposals.at(-1) ?? [];

/** Changes whenever what is proposed does. */
export const idOf = (run: Run): string =>
  createHash('sha256')
    .update(JSON.stringify(proposedBy(run).map(({ id }) => id)))
    .digest('base64url');

/** The wash that was begun, runs beyond its time and is in the way of a start. */
export function lateBefore(slot: PlannedSlot, { planned, nowMs }: PlanFound): string | null {
  const late = planned.find(
    (wash) =>
      wash.vehicleId !== slot.vehicleId &&
      freeFrom(wash, nowMs) > endOf(wash) &&
      (wash.workerId === slot.workerId || wash.placeId === slot.placeId) &&
      wash.startMs <= slot.startMs &&
      freeFrom(wash, nowMs) > slot.startMs - LATE_REACH_MS,
  );
  return late?.vehicleId ?? null;
}
