import { endOf, MS_PER_DAY } from '@keen/core';
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

/** A wash of today, as planned or as the program would do it. */
interface OfToday {
  readonly vehicleId: string;
  readonly placeId: string;
  readonly startMs: number;
}

/** All that is to be washed today, planned or not, soonest first. */
export function ofToday(
  days: readonly Group[],
  planned: readonly WashRecord[],
  { nowMs, format }: { readonly nowMs: number; readonly format: Pick<Format, 'dayKey'> },
): OfToday[] {
  const today = format.dayKey(nowMs);
  const asked = days
    .filter(({ key }) => key === today)
    .flatMap(({ answers }) =>
      answers.flatMap(({ vehicleId, best }) => (best ? [{ ...best, vehicleId }] : [])),
    );
  return [...asked, ...planned.filter(({ startMs }) => format.dayKey(startMs) === today)].sort(
    (a, b) => a.startMs - b.startMs,
  );
}

/** The lead of the page: how many washes the day asks for, and with which it begins. */
export function leadText(
  today: readonly OfToday[],
  nameOf: { readonly car: (id: string) => string; readonly place: (id: string) => string },
  format: Pick<Format, 'time'>,
): string {
  const [first] = today;
  if (!first) return 'Nothing to wash today.';
  const count = today.length === 1 ? 'One car to wash today' : `${today.length} cars to wash today`;
  return `${count}; first the ${nameOf.car(first.vehicleId)} at ${format.time(first.startMs)}, ${nameOf.place(first.placeId)}.`;
}

/** Washes that are planned from now on, soonest first. */
export const plannedAhead = (washes: readonly WashRecord[], nowMs: number): WashRecord[] =>
  washes
    .filter((wash) => wash.status === 'planned' && endOf(wash) > nowMs)
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
