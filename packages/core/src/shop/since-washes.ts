import type { WashEffect } from '../log/index.js';
import type { CoatEvent } from '../protection/index.js';
import { MS_PER_DAY } from '../quantity/index.js';
import type { Surroundings, ZoneSalt } from '../salt/index.js';
import type { SoilFacts } from '../soil/index.js';
import { type SeasonJobId, zoneOf } from '../vehicle/index.js';
import type { CarFacts } from './shop-facts.js';

/** Spots wash off with the months. */
const SPOTS_LAST_DAYS = 60;
/** Work after which spots, and what caused them, are gone. */
const CORRECTS: readonly SeasonJobId[] = ['polish', 'decontaminate'];
/** From this share on, what a look saw of a zone has been washed off (judgement). */
const WASHED_OFF_FRACTION = 0.5;

/** The last of them; null: there is none. */
export const latest = (washes: readonly { readonly atMs: number }[]): number | null =>
  washes.length > 0 ? Math.max(...washes.map(({ atMs }) => atMs)) : null;

/** What the estimate of soil reads of a car. */
export function soilFacts(
  car: CarFacts,
  around: Surroundings,
  known: {
    washes: readonly WashEffect[];
    zones: readonly ZoneSalt[];
    lastWashMs: number | null;
    lastContactMs: number | null;
    nowMs: number;
  },
): SoilFacts {
  const { nowMs, lastWashMs, lastContactMs } = known;
  const sinceMs = lastWashMs ?? car.knownSinceMs;
  const correctedMs =
    latest(known.washes.filter(({ extras }) => CORRECTS.some((id) => extras.includes(id)))) ?? 0;
  const spottedSinceMs = Math.max(correctedMs, nowMs - SPOTS_LAST_DAYS * MS_PER_DAY);
  const hours = around.hours
    .flatMap((hour, i) => (hour ? [{ hour, road: around.roads[i]?.main }] : []))
    .filter(({ hour }) => hour.atMs >= sinceMs && hour.atMs < nowMs);
  const wet = hours.filter(({ road }) => road && road.state !== 'dry' && road.state !== 'damp').length;
  const warmth = hours.reduce((sum, { hour }) => sum + hour.airTempC, 0);
  return {
    nowMs,
    zones: known.zones,
    daysSinceWash: (nowMs - sinceMs) / MS_PER_DAY,
    daysSinceContactWash: (nowMs - (lastContactMs ?? car.knownSinceMs)) / MS_PER_DAY,
    wetRoadFraction: hours.length > 0 ? wet / hours.length : 0,
    meanAirC: hours.length > 0 ? warmth / hours.length : 0,
    spottedWashes: known.washes.filter(({ isSpotted, atMs }) => isSpotted && atMs > spottedSinceMs).length,
  };
}

/** What a done wash did to the protection. */
export const coatEvent = ({ atMs, stripped, laid, extras, seen }: WashEffect): CoatEvent => ({
  atMs,
  seen,
  stripped,
  laid,
  isToppedUp: extras.includes('top-up'),
});

/** What somebody saw of a zone holds until a wash takes it off. */
export const isStillThere = (
  { zone, atMs }: CarFacts['looks'][number],
  washes: readonly WashEffect[],
): boolean =>
  !washes.some((wash) => wash.atMs >= atMs && wash.removes[zoneOf(zone).group] >= WASHED_OFF_FRACTION);
