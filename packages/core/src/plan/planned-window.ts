import { MS_PER_MINUTE } from '../quantity/index.js';
import type { SeasonJobId } from '../vehicle/index.js';
import { startOfHourMs } from '../weather/index.js';
import type { PlanCar, PlannedSlot, PlanRequest } from './plan-request.js';
import { extrasMinor } from './wash-value.js';
import type { Window } from './window.js';

/** What it takes to price a window again when its work of the season changes. */
export type WorkCase = Pick<PlanCar, 'extrasOf' | 'withChoices'> & Pick<PlanRequest, 'prices'>;

export const workCase = (
  { extrasOf, withChoices }: PlanCar,
  { prices }: Pick<PlanRequest, 'prices'>,
): WorkCase => ({ extrasOf, withChoices, prices });

/**
 * The same start with only some of its work of the season.
 *
 * @param jobIds those that stay, if they go with this start at all
 * @returns its end, minutes and worth as they are with that work alone; paint that a strip leaves bare is paid for unless it is coated again
 */
export function withExtras(
  window: Window,
  jobIds: readonly SeasonJobId[],
  { extrasOf, prices }: WorkCase,
): Window {
  const before = window.extras;
  const left = before.jobIds.filter((id) => jobIds.includes(id));
  if (left.length === before.jobIds.length) return window;
  const extras = extrasOf(window, left);
  const { value } = window;
  const seasonMinor = extrasMinor(extras, prices, window.coldMinorPerMinute);
  const wasCoated = before.jobIds.includes('re-coat') && !extras.jobIds.includes('re-coat');
  const bareMinor = window.leavesBare && wasCoated ? prices.bareMinor : 0;
  return {
    ...window,
    endMs: window.endMs - (before.minutes - extras.minutes) * MS_PER_MINUTE,
    extras,
    value: {
      ...value,
      seasonMinor,
      paintMinor: value.paintMinor - bareMinor,
      totalMinor: value.totalMinor - value.seasonMinor + seasonMinor - bareMinor,
    },
  };
}

/** The same start as a plain wash. */
export const withoutExtras = (window: Window, shop: WorkCase): Window => withExtras(window, [], shop);

export const sameStart = (window: Window, slot: PlannedSlot): boolean =>
  window.placeId === slot.placeId && window.methodId === slot.methodId && window.startMs === slot.startMs;

/** A start of a planned wash's own method with what was chosen for that wash; any other as it is. */
export function withOwnChoices(
  window: Window,
  { methodId, choices }: Pick<PlannedSlot, 'methodId' | 'choices'>,
  shop: WorkCase,
): Window {
  return choices && methodId === window.methodId ? shop.withChoices(window, choices) : window;
}

/** The window of a planned wash with its own work of the season: its own start, or that of its hour begun when it is planned. */
export function windowAt(windows: readonly Window[], slot: PlannedSlot, shop: WorkCase): Window | undefined {
  const there = windows.filter(
    ({ placeId, methodId, startMs }) =>
      placeId === slot.placeId &&
      methodId === slot.methodId &&
      startMs <= slot.startMs &&
      startOfHourMs(startMs) === startOfHourMs(slot.startMs),
  );
  const found = there.at(-1);
  const hour = found && withExtras(withOwnChoices(found, slot, shop), slot.extras, shop);
  const laterMs = slot.startMs - (hour?.startMs ?? 0);
  return hour && { ...hour, startMs: slot.startMs, endMs: hour.endMs + laterMs };
}

/** Windows of planned washes that do not begin when a window does. */
export const plannedWindows = (
  windows: readonly Window[],
  planned: readonly PlannedSlot[],
  shop: WorkCase,
): Window[] =>
  planned
    .filter((slot) => !windows.some((window) => sameStart(window, slot)))
    .flatMap((slot) => windowAt(windows, slot, shop) ?? []);
