import { RENEWED_BY_TOP_UP, WORN_FRACTION } from '../protection/index.js';
import { everyHour, MS_PER_DAY, MS_PER_HOUR } from '../quantity/index.js';
import { type SeasonDue, seasonDue, type SeasonJobRow, shopSeasonJobs } from '../season/index.js';
import { type CarState, type Keeper, type OfCar, type ShopFacts, sitesOf } from '../shop/index.js';
import { zoneProtections } from './zone-protections.js';

/** Where no place says otherwise, the seasons are those of the northern half. */
const NORTHERN_DEG = 45;

type OfSeason = ShopFacts & Pick<OfCar, 'car'>;

/** Where each of the season's jobs that are wanted for a car stands; what protects it may want its top-up sooner than the season does. */
export function seasonStandings(question: OfSeason, state: CarState, keep: Keeper): SeasonDue[] {
  const { car, season, places, nowMs } = question;
  const latitudeDeg = places[0]?.latitudeDeg ?? NORTHERN_DEG;
  return shopSeasonJobs(season)
    .filter(({ id }) => car.vehicle.seasonJobs.includes(id))
    .map((job) => {
      const done = state.washes.filter(({ extras }) => extras.includes(job.id)).map(({ atMs }) => atMs);
      const lastDoneMs = done.length > 0 ? Math.max(...done) : null;
      const bySeason = seasonDue(job, { lastDoneMs, nowMs, latitudeDeg });
      return job.id === 'top-up' && bySeason.state !== 'due'
        ? (soonerTopUp(bySeason, job, { question, state, keep }) ?? bySeason)
        : bySeason;
    });
}

interface TopUpCase {
  readonly question: OfSeason;
  readonly state: CarState;
  readonly keep: Keeper;
}

/** When what a top-up renews is worn on the first zone; null: nothing of it has a date. */
function wornMs({ question, state }: TopUpCase): number | null {
  const ends = zoneProtections(state, question).flatMap(({ kind, leftFraction, lifeDays }) => {
    if (!RENEWED_BY_TOP_UP.has(kind) || leftFraction === null || lifeDays === null) return [];
    return [question.nowMs + Math.max(0, leftFraction - WORN_FRACTION) * lifeDays * MS_PER_DAY];
  });
  return ends.length > 0 ? Math.min(...ends) : null;
}

/** Hours of the forecast in which some place is warm enough for it. */
function chancesMs(job: SeasonJobRow, { question, keep }: TopUpCase): number[] {
  const sites = sitesOf(question, keep).filter(({ place }) => job.placeKinds.includes(place.kind));
  const { fromMs, control } = question.weather;
  return everyHour(fromMs, control.length).filter((atMs) =>
    sites.some(({ control: weather }) => (weather.placeHour(atMs)?.air.airTempC ?? -Infinity) >= job.lowestC),
  );
}

/**
 * A top-up that cannot wait for the wash after the next: what protects the car is worn before the first chance from there on.
 *
 * @returns null: it can wait, nothing is to be topped up, or no hour of the forecast would do
 * Model: days alone wear what is left; beyond the forecast the chances are taken to be as in it, and where it has none, to be weeks away
 */
function soonerTopUp(bySeason: SeasonDue, job: SeasonJobRow, of: TopUpCase): SeasonDue | null {
  const { nowMs, weather } = of.question;
  const { target, vehicle } = of.state;
  const endMs = wornMs(of);
  const chances = chancesMs(job, of).filter((atMs) => atMs >= nowMs);
  if (endMs === null || chances.length === 0) return null;
  const afterMs = Math.max(target.dueMs, nowMs) + vehicle.cadenceDays * MS_PER_DAY;
  const forecastEndMs = weather.fromMs + weather.control.length * MS_PER_HOUR;
  const next = chances.find((atMs) => atMs >= afterMs);
  const nextMs = next ?? (afterMs >= forecastEndMs ? afterMs : Infinity);
  if (endMs >= nextMs) return null;
  return { ...bySeason, state: 'due', dueMs: nowMs, untilMs: endMs, wornMs: endMs };
}
