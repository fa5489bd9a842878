import type { Keeper } from './keeper.js';
import type { ShopFacts } from './shop-facts.js';

import type { Place } from '../place/index.js';
import {
  ROAD_CLASSES,
  type RoadClass,
  type RoadHour,
  likelyTreatments,
  roadHours,
  roadTreatments,
} from '../road/index.js';
import { type Surroundings, surroundings } from '../salt/index.js';
import { RoadAhead } from '../verdict/index.js';

/** What roads and clock are worked out from. */
export interface RoadFacts extends Pick<ShopFacts, 'weather' | 'treatments' | 'timeZone'> {
  /** Where the sun stands on the roads; null: there is no place yet. */
  readonly point: Pick<Place, 'latitudeDeg' | 'longitudeDeg'> | null;
}

export function roadFacts({ weather, treatments, timeZone, places }: ShopFacts): RoadFacts {
  const [at] = places;
  const point = at ? { latitudeDeg: at.latitudeDeg, longitudeDeg: at.longitudeDeg } : null;
  return { weather, treatments, timeZone, point };
}

/** Roads and clock over the season and the forecast, once for all cars. */
export const surroundingsOf = (facts: RoadFacts, keep: Keeper): Surroundings => {
  const { weather, treatments, timeZone, point } = facts;
  return keep.of('surroundings', { weather, treatments, timeZone, point }, makeSurroundings);
};

function makeSurroundings({ weather, treatments, timeZone, point }: RoadFacts): Surroundings {
  const hours = [...weather.observed, ...weather.control];
  const road = (roadClass: RoadClass): (RoadHour | null)[] => {
    // Without a place nobody knows how the sun stands on the roads, nor which roads they are.
    if (!point) return hours.map(() => null);
    const spread = roadTreatments(treatments, likelyTreatments(hours, roadClass), roadClass);
    return roadHours(hours, { roadClass, at: point, treatments: spread, seen: weather.roadSights });
  };
  const roads = Object.fromEntries(ROAD_CLASSES.map((roadClass) => [roadClass, road(roadClass)])) as Record<
    RoadClass,
    (RoadHour | null)[]
  >;
  return surroundings({ fromMs: weather.seasonMs, hours }, roads, timeZone);
}

/** The main road from now on. */
export function roadAheadOf(facts: RoadFacts, keep: Keeper): RoadAhead {
  const from = facts.weather.observed.length;
  const roads = surroundingsOf(facts, keep).roads.slice(from);
  return new RoadAhead(
    facts.weather.fromMs,
    roads.map(({ main }) => main ?? null),
  );
}
