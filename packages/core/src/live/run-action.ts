import type { WashFound } from '../log/index.js';
import type { PanelId, SeasonJobId } from '../vehicle/index.js';

/** How a reading came to be. */
export const READING_ORIGINS = ['typed', 'thermometer'] as const;
export type ReadingOrigin = (typeof READING_ORIGINS)[number];

export const SKIP_REASONS = [
  'not-needed',
  'no-time',
  'no-light',
  'too-cold',
  'nothing-left',
  'other',
] as const;
export type SkipReason = (typeof SKIP_REASONS)[number];

/** What was used up, as it was closed; null: not said. */
export interface RunUse {
  readonly paidMinor: number | null;
  readonly foldedTowels: number | null;
  readonly dryingTowels: number | null;
}

/** One thing that somebody does during a wash. `step` is the key of a step, `tap` names the tap that is taken back. */
export type RunDeed =
  | { readonly kind: 'start'; readonly packId: string }
  | { readonly kind: 'begin'; readonly step: string }
  | { readonly kind: 'end'; readonly step: string }
  | { readonly kind: 'skip'; readonly step: string; readonly reason: SkipReason }
  | { readonly kind: 'sooner'; readonly step: string }
  | { readonly kind: 'pause' }
  | { readonly kind: 'resume' }
  | { readonly kind: 'product-on'; readonly step: string; readonly part: string }
  | { readonly kind: 'product-off'; readonly timer: string }
  | { readonly kind: 'meter-on' }
  | { readonly kind: 'meter-off' }
  | { readonly kind: 'wet'; readonly panel: PanelId }
  | { readonly kind: 'wiped'; readonly panel: PanelId }
  | {
      readonly kind: 'reading';
      readonly of: PanelId | 'air';
      readonly tempC: number;
      readonly origin: ReadingOrigin;
    }
  | { readonly kind: 'note'; readonly text: string }
  | { readonly kind: 'photo'; readonly photoId: string; readonly caption: string }
  | { readonly kind: 'undo'; readonly tap: string }
  | {
      readonly kind: 'close';
      readonly found: WashFound;
      readonly used: RunUse;
      /** Work of the season that was done in the visit; absent: what was planned, where anything was done at all. */
      readonly extras?: readonly SeasonJobId[];
    };

/** A deed with who did it and when; never changed once it is written, so that phones can be joined in any order. */
export interface RunAction {
  readonly id: string;
  /** Actions of one tap share it; they are taken back together. */
  readonly tap: string;
  /** The phone, and how many actions it had written before this one. */
  readonly deviceId: string;
  readonly count: number;
  readonly atMs: number;
  readonly deed: RunDeed;
}

/** When each action counts as done, by its id: a clock that is set back does not put a deed before those its phone had done already. */
function orderMs(actions: readonly RunAction[]): ReadonlyMap<string, number> {
  const at = new Map(actions.map(({ id, atMs }) => [id, atMs]));
  const byCount = actions.toSorted((a, b) => a.count - b.count);
  const follow = (): void => {
    const last = new Map<string, number>();
    for (const { id, deviceId } of byCount) {
      const ownMs = Math.max(last.get(deviceId) ?? -Infinity, at.get(id) ?? -Infinity);
      last.set(deviceId, ownMs);
      at.set(id, ownMs);
    }
  };
  follow();
  // What takes a tap back comes after it, whatever the clocks of two phones say; each pass settles one more of a chain.
  const undos = actions.flatMap(({ id, deed }) => (deed.kind === 'undo' ? [{ id, tap: deed.tap }] : []));
  for (let pass = 0; pass < undos.length; pass += 1) {
    let isSettled = true;
    for (const { id, tap } of undos) {
      const targetMs = Math.max(
        ...actions.filter((one) => one.tap === tap).map((one) => at.get(one.id) ?? -Infinity),
      );
      if ((at.get(id) ?? 0) > targetMs) continue;
      at.set(id, targetMs + 1);
      isSettled = false;
    }
    if (isSettled) break;
    follow();
  }
  return at;
}

/**
 * What happened, from what several phones and the server hold of it?
 *
 * @returns every action once, in the order in which it was done; the same whichever list comes first
 */
export function mergeActions(...logs: readonly (readonly RunAction[])[]): RunAction[] {
  const actions = [...new Map(logs.flat().map((action) => [action.id, action])).values()];
  const at = orderMs(actions);
  return actions.sort(
    (a, b) =>
      (at.get(a.id) ?? a.atMs) - (at.get(b.id) ?? b.atMs) ||
      (a.deviceId === b.deviceId ? a.count - b.count : a.deviceId < b.deviceId ? -1 : 1),
  );
}

/** The actions that stand: those of a tap that was taken back do not, unless the taking back was itself taken back. */
export function standingActions(merged: readonly RunAction[]): RunAction[] {
  const undone = new Set<string>();
  const standing: RunAction[] = [];
  for (const action of merged.toReversed()) {
    if (undone.has(action.tap)) continue;
    if (action.deed.kind === 'undo') undone.add(action.deed.tap);
    else standing.push(action);
  }
  return standing.reverse();
}

/**
 * What can this phone take back?
 *
 * @returns the last action of its latest tap that stands, or the close of the run by any phone; null: there is none. Beginning
 * the run stays
 */
export function lastTap(merged: readonly RunAction[], deviceId: string): RunAction | null {
  const standing = standingActions(merged);
  const close = standing.find(({ deed }) => deed.kind === 'close');
  if (close) return close;
  return standing.findLast((action) => action.deed.kind !== 'start' && action.deviceId === deviceId) ?? null;
}
