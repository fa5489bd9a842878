import {
  type ExplainedChange,
  type FixedState,
  type PlanAnswer,
  type PlanChange,
  type PlanChoice,
  planDifference,
  type PlannedSlot,
  slotOf,
} from '@keen/core';
import type { PlanFound } from '../answers/plan-found.js';
import type { WashChanges } from '../washes/wash-changes.service.js';

const choiceSlot = ({ vehicleId, window, workerId }: PlanChoice): PlannedSlot => ({
  vehicleId,
  placeId: window.placeId,
  methodId: window.methodId,
  workerId,
  startMs: window.startMs,
  endMs: window.endMs,
  extras: window.extras.jobIds,
});

/** A change under a name that tells all of it. */
export type NamedChange = PlanChange & Pick<ExplainedChange, 'id' | 'washId'>;

/** From the washes that stand to those that the plan would have, each change under a name of its own. */
export function changesOf({
  found,
  answer,
}: {
  readonly found: Pick<PlanFound, 'planned' | 'nowMs'>;
  readonly answer: Pick<PlanAnswer, 'fixed' | 'choices'>;
}): NamedChange[] {
  const before = found.planned.map((wash) => ({ ...slotOf(wash, found.nowMs), washId: wash.id }));
  const movable = before.filter((slot) => !isKept(slot, answer.fixed));
  return planDifference(movable, answer.choices.map(choiceSlot)).map((change): NamedChange => {
    const washId = change.kind === 'add' ? null : change.before.washId;
    const after = change.kind === 'drop' ? null : change.after;
    const to = after
      ? [after.placeId, after.methodId, after.startMs, after.workerId, ...after.extras].join('.')
      : 'none';
    return { ...change, washId, id: `${change.kind}.${washId ?? after?.vehicleId}.${to}` };
  });
}

const isKept = (slot: PlannedSlot, fixed: readonly FixedState[]): boolean =>
  fixed.some((state) => state.slot.vehicleId === slot.vehicleId && state.slot.startMs === slot.startMs);

/** What the planner chose is free to be moved again. */
export function asWashChanges(changes: readonly NamedChange[]): WashChanges {
  const slot = ({ placeId, methodId, workerId, startMs, extras }: PlannedSlot) => ({
    placeId,
    methodId,
    workerId,
    startMs,
    extras: [...extras],
  });
  return {
    add: changes.flatMap((change) =>
      change.kind === 'add'
        ? [{ vehicleId: change.after.vehicleId, isLocked: false, ...slot(change.after) }]
        : [],
    ),
    move: changes.flatMap((change) =>
      change.kind === 'move' ? [{ id: change.washId ?? '', ...slot(change.after) }] : [],
    ),
    remove: changes.flatMap((change) => (change.kind === 'drop' ? [change.washId ?? ''] : [])),
  };
}
