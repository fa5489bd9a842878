import {
  type Band,
  type Fallback,
  type Worker,
  isOverMidnight,
  type PlanOption,
  type PricedOption,
  type SeasonJobId,
  startOfHourMs,
  type VerdictKind,
  type Window,
  MS_PER_HOUR,
  MS_PER_MINUTE,
  type ExplainedChange,
  type PlanView,
  type WashRecord,
} from '@keen/core';
import type { Format } from '../../format/format.js';

/** A wash on the board: one that stands in the plan, or one that the program proposes. */
export interface Block {
  readonly key: string;
  readonly kind: 'planned' | 'proposed';
  readonly vehicleId: string;
  readonly placeId: string;
  readonly methodId: string;
  readonly workerId: string;
  readonly startMs: number;
  readonly endMs: number;
  readonly wash: WashRecord | null;
  /** The wash that stands in the plan, also where the block proposes another start for it; null: a new one. */
  readonly washId: string | null;
  /** As the weather has it now; null: it does not go there any more, or nobody knows. */
  readonly window: Window | null;
  readonly worthMinor: number | null;
  /** Seasonal jobs that were agreed on and do not go there. */
  readonly missingExtras: readonly SeasonJobId[];
  readonly fallback: Fallback | null;
  readonly alternatives: readonly PricedOption[];
}

const isAt = (
  slot: { vehicleId: string; placeId: string; startMs: number },
  wash: { vehicleId: string; placeId: string; startMs: number },
): boolean =>
  slot.vehicleId === wash.vehicleId && slot.placeId === wash.placeId && slot.startMs === wash.startMs;

function plannedBlock(wash: WashRecord, { choices, fixed }: PlanView): Block {
  const { id, vehicleId, placeId, methodId, workerId, startMs, minutes } = wash;
  const choice = choices.find(({ window, ...rest }) => isAt({ ...rest, ...window }, wash));
  const state = fixed.find(({ slot }) => isAt(slot, wash));
  return {
    key: id,
    kind: 'planned',
    vehicleId,
    placeId,
    methodId,
    workerId,
    startMs,
    endMs: startMs + minutes * MS_PER_MINUTE,
    wash,
    washId: id,
    window: choice?.window ?? state?.window ?? null,
    worthMinor: choice?.worth.totalMinor ?? state?.worthMinor ?? null,
    missingExtras: choice?.missingExtras ?? [],
    fallback: choice?.fallback ?? null,
    alternatives: choice?.alternatives ?? [],
  };
}

function proposedBlock(change: ExplainedChange, { choices }: PlanView): Block[] {
  if (change.kind === 'drop') return [];
  const choice = choices.find(({ window, ...rest }) => isAt({ ...rest, ...window }, change.after));
  return [
    {
      ...change.after,
      key: change.id,
      kind: 'proposed',
      wash: null,
      washId: change.washId,
      window: choice?.window ?? null,
      worthMinor: choice?.worth.totalMinor ?? null,
      missingExtras: choice?.missingExtras ?? [],
      fallback: choice?.fallback ?? null,
      alternatives: choice?.alternatives ?? [],
    },
  ];
}

/** All that is to be drawn, in order of time. */
export const blocksOf = (view: PlanView): Block[] =>
  [
    ...view.planned.map((wash) => plannedBlock(wash, view)),
    ...view.changes.flatMap((change) => proposedBlock(change, view)),
  ].sort((a, b) => a.startMs - b.startMs);

/** One day of the board, from the first to the last hour that anybody works. */
export interface DayStrip {
  readonly key: string;
  readonly fromMs: number;
  readonly toMs: number;
  /** Full hours on its axis. */
  readonly hoursMs: readonly number[];
  readonly sunriseMs: number | null;
  readonly sunsetMs: number | null;
}

/** First and last hour of the day that the board shows: an hour more than anybody works. */
export function shownHours(workers: readonly Worker[]): { first: number; last: number } {
  const spans = workers.flatMap(({ hours }) => hours.flatMap((span) => span ?? []));
  if (spans.length === 0) return { first: 7, last: 19 };
  if (spans.some(isOverMidnight)) return { first: 0, last: 24 };
  return {
    first: Math.max(0, Math.floor(Math.min(...spans.map(({ openMinute }) => openMinute)) / 60) - 1),
    last: Math.min(24, Math.ceil(Math.max(...spans.map(({ closeMinute }) => closeMinute)) / 60) + 1),
  };
}

