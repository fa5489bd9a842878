import type { HouseRules } from '../house-rules/index.js';
import { coldClass, equip, type Shelf, withoutPrices } from '../kit/index.js';
import type { Place } from '../place/index.js';
import {
  atFittings,
  type Fittings,
  fittingsOf,
  inUsualWay,
  inWay,
  type Method,
  METHOD_IDS,
  PLAIN_FITTINGS,
  shopMethod,
  sizeFactor,
  type WayId,
  wayOf,
} from '../method/index.js';
import { type Limits, shopStands } from '../rules/index.js';
import { type SeasonJobRow, withSeasonWork } from '../season/index.js';
import type { Vehicle } from '../vehicle/index.js';

/** What decides how a car is washed by a method, whenever and wherever. */
export interface MethodCase {
  readonly vehicle: Pick<
    Vehicle,
    'protection' | 'protections' | 'delicateWheels' | 'hasChargePort' | 'bodyClass'
  >;
  readonly house: HouseRules;
  readonly limits: Limits;
  readonly shelf: Shelf;
  /** Coldest air at the place during the wash, °C; absent or null: warm enough for any label. */
  readonly placeC?: number | null;
  /** Work of the season that is done with it, in its order. */
  readonly work?: readonly SeasonJobRow[];
  /** What the place has that changes the steps; absent: nothing out of the ordinary. */
  readonly fittings?: Fittings;
}

/** All that decides how a car is washed, but what it costs: wherever, in whatever cold, with whatever work. */
export function decidesMethods({ vehicle, house, limits, shelf }: MethodCase): MethodCase {
  const { protection, protections, delicateWheels, hasChargePort, bodyClass } = vehicle;
  const car = { protection, protections, delicateWheels, hasChargePort, bodyClass };
  return { vehicle: car, house, limits, shelf: withoutPrices(shelf) };
}

/** What of a place decides how a wash is done there. */
export type WashPlace = Pick<Place, 'finish' | 'siteSoap' | 'bucketWater' | 'forbids' | 'washWater'>;

/** The method as the shop does it on this car, with the products that it takes for it. */
export const equippedMethod = (
  methodId: string,
  { vehicle, house, limits, shelf, placeC, work = [], fittings }: MethodCase,
): Method => {
  const plain = shopMethod(methodId, house, vehicle);
  const there = fittings ? atFittings(plain, fittings) : plain;
  return equip(withSeasonWork(there, work), {
    vehicle,
    shelf,
    stands: shopStands(limits),
    choices: house.products,
    sizeFactor: sizeFactor(house, vehicle),
    placeC,
    fittings,
  });
};

const takesSame = (a: Method, b: Method): boolean =>
  a.bucketC === b.bucketC &&
  a.steps.every(({ product }, i) => {
    const other = b.steps[i]?.product;
    return product?.id === other?.id && product?.role === other?.role && product?.because === other?.because;
  });

/** The methods of a car, each made once for each cold in which it takes other bottles. */
export function methodsByCold(
  of: Omit<MethodCase, 'placeC'>,
): (methodId: string, placeC: number | null) => Method {
  const made = new Map<string, Map<number, Method>>();
  return (methodId, placeC) => {
    const colds = made.get(methodId) ?? new Map<number, Method>();
    made.set(methodId, colds);
    const at = coldClass(of.shelf, placeC);
    const known = colds.get(at);
    if (known) return known;
    // Most colds change no bottle of a method: then it is the same object, with all that is made of it.
    const method = equippedMethod(methodId, { ...of, placeC });
    const same = [...colds.values()].find((other) => takesSame(other, method)) ?? method;
    colds.set(at, same);
    return same;
  };
}

type ByCold = ReturnType<typeof methodsByCold>;

/** The same at places, with some work of the season; made once for all places that have the same. */
export function methodsWithWork(
  of: Omit<MethodCase, 'placeC' | 'work' | 'fittings'>,
): (work: readonly SeasonJobRow[], fittings: Fittings) => ByCold {
  const made = new Map<string, ByCold>();
  return (work, fittings) => {
    const key = JSON.stringify([work.map(({ id }) => id), fittings]);
    const known = made.get(key) ?? methodsByCold({ ...of, work, fittings });
    made.set(key, known);
    return known;
  };
}

/** Every method as it is done on the car in whatever cold, at a place that has nothing out of the ordinary. */
export function plainMethods(
  of: Omit<MethodCase, 'placeC' | 'work' | 'fittings'>,
  methodsWith = methodsWithWork(of),
): Method[] {
  return METHOD_IDS.map((id) => methodsWith([], PLAIN_FITTINGS)(id, null));
}

/** How a method is done at a place in a way: where the place has no second one, nothing is ended there. */
export function methodAt(
  plain: Method,
  wayId: WayId | null | undefined,
  { finish }: Pick<WashPlace, 'finish'>,
): Method {
  const way = wayOf(plain, wayId ?? null);
  return way.isElsewhere && !finish ? inUsualWay(plain) : inWay(plain, way, finish?.driveMinutes);
}

/**
 * The methods in their ways, the usual one where none is given, with work of the season or without; each made once.
 *
 * @param methodsWith the same methods where somebody has made them already
 */
export function methodsInWays(
  of: Omit<MethodCase, 'placeC' | 'work' | 'fittings'>,
  methodsWith = methodsWithWork(of),
): (
  methodId: string,
  cell: { readonly placeC?: number | null; readonly wayId?: WayId },
  at: { readonly place: WashPlace; readonly work?: readonly SeasonJobRow[] },
) => Method {
  const made = new Map<Method, Map<string, Method>>();
  return (methodId, { placeC = null, wayId }, { place, work = [] }) => {
    const plain = methodsWith(work, fittingsOf(place))(methodId, placeC);
    const ways = made.get(plain) ?? new Map<string, Method>();
    made.set(plain, ways);
    const key = `${wayId ?? ''} ${place.finish?.driveMinutes ?? ''}`;
    const known = ways.get(key) ?? methodAt(plain, wayId, place);
    ways.set(key, known);
    return known;
  };
}
