import { type WashEffect } from '../log/index.js';
import { type Fittings } from '../method/index.js';
import type { Place } from '../place/index.js';
import {
  type CompiledHour,
  type LearntPickUp,
  PLAIN_PICK_UP,
  type Surroundings,
  carLife,
  compileLife,
  learnPickUp,
} from '../salt/index.js';
import { type CarFacts, type ShopFacts } from './shop-facts.js';

const NOTHING_LEARNT: LearntPickUp = { factor: 1, count: 0, checks: [] };

/** What a car's state is worked out from, besides weather and roads. */
export interface CarCase extends Pick<
  ShopFacts,
  'house' | 'limits' | 'shelf' | 'season' | 'drivesOn' | 'weather' | 'nowMs'
> {
  readonly car: CarFacts;
  /** Where it stands at night; null: in the street. */
  readonly standsAt: Place | null;
  /** By place: what it has that changes the steps of a wash there. */
  readonly fittings: Readonly<Record<string, Fittings>>;
}

/** A car's hours up to now and from now on, with how much it picks up. */
export interface LivedHours {
  readonly past: readonly CompiledHour[];
  readonly ahead: readonly CompiledHour[];
  readonly pickUp: LearntPickUp;
}

/** The hours that the car lives through, with what its swabs say of how much it picks up. */
export function livedHours(
  { car, standsAt: at, weather, drivesOn }: CarCase,
  washes: readonly WashEffect[],
  around: Surroundings,
): LivedHours {
  const { driving, weekShares } = car.vehicle;
  const life = carLife({ driving, weekShares, standsAt: at, drives: car.drives }, around);
  const seasonHours = weather.observed.length;
  const plain = compileLife(life, { ...PLAIN_PICK_UP, drivesOn });
  const pickUp =
    car.readings.length > 0
      ? learnPickUp(plain.slice(0, seasonHours), {
          washes,
          readings: car.readings,
          untilMs: Infinity,
        })
      : NOTHING_LEARNT;
  const own = pickUp.factor === 1 ? plain : compileLife(life, { factor: pickUp.factor, drivesOn });
  return { past: own.slice(0, seasonHours), ahead: own.slice(seasonHours), pickUp };
}
