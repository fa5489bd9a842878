import { type SeasonDue, seasonDue, shopSeasonJobs } from '../season/index.js';
import type { CarState, OfCar } from '../shop/index.js';

/** Where no place says otherwise, the seasons are those of the northern half. */
const NORTHERN_DEG = 45;

/** Where each of the season's jobs that are wanted for a car stands. */
export function seasonStandings({
  car,
  season,
  places,
  nowMs,
  washes,
}: Pick<OfCar, 'season' | 'places' | 'nowMs' | 'car'> & Pick<CarState, 'washes'>): SeasonDue[] {
  const latitudeDeg = places[0]?.latitudeDeg ?? NORTHERN_DEG;
  return shopSeasonJobs(season)
    .filter(({ id }) => car.vehicle.seasonJobs.includes(id))
    .map((job) => {
      const done = washes.filter(({ extras }) => extras.includes(job.id)).map(({ atMs }) => atMs);
      return seasonDue(job, { lastDoneMs: done.length > 0 ? Math.max(...done) : null, nowMs, latitudeDeg });
    });
}
