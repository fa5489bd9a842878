import { MS_PER_DAY, MS_PER_MINUTE } from '@keen/core';
import type { ByGroup, EarlyAnswer, MorningView, VehicleAnswer, VehicleRecord, WashRecord } from '@keen/core';
import type { Format } from '../../format/format.js';

export interface Group {
  readonly key: string;
  readonly title: string;
  readonly answers: readonly VehicleAnswer[];
}

/** The answers by day of their window: today first; then what has no window; then what is not due. */
export function groupAnswers(
  view: MorningView,
  format: Format,
): { days: Group[]; noWindow: VehicleAnswer[]; notDue: VehicleAnswer[] } {
  const today = format.dayKey(view.nowMs);
  const tomorrow = format.dayKey(view.nowMs + MS_PER_DAY);
  const byDay = new Map<string, VehicleAnswer[]>();
  const withWindow = view.answers.filter((answer) => answer.best !== null);
  const sorted = [...withWindow].sort((a, b) => (a.best?.startMs ?? 0) - (b.best?.startMs ?? 0));
  for (const answer of sorted) {
    const key = format.dayKey(answer.best?.startMs ?? 0);
    byDay.set(key, [...(byDay.get(key) ?? []), answer]);
  }
  const titleOf = (key: string, answers: readonly VehicleAnswer[]): string => {
    const day = format.day(answers[0]?.best?.startMs ?? 0);
    if (key === today) return `Today, ${day}`;
    return key === tomorrow ? `Tomorrow, ${day}` : day;
  };
  return {
    days: [...byDay].map(([key, answers]) => ({ key, title: titleOf(key, answers), answers })),
    noWindow: view.answers.filter((answer) => answer.standing === 'no-window'),
    notDue: view.answers.filter((answer) => answer.standing === 'not-due'),
  };
}

const rounded = (days: number): number => Math.round(Math.abs(days));

/** "3 days late", "due today", "due in 4 days". */
export function dueText(daysLate: number): string {
  const days = rounded(daysLate);
  if (days === 0) return 'due today';
  const count = `${days} ${days === 1 ? 'day' : 'days'}`;
  return daysLate > 0 ? `${count} late` : `due in ${count}`;
}

/** The lead of the page: how many washes the day asks for. */
export function leadText(days: readonly Group[], todayKey: string): string {
  const today = days.find(({ key }) => key === todayKey)?.answers.length ?? 0;
  if (today === 0) return 'Nothing to wash today.';
  return today === 1 ? 'One car to wash today.' : `${today} cars to wash today, one after another.`;
}

/** Washes that are planned from now on, soonest first. */
export const plannedAhead = (washes: readonly WashRecord[], nowMs: number): WashRecord[] =>
  washes
    .filter((wash) => wash.status === 'planned' && wash.startMs + wash.minutes * MS_PER_MINUTE > nowMs)
    .sort((a, b) => a.startMs - b.startMs);

/** The morning without the cars that have a wash planned by now, though it was worked out before. */
export function withoutPlanned(view: MorningView, washes: readonly WashRecord[]): MorningView {
  const planned = new Set(plannedAhead(washes, view.nowMs).map(({ vehicleId }) => vehicleId));
  return { ...view, answers: view.answers.filter(({ vehicleId }) => !planned.has(vehicleId)) };
}

/** What an earlier morning said that can still be done, of cars that nothing newer is known of. */
export function stillAhead(
  last: MorningView,
  of: {
    readonly nowMs: number;
    readonly early: readonly Pick<EarlyAnswer, 'vehicleId'>[];
    readonly vehicles: readonly Pick<VehicleRecord, 'id'>[] | undefined;
    readonly washes: readonly WashRecord[];
  },
): VehicleAnswer[] {
  const isNewer = ({ vehicleId }: VehicleAnswer): boolean =>
    of.early.some((one) => one.vehicleId === vehicleId);
  const isThere = ({ vehicleId }: VehicleAnswer): boolean =>
    of.vehicles?.some(({ id }) => id === vehicleId) ?? false;
  return withoutPlanned({ ...last, nowMs: of.nowMs }, of.washes).answers.filter(
    (answer) =>
      isThere(answer) && !isNewer(answer) && answer.best !== null && answer.best.startMs >= of.nowMs,
  );
}

/** Heaviest soil of the body, as shown: seen where somebody looked, estimated else. */
export const bodyGrade = (soil: ByGroup): string =>
  Math.max(soil.upper, soil.lower).toFixed(1).replace('.0', '');
