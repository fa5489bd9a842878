import type { Method } from '../method/index.js';
import type { Place } from '../place/index.js';
import type { SeasonJobId } from '../vehicle/index.js';
import type { SeasonJobRow } from './data/season-jobs.js';

/** A visit as the season's jobs look at it: the wash, and what there is of weather, opening and light behind it. */
export interface Visit {
  readonly place: Pick<Place, 'kind' | 'hasDrain' | 'hasLight' | 'climate'>;
  readonly method: Pick<Method, 'contact' | 'scope' | 'ceilingGrade'>;
  readonly washMinutes: number;
  /** Minutes until the place closes, from the start. */
  readonly openMinutes: number;
  /** Minutes of daylight from the start; null: day and night alike. */
  readonly lightMinutes: number | null;
  /** Coldest air at the car and most that falls in an hour, over so many minutes from the start; null: not known. */
  readonly airOver: (minutes: number) => { readonly airTempC: number; readonly mostPrecipMm: number } | null;
}

/** Work of the season in one visit, and what the visit takes beyond the wash alone. */
export interface Extras {
  readonly jobIds: readonly SeasonJobId[];
  readonly minutes: number;
  /** Product and paid minutes, minor units. */
  readonly costMinor: number;
  readonly worthMinor: number;
}

export const NO_EXTRAS: Extras = Object.freeze({ jobIds: [], minutes: 0, costMinor: 0, worthMinor: 0 });

/** Why a job of the season cannot be done in this visit; null: it can. */
export type ExtraRefusal =
  | 'place'
  | 'drain'
  | 'contact'
  | 'reach'
  | 'open-hours'
  | 'light'
  | 'cold'
  | 'falling'
  | 'unknown';

/** More than this falling in an hour runs products off, mm (as the rule for open places has it). */
const FALLS_MM = 0.1;

/** Would this job go, if the visit lasted so long? */
export function extraRefusal(job: SeasonJobRow, visit: Visit, minutes: number): ExtraRefusal | null {
  if (!job.placeKinds.includes(visit.place.kind)) return 'place';
  if (job.needsDrain && !visit.place.hasDrain) return 'drain';
  if (visit.method.scope !== 'wash' || (job.afterContact && !visit.method.contact)) return 'contact';
  if (job.underCar && visit.method.ceilingGrade.under === 0) return 'reach';
  if (minutes > visit.openMinutes) return 'open-hours';
  if (!visit.place.hasLight && visit.lightMinutes !== null && minutes > visit.lightMinutes) return 'light';
  const air = visit.airOver(minutes);
  if (!air) return 'unknown';
  if (air.airTempC < job.lowestC) return 'cold';
  if (visit.place.climate.kind === 'outdoors' && air.mostPrecipMm > FALLS_MM) return 'falling';
  return null;
}

/**
 * Which of the jobs that are due go with this visit?
 *
 * @param due in the order in which they are done; each is taken if the visit with it still suits
 */
export function workFor(due: readonly SeasonJobRow[], visit: Visit): SeasonJobRow[] {
  const taken: SeasonJobRow[] = [];
  let minutes = visit.washMinutes;
  for (const job of due) {
    if (extraRefusal(job, visit, minutes + job.minutes) !== null) continue;
    minutes += job.minutes;
    taken.push(job);
  }
  return taken;
}
