import { MS_PER_DAY, MS_PER_HOUR } from '../quantity/index.js';
import type { Place } from '../place/index.js';
import {
  DEFAULT_PRICES,
  type Worker,
  type PlanAnswer,
  planAnswer,
  planCase,
  type PlannedSlot,
  type PlanRequest,
  type VehicleMorning,
  type WorkCase,
  type Window,
} from '../plan/index.js';
import { checkSchedule, solveSchedule } from '../schedule/index.js';
import { type Extras, NO_EXTRAS, SEASON_JOBS } from '../season/index.js';
import { CLEAN } from '../soil/index.js';
import type { SeasonJobId } from '../vehicle/index.js';

/** A Monday, midnight UTC. */
export const MONDAY = Date.UTC(2026, 0, 12);
export const at = (hour: number): number => MONDAY + hour * MS_PER_HOUR;

/** A place with nothing but its way and its room. */
export const place = (id: string, travelMinutes: number, carsAtOnce = 1): Place =>
  ({ id, travelMinutes, carsAtOnce, timeZone: 'UTC' }) as unknown as Place;
export const PLACES = [place('home', 0), place('bay', 20, 2)];

export const span = (openHour: number, closeHour: number) => ({
  openMinute: openHour * 60,
  closeMinute: closeHour * 60,
});
export const weekdays = (id: string): Worker => ({
  id,
  name: id,
  hours: [...Array<null>(7)].map((_, day) => (day < 5 ? span(8, 18) : null)),
});

export interface Wish {
  readonly placeId?: string;
  readonly minutes?: number;
  /** What it takes, and the salt that it saves, minor units. */
  readonly takes?: number;
  readonly salt?: number;
  readonly failing?: number;
  readonly isWanted?: boolean;
}

/** A start that goes; an hour in the home garage unless told otherwise. */
export const window = (startHour: number, wish: Wish = {}): Window => {
  const { placeId = 'home', minutes = 60, takes = 1000, salt = 0, failing = 0, isWanted = true } = wish;
  return {
    placeId,
    methodId: 'garage-rinseless',
    startMs: at(startHour),
    endMs: at(startHour) + minutes * 60_000,
    verdict: 'go',
    isWash: true,
    isForemost: true,
    otherConditions: [],
    isWanted,
    blockedFraction: failing / 20,
    failures: { memberCount: 20, freezes: (1 << failing) - 1, spots: 0, falls: 0, cold: 0 },
    extras: NO_EXTRAS,
    coldMinorPerMinute: 0,
    leavesBare: false,
    value: { saltMinor: salt, lateMinor: 0, seasonMinor: 0, paintMinor: 0, totalMinor: salt - takes },
  } as unknown as Window;
};

/** Work of the season as it would add to a visit where nothing is shared: its minutes, a round cost, its worth. */
export function plainExtras(jobIds: readonly SeasonJobId[]): Extras {
  const jobs = SEASON_JOBS.filter(({ id }) => jobIds.includes(id));
  if (jobs.length === 0) return NO_EXTRAS;
  const sum = (of: (job: (typeof jobs)[number]) => number): number =>
    jobs.reduce((all, job) => all + of(job), 0);
  return {
    jobIds: jobs.map(({ id }) => id),
    minutes: sum(({ minutes }) => minutes),
    costMinor: 100 * jobs.length,
    worthMinor: sum(({ worthMinor }) => worthMinor),
  };
}

export const WORK_CASE: WorkCase = {
  extrasOf: (_window, jobIds) => plainExtras(jobIds),
  withChoices: (window, choices) => ({ ...window, choices }),
  prices: DEFAULT_PRICES,
};

export const car = (
  vehicleId: string,
  windows: readonly Window[],
  due: Partial<VehicleMorning['due']> = {},
): PlanRequest['cars'][number] => ({
  vehicleId,
  cadenceDays: 14,
  extrasOf: WORK_CASE.extrasOf,
  withChoices: WORK_CASE.withChoices,
  availability: null,
  due: {
    lastWashMs: null,
    isLastWashKnown: true,
    dueMs: MONDAY,
    daysLate: 0,
    wants: 'any',
    everyDays: 14,
    deadlineMs: null,
    target: { kind: 'days', used: 14, most: 14, dueMs: MONDAY, everyDays: 14 },
    ...due,
  },
  zones: [],
  activeHours: 0,
  soil: CLEAN,
  windows,
  refusals: [],
  nearest: [],
});

export const request = (cars: PlanRequest['cars'], change: Partial<PlanRequest> = {}): PlanRequest => ({
  cars,
  places: PLACES,
  workers: [weekdays('owner')],
  fixed: [],
  movable: [],
  busy: [],
  bookings: [],
  stock: {},
  prices: DEFAULT_PRICES,
  restMinutes: 0,
  tolerableFraction: 0.2,
  timeZone: 'UTC',
  nowMs: MONDAY,
  horizonMs: MONDAY + 5 * MS_PER_DAY,
  ...change,
});

/** The proven plan, checked. */
export async function planned(whole: PlanRequest): Promise<PlanAnswer> {
  const made = planCase(whole);
  const { chosen, status } = await solveSchedule(made.problem, {
    clockSeconds: () => 0,
    timeLimitSeconds: 20,
  });
  const faults = checkSchedule(made.problem, chosen);
  if (status !== 'proven' || faults.length > 0) throw new Error(`${status}: ${JSON.stringify(faults)}`);
  return planAnswer(whole, made, chosen);
}

export const starts = ({ choices }: PlanAnswer): Record<string, number> =>
  Object.fromEntries(
    choices.map(({ vehicleId, window: { startMs } }) => [vehicleId, (startMs - MONDAY) / MS_PER_HOUR]),
  );

export const slot = (
  vehicleId: string,
  startHour: number,
  change: Partial<PlannedSlot> = {},
): PlannedSlot => ({
  vehicleId,
  placeId: 'home',
  methodId: 'garage-rinseless',
  workerId: 'owner',
  startMs: at(startHour),
  endMs: at(startHour + 1),
  extras: [],
  ...change,
});
