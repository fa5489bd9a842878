import {
  endOf,
  type Fallback,
  type Worker,
  isOverMidnight,
  type PricedOption,
  type SeasonJobId,
  startOfHourMs,
  type Window,
  MS_PER_HOUR,
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
  const { id, vehicleId, placeId, methodId, workerId, startMs } = wash;
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
    endMs: endOf(wash),
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
