import type { Place } from '../place/index.js';
import {
  type CompiledHour,
  type LearntPickUp,
  type SaltLedger,
  type ZoneSalt,
  activeHoursSaved,
  carLife,
  compileLife,
  runLedger,
} from '../salt/index.js';
import { byGroup } from '../vehicle/index.js';
import { carStateOf, type OfCar, roadFacts, type SaltDay, surroundingsOf } from '../shop/index.js';
import type { Tools } from './tools.js';

export interface SaltAnswer {
  readonly days: readonly SaltDay[];
  readonly now: { readonly activeHours: number; readonly zones: readonly ZoneSalt[] };
  /** What a wash now would save over the forecast, by each method that some place offers. */
  readonly savedNow: readonly { readonly methodId: string; readonly activeHours: number }[];
  /** What the last wash has saved so far; null where there was none. */
  readonly savedByLast: { readonly atMs: number; readonly activeHours: number } | null;
  readonly forecastHours: number;
  /** Hours of the season so far, and of those to come, of which nobody knows the weather: nothing counts in them. */
  readonly unknownHours: { readonly past: number; readonly ahead: number };
  /** Active hours over the forecast where it stands now, in the street, and in a heated place at 14 °C. */
  readonly parked: { readonly here: number; readonly street: number; readonly heated: number };
  readonly washesMs: readonly number[];
  /** How much this vehicle picks up against the plain ledger, from its swabs. */
  readonly pickUp: LearntPickUp;
}

const HEATED_EXAMPLE = { climate: { kind: 'heated', setpointC: 14 } } as const;
const ALL_OFF = byGroup(() => 1);
const NOW_ONLY: ReadonlySet<number> = new Set([0]);

const countOf = (hours: readonly unknown[]): number => hours.filter((hour) => hour === null).length;

/** Active hours that pass over the hours without a wash. */
function clockOver(now: SaltLedger, hours: readonly CompiledHour[]): number {
  const nothing = activeHoursSaved(now, hours, { removes: ALL_OFF, only: NOW_ONLY })[0] ?? 0;
  return nothing + runLedger(hours, { washes: [] }).activeHours;
}

/** How much salt has the season put on one car, what does washing save, and what does parking warm cost? */
export function saltAnswer(job: OfCar, { keep }: Pick<Tools, 'keep'>): SaltAnswer {
  const state = carStateOf(job, keep);
  const around = surroundingsOf(roadFacts(job), keep);
  const { ledger, ahead, past, washes, lastWashMs, isLastWashKnown, pickUp } = state;
  const { driving, weekShares } = job.car.vehicle;
  const parked = (standsAt: Pick<Place, 'climate'> | null): number => {
    const life = carLife({ driving, weekShares, standsAt, drives: job.car.drives }, around);
    const elsewhere = compileLife(life, { factor: pickUp.factor, drivesOn: job.drivesOn });
    return clockOver(ledger, elsewhere.slice(past.length));
  };
  const offered = new Set(job.places.flatMap(({ methods }) => methods.map(({ methodId }) => methodId)));
  const savedByLast = (): SaltAnswer['savedByLast'] => {
    if (lastWashMs === null || !isLastWashKnown) return null;
    const others = washes.filter(({ atMs }) => atMs !== lastWashMs);
    const without = runLedger(past, { washes: others, readings: readingsBefore(job, lastWashMs) });
    const withIt = runLedger(past, { washes, readings: readingsBefore(job, lastWashMs) });
    return { atMs: lastWashMs, activeHours: without.activeHours - withIt.activeHours };
  };
  return {
    days: state.days,
    now: { activeHours: ledger.activeHours, zones: ledger.zones() },
    savedNow: state.methods
      .filter(({ id }) => offered.has(id))
      .map(({ id, removes }) => ({
        methodId: id,
        activeHours: activeHoursSaved(ledger, ahead, { removes, only: NOW_ONLY })[0] ?? 0,
      })),
    savedByLast: savedByLast(),
    forecastHours: ahead.length,
    unknownHours: { past: countOf(job.weather.observed), ahead: countOf(job.weather.control) },
    parked: { here: clockOver(ledger, ahead), street: parked(null), heated: parked(HEATED_EXAMPLE) },
    washesMs: washes.map(({ atMs }) => atMs),
    pickUp,
  };
}

/** A swab taken after the wash would set both courses to the same load and hide what the wash saved. */
const readingsBefore = (job: OfCar, atMs: number) =>
  job.car.readings.filter((reading) => reading.atMs < atMs);
