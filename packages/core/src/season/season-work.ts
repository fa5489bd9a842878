import { type Method, type WashStep, withSteps } from '../method/index.js';
import { BEFORE_BODY, REPLACES, SEASON_STEPS } from './data/season-steps.js';
import type { SeasonJobRow } from './data/season-jobs.js';

type Job = Pick<SeasonJobRow, 'id' | 'minutes'>;

/** Tenths of a litre, as people read them. */
const inTenths = (value: number): number => Math.round(value * 10) / 10;

function stepsOf({ id: jobId, minutes: inAll }: Job, jobs: readonly Job[], hasMeter: boolean): WashStep[] {
  // Where the long flush comes first, the underbody is clean for the foam.
  const isClean = jobId === 'anti-corrosion' && jobs.some(({ id }) => id === 'underbody');
  return SEASON_STEPS[jobId]
    .slice(isClean ? 1 : 0)
    .map(({ share, isPaid, litresPerMinute, litres, ...step }) => ({
      ...step,
      minutes: inAll * share,
      litres: inTenths(inAll * share * litresPerMinute + litres),
      onMeter: isPaid && hasMeter,
      jobId,
    }));
}

/**
 * The wash with work of the season in it, as steps among its own: what goes under the car before the body is wetted, on the meter; what
 * goes on clean paint at the end.
 *
 * @param method as the shop does it, not cut up into parts yet
 * @param jobs with the shop's minutes, in the order in which they are done
 * @returns with all its figures; the same method where there is no such work
 */
export function withSeasonWork(method: Method, jobs: readonly Job[]): Method {
  if (jobs.length === 0) return method;
  const hasMeter = method.steps.some(({ onMeter }) => onMeter);
  const replaced = jobs.flatMap(({ id }) => REPLACES[id] ?? []);
  const own = method.steps.filter(({ id }) => !replaced.includes(id));
  const of = (isBefore: boolean): WashStep[] =>
    jobs.filter(({ id }) => BEFORE_BODY.has(id) === isBefore).flatMap((job) => stepsOf(job, jobs, hasMeter));
  const foams = jobs.some(({ id }) => SEASON_STEPS[id].some((step) => step.id === 'underbody-foam'));
  const needs =
    foams && !method.needs.includes('own-foam') ? [...method.needs, 'own-foam' as const] : method.needs;
  return withSteps({ ...method, needs }, [...of(true), ...own, ...of(false)]);
}
