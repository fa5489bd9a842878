import { type PlanOption, MS_PER_HOUR } from '@keen/core';
import type { Block } from './plan-view.js';

/** A start that a wash may be dropped on, and what that would cost. */
export interface DropTarget {
  readonly key: string;
  readonly placeId: string;
  readonly workerId: string;
  readonly startMs: number;
  readonly endMs: number;
  readonly option: PlanOption;
  /** Against where it stands now; null where it does not go there, or stands nowhere. */
  readonly costMinor: number | null;
}

/** How lanes are divided: by place over the week, by hands within a day. */
export type LaneKind = 'place' | 'workers';

export const laneOf = (kind: LaneKind, at: { readonly placeId: string; readonly workerId: string }): string =>
  kind === 'place' ? at.placeId : at.workerId;

/**
 * The starts that a wash may be dropped on: one for each lane and start, by the same method, the same hands and the same place where that
 * goes, and otherwise what is worth most.
 */
export function dropTargets(
  moves: readonly PlanOption[],
  from: Pick<Block, 'placeId' | 'methodId' | 'workerId' | 'startMs' | 'worthMinor'> | null,
  kind: LaneKind,
): DropTarget[] {
  const alike = ({ window, workerId }: PlanOption): number =>
    (kind === 'workers' && window.placeId === from?.placeId ? 4 : 0) +
    (window.methodId === from?.methodId ? 2 : 0) +
    (workerId === from?.workerId ? 1 : 0);
  const best = new Map<string, PlanOption>();
  for (const option of moves) {
    const lane = laneOf(kind, { placeId: option.window.placeId, workerId: option.workerId });
    const key = `${lane} ${option.window.startMs}`;
    const other = best.get(key);
    const isBetter =
      !other ||
      alike(option) > alike(other) ||
      (alike(option) === alike(other) && option.worthMinor > other.worthMinor);
    if (isBetter) best.set(key, option);
  }
  return [...best]
    .map(([key, option]) => ({
      key,
      placeId: option.window.placeId,
      workerId: option.workerId,
      startMs: option.window.startMs,
      endMs: option.window.endMs,
      option,
      costMinor: from && from.worthMinor !== null ? from.worthMinor - option.worthMinor : null,
    }))
    .filter(
      ({ placeId, startMs, workerId }) =>
        !(placeId === from?.placeId && startMs === from.startMs && workerId === from.workerId),
    )
    .sort((a, b) => a.startMs - b.startMs);
}

/** The drop nearest to where the pointer is on a lane; null where none is within the hour. */
export function nearestTarget(
  targets: readonly DropTarget[],
  at: { readonly kind: LaneKind; readonly lane: string; readonly atMs: number },
): DropTarget | null {
  const near = targets
    .filter((target) => laneOf(at.kind, target) === at.lane)
    .map((target) => ({ target, apartMs: Math.abs(target.startMs - at.atMs) }))
    .filter(({ apartMs }) => apartMs <= MS_PER_HOUR)
    .sort((a, b) => a.apartMs - b.apartMs);
  return near[0]?.target ?? null;
}

/** By keys: the next start on the same lane, or the nearest in time on the next lane that has any. */
export function steppedTarget(
  targets: readonly DropTarget[],
  from: { readonly lane: string; readonly startMs: number },
  step: { readonly kind: LaneKind; readonly lanes: readonly string[]; readonly key: string },
): DropTarget | null {
  const on = (lane: string): DropTarget[] => targets.filter((target) => laneOf(step.kind, target) === lane);
  if (step.key === 'ArrowRight') return on(from.lane).find(({ startMs }) => startMs > from.startMs) ?? null;
  if (step.key === 'ArrowLeft')
    return on(from.lane).findLast(({ startMs }) => startMs < from.startMs) ?? null;
  const way = step.key === 'ArrowDown' ? 1 : -1;
  const index = step.lanes.indexOf(from.lane);
  const lanes = step.lanes
    .map((lane, i) => ({ lane, away: (i - index) * way }))
    .filter(({ away }) => away > 0)
    .sort((a, b) => a.away - b.away);
  for (const { lane } of lanes) {
    const [near] = on(lane).sort(
      (a, b) => Math.abs(a.startMs - from.startMs) - Math.abs(b.startMs - from.startMs),
    );
    if (near) return near;
  }
  return null;
}