/** The days up to the horizon, each with its own hours, also where a clock is changed. */
export function dayStrips(view: PlanView, format: Format): DayStrip[] {
  const { first, last } = shownHours(view.workers);
  const byDay = new Map<string, number[]>();
  for (
    let atMs = startOfHourMs(view.fromMs) - 24 * MS_PER_HOUR;
    atMs < view.horizonMs + 24 * MS_PER_HOUR;
    atMs += MS_PER_HOUR
  ) {
    const hour = format.hourOfDay(atMs);
    if (hour < first || hour >= last) continue;
    const key = format.dayKey(atMs);
    byDay.set(key, [...(byDay.get(key) ?? []), atMs]);
  }
  const today = format.dayKey(view.nowMs);
  const end = format.dayKey(view.horizonMs - 1);
  return [...byDay]
    .filter(([key]) => key >= today && key <= end)
    .map(([key, hoursMs]) => {
      const light = view.days.find(({ sunriseMs }) => format.dayKey(sunriseMs) === key);
      return {
        key,
        hoursMs,
        fromMs: hoursMs[0] ?? 0,
        toMs: (hoursMs.at(-1) ?? 0) + MS_PER_HOUR,
        sunriseMs: light?.sunriseMs ?? null,
        sunsetMs: light?.sunsetMs ?? null,
      };
    });
}

/** Where on a strip an instant lies, 0–1. */
export const shareOf = ({ fromMs, toMs }: Pick<DayStrip, 'fromMs' | 'toMs'>, atMs: number): number =>
  Math.min(1, Math.max(0, (atMs - fromMs) / (toMs - fromMs)));

export const isOn = (
  { fromMs, toMs }: DayStrip,
  { startMs, endMs }: { startMs: number; endMs: number },
): boolean => startMs < toMs && fromMs < endMs;

/** Rows in which blocks of one lane stand, so that none covers another: the first row that is free when it begins, for each in order of time. */
export function stackOf(blocks: readonly Pick<Block, 'key' | 'startMs' | 'endMs'>[]): {
  readonly rowOf: ReadonlyMap<string, number>;
  readonly rows: number;
} {
  const freeMs: number[] = [];
  const rowOf = new Map<string, number>();
  for (const { key, startMs, endMs } of [...blocks].sort((a, b) => a.startMs - b.startMs)) {
    const free = freeMs.findIndex((fromMs) => fromMs <= startMs);
    const row = free < 0 ? freeMs.length : free;
    freeMs[row] = endMs;
    rowOf.set(key, row);
  }
  return { rowOf, rows: Math.max(1, freeMs.length) };
}

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

/** A stretch of hours that go alike, on a strip. */
export interface Margin {
  readonly startMs: number;
  readonly endMs: number;
  readonly verdict: VerdictKind;
  /** How far from the limit, 0–1, in quarters; 0 where it does not go. */
  readonly comfort: number;
}

/** By place: how a car fares there, by the method wanted where the place offers it, and otherwise by the one that goes most often. */
export function bandsBehind(bands: readonly Band[], methodId: string): ReadonlyMap<string, Band> {
  const goes = ({ cells }: Band): number => cells.filter(({ verdict }) => verdict === 'go').length;
  const behind = new Map<string, Band>();
  for (const band of bands.filter(({ refusal }) => refusal === null)) {
    const other = behind.get(band.placeId);
    if (other?.methodId === methodId) continue;
    if (!other || band.methodId === methodId || goes(band) > goes(other)) behind.set(band.placeId, band);
  }
  return behind;
}

/** How the hours of a strip go, as few stretches as there are. */
export function marginsOn({ fromMs, toMs }: Pick<DayStrip, 'fromMs' | 'toMs'>, band: Band): Margin[] {
  const margins: Margin[] = [];
  for (const { startMs, verdict, limiting } of band.cells) {
    if (startMs < fromMs || startMs >= toMs) continue;
    const isOpen = verdict === 'go' || verdict === 'go-if';
    const comfort = isOpen ? Math.round(4 * Math.min(1, Math.max(0, limiting.comfort))) / 4 : 0;
    const last = margins.at(-1);
    const endMs = startMs + MS_PER_HOUR;
    if (last?.verdict === verdict && last.comfort === comfort && last.endMs === startMs)
      margins[margins.length - 1] = { ...last, endMs };
    else margins.push({ startMs, endMs, verdict, comfort });
  }
  return margins;
}

/** How dear a drop is, for its shade: the best third of what may be had, the middle, the rest. */
export function targetGrade(
  costMinor: number | null,
  targets: readonly DropTarget[],
): 'good' | 'fair' | 'poor' {
  const worths = targets.map(({ option }) => option.worthMinor);
  const most = Math.max(...worths);
  const least = Math.min(...worths);
  if (costMinor === null || most - least < 1) return 'good';
  const known = targets.find((target) => target.costMinor === costMinor);
  const share = (most - (known?.option.worthMinor ?? most)) / (most - least);
  if (share < 1 / 3) return 'good';
  return share < 2 / 3 ? 'fair' : 'poor';
}

/** "2 added, 1 moved": what lies between the plan that stands and the one that is proposed. */
export function changesText(changes: readonly Pick<ExplainedChange, 'kind'>[]): string {
  const count = (kind: ExplainedChange['kind']): number =>
    changes.filter((change) => change.kind === kind).length;
  const parts = [
    [count('add'), 'to add'],
    [count('move'), 'to move'],
    [count('drop'), 'to drop'],
  ] as const;
  const told = parts.filter(([number]) => number > 0).map(([number, what]) => `${number} ${what}`);
  return told.length > 0 ? told.join(', ') : 'Nothing to change';
}
