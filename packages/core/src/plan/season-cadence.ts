import type { Method } from '../method/index.js';
import type { Place } from '../place/index.js';
import { FieldError, requireInRange, MS_PER_DAY } from '../quantity/index.js';
import { type CompiledHour, runLedger, type SaltWash } from '../salt/index.js';
import type { Prices } from './data/prices.js';
import { washCost } from './wash-cost.js';
import { TYPICAL_PRODUCTS } from '../kit/index.js';

/** One method every so many days. */
export interface CadencePart {
  readonly methodId: string;
  readonly everyDays: number;
}

export interface CadenceOutcome {
  readonly washCount: number;
  readonly activeHours: number;
  /** Against never washing. */
  readonly activeHoursSaved: number;
  readonly moneyMinor: number;
  readonly minutes: number;
  readonly litres: number;
  /** Of the season that it was run through. */
  readonly days: number;
  /** Minutes that its washes hold a bay of somebody else's. */
  readonly bayMinutes: number;
  /** Bottles that the shop does not have yet, one of each, by typical prices; bought once and not part of the money. */
  readonly kitMinor: number;
  /** Salt damage that it avoids, at its price. */
  readonly saltMinor: number;
  /** Work and ways, at the price of an hour. */
  readonly timeMinor: number;
  /** What it avoids, less money and time. */
  readonly worthMinor: number;
}

export interface CadenceCase {
  /** The car's life over the season. */
  readonly life: readonly CompiledHour[];
  readonly methods: readonly Method[];
  readonly places: readonly Place[];
  readonly prices: Prices;
}

/** The place that does it for the least money and time. */
function cheapestPlace({ places, prices }: CadenceCase, method: Method): Place | null {
  const offering = places.filter((place) => place.methods.some(({ methodId }) => methodId === method.id));
  const price = (place: Place): number =>
    washCost(place, method).totalMinor + (prices.hourMinor * 2 * place.travelMinutes) / 60;
  return offering.reduce<Place | null>(
    (best, place) => (!best || price(place) < price(best) ? place : best),
    null,
  );
}

/** Washes of a part over the life, the first after its own interval. */
function washesOf(part: CadencePart, life: CadenceCase['life'], method: Method): SaltWash[] {
  const firstMs = life[0]?.atMs ?? 0;
  const lastMs = life.at(-1)?.atMs ?? 0;
  const count = Math.floor((lastMs - firstMs) / (part.everyDays * MS_PER_DAY));
  return Array.from({ length: count }, (_, i) => ({
    atMs: firstMs + (i + 1) * part.everyDays * MS_PER_DAY,
    removes: method.removes,
  }));
}

/** Where others wait for their turn. */
const isBay = ({ kind }: Place): boolean => kind === 'self-serve-bay' || kind === 'automatic-bay';

/** A bottle of each role of which the shop has none, minor units. */
function missingBottlesMinor(methods: readonly Method[]): number {
  const roles = new Set(
    methods.flatMap(({ steps }) =>
      steps.flatMap(({ product }) => (product?.from === 'typical' ? [product.role] : [])),
    ),
  );
  return [...roles].reduce((sum, role) => sum + TYPICAL_PRODUCTS[role].litreMinor, 0);
}

interface PartRun {
  readonly method: Method;
  readonly place: Place;
  readonly washes: readonly SaltWash[];
}

/** The washes of one part at the place that does it for least. @throws FieldError naming parts.N.everyDays or parts.N.methodId */
function partRun(part: CadencePart, n: number, input: CadenceCase): PartRun {
  requireInRange(
    'seasonCadence',
    { [`parts.${n}.everyDays`]: part.everyDays },
    { min: 1, max: 180, unit: 'days' },
  );
  const method = input.methods.find(({ id }) => id === part.methodId);
  const place = method ? cheapestPlace(input, method) : null;
  if (!method || !place) {
    const field = `parts.${n}.methodId`;
    const message = `seasonCadence: ${field} is ${part.methodId}; no place offers it`;
    throw new FieldError('unknown-name', field, message);
  }
  return { method, place, washes: washesOf(part, input.life, method) };
}

/** The washes that are done: of those that fall on one day the deepest. */
function deepestByDay(runs: readonly PartRun[]): { wash: SaltWash; method: Method; place: Place }[] {
  const days = new Map<number, { wash: SaltWash; method: Method; place: Place }>();
  const depth = ({ removes }: Method): number => removes.under + removes.arches + removes.lower;
  for (const { method, place, washes } of runs) {
    for (const wash of washes) {
      const day = Math.round(wash.atMs / MS_PER_DAY);
      const there = days.get(day);
      if (!there || depth(method) > depth(there.method)) days.set(day, { wash, method, place });
    }
  }
  return [...days.values()];
}

/**
 * What would washing by this cadence have cost and saved, over the weather, roads and drives of this season?
 *
 * @param parts one or more methods, each every 1–180 days; where two fall on one day the deeper one is enough
 * @returns washes, clock, money, minutes and litres; a method that no place offers is an error
 * @throws FieldError naming parts.N.everyDays or parts.N.methodId
 */
export function seasonCadence(parts: readonly CadencePart[], input: CadenceCase): CadenceOutcome {
  const runs = parts.map((part, n) => partRun(part, n, input));
  const done = deepestByDay(runs);
  const never = runLedger(input.life, { washes: [] }).activeHours;
  const { activeHours } = runLedger(input.life, { washes: done.map(({ wash }) => wash) });
  const sum = (read: (entry: (typeof done)[number]) => number): number =>
    done.reduce((total, entry) => total + read(entry), 0);
  const moneyMinor = sum(({ place, method }) => washCost(place, method).totalMinor);
  const minutes = sum(({ place, method }) => method.minutes + 2 * place.travelMinutes);
  const activeHoursSaved = never - activeHours;
  const saltMinor = activeHoursSaved * input.prices.saltMinorPerActiveHour;
  const timeMinor = (minutes * input.prices.hourMinor) / 60;
  const spanMs = (input.life.at(-1)?.atMs ?? 0) - (input.life[0]?.atMs ?? 0);
  return {
    washCount: done.length,
    activeHours,
    activeHoursSaved,
    moneyMinor,
    minutes,
    litres: sum(({ method }) => method.litres),
    days: spanMs / MS_PER_DAY,
    bayMinutes: sum(({ place, method }) => (isBay(place) ? method.minutes : 0)),
    kitMinor: missingBottlesMinor(runs.map(({ method }) => method)),
    saltMinor,
    timeMinor,
    worthMinor: saltMinor - moneyMinor - timeMinor,
  };
}
