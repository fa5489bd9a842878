import type { PlannedSlot } from './plan-request.js';

/** One change between two plans. */
export type PlanChange =
  | { readonly kind: 'add'; readonly after: PlannedSlot }
  | { readonly kind: 'move'; readonly before: PlannedSlot; readonly after: PlannedSlot }
  | { readonly kind: 'drop'; readonly before: PlannedSlot };

const isSame = (a: PlannedSlot, b: PlannedSlot): boolean =>
  a.placeId === b.placeId &&
  a.methodId === b.methodId &&
  a.startMs === b.startMs &&
  a.workerId === b.workerId &&
  a.extras.join() === b.extras.join();

/**
 * What has to be done to come from one plan to another? A wash of the same car that is nearest in time is moved, what is left over is
 * dropped or added.
 *
 * @returns in order of time; none where both are the same
 */
export function planDifference<B extends PlannedSlot, A extends PlannedSlot>(
  before: readonly B[],
  after: readonly A[],
): (PlanChange & { readonly before?: B; readonly after?: A })[] {
  const changes: (PlanChange & { readonly before?: B; readonly after?: A })[] = [];
  const cars = new Set([...before, ...after].map(({ vehicleId }) => vehicleId));
  for (const vehicleId of cars) {
    const kept = (slots: readonly PlannedSlot[], slot: PlannedSlot): boolean =>
      slots.some((other) => other.vehicleId === vehicleId && isSame(other, slot));
    const old = before.filter((slot) => slot.vehicleId === vehicleId && !kept(after, slot));
    const fresh = after.filter((slot) => slot.vehicleId === vehicleId && !kept(before, slot));
    const pairs = old
      .flatMap((from) => fresh.map((to) => ({ from, to, apartMs: Math.abs(from.startMs - to.startMs) })))
      .sort((a, b) => a.apartMs - b.apartMs);
    const paired = new Set<PlannedSlot>();
    for (const { from, to } of pairs) {
      if (paired.has(from) || paired.has(to)) continue;
      paired.add(from).add(to);
      changes.push({ kind: 'move', before: from, after: to });
    }
    for (const slot of old) if (!paired.has(slot)) changes.push({ kind: 'drop', before: slot });
    for (const slot of fresh) if (!paired.has(slot)) changes.push({ kind: 'add', after: slot });
  }
  const atMs = (change: PlanChange): number =>
    change.kind === 'drop' ? change.before.startMs : change.after.startMs;
  return changes.sort((a, b) => atMs(a) - atMs(b));
}
