import type { Tariff } from '../meter/index.js';
import type { EarthPoint, Shelter } from '../sun/index.js';

export const PLACE_KINDS = [
  'garage',
  'heated-unit',
  'self-serve-bay',
  'automatic-bay',
  'drive',
  'car-park',
] as const;
/** A drive is one's own ground, with a tap where it has one; a car park or kerb has neither tap nor power. */
export type PlaceKind = (typeof PLACE_KINDS)[number];

/** How the air at the car follows the air outside; indoors a humidity that was read there goes before the model. */
export type PlaceClimate =
  | { readonly kind: 'outdoors' }
  | { readonly kind: 'open-bay' }
  | {
      readonly kind: 'unheated';
      readonly relHumidityFraction?: number | null;
      /** It is known to stay at about so many °C; absent or null: it follows the air outside. */
      readonly usualC?: number | null;
      /** A thermometer there showed so many °C at that instant; the model takes over again within a day or two. */
      readonly readC?: number | null;
      readonly readAtMs?: number | null;
    }
  | { readonly kind: 'heated'; readonly setpointC: number; readonly relHumidityFraction?: number | null };

export const TAPS = ['none', 'frost-shut', 'always'] as const;
/** `frost-shut`: closed while nights freeze, lest the pipe bursts. */
export type Tap = (typeof TAPS)[number];

/** Opening on one weekday, minutes after local midnight; closing before it opens means on the next day. */
export interface OpenSpan {
  readonly openMinute: number;
  readonly closeMinute: number;
}

export interface Water {
  readonly name: string;
  readonly hardnessMgPerLitre: number;
  readonly tdsMgPerLitre: number;
  readonly tempC: number;
  readonly origin: 'measured' | 'estimated' | 'default';
}

export const SITE_RULES = [
  'no-own-bucket',
  'no-own-foam',
  'no-run-off',
  'no-washing-in-frost',
  'no-contact',
  'neighbour-close',
] as const;
/** What the site, its landlord or the town forbids, or what a car that stands close does. */
export type SiteRule = (typeof SITE_RULES)[number];

export const SITE_SOAPS = ['weak', 'ordinary', 'strong'] as const;
/** How well the soap works that comes out of the site's own lance or brush, as those who know it say. */
export type SiteSoap = (typeof SITE_SOAPS)[number];

export const BUCKET_WATERS = ['brought', 'gun'] as const;
/** Where buckets are filled: brought full, lidded and warm; or there, from the paid gun. */
export type BucketWater = (typeof BUCKET_WATERS)[number];

/** Minutes that one waits, by hour of the day; null: never a queue. */
export interface Queue {
  /** 24 numbers, Monday to Friday. */
  readonly weekdayMinutes: readonly number[];
  /** 24 numbers, Saturday and Sunday. */
  readonly weekendMinutes: readonly number[];
}

/** What the engine needs to know of a place, without where else a wash may end. */
export interface PlaceAlone extends EarthPoint {
  readonly id: string;
  readonly kind: PlaceKind;
  /** IANA zone of its opening hours. */
  readonly timeZone: string;
  readonly climate: PlaceClimate;
  readonly shelter: Shelter;
  /** Where a parked car's nose points, clockwise from north. */
  readonly carHeadingDeg: number;
  readonly hasDrain: boolean;
  readonly hasLight: boolean;
  readonly tap: Tap;
  /** Monday first; null is closed. */
  readonly openHours: readonly (OpenSpan | null)[];
  readonly washWater: Water;
  /** Demineralised or softened last rinse, where there is one. */
  readonly finalRinse: Water | null;
  /** Price of a visit by method; paid seconds come on top where there is a tariff. */
  readonly methods: readonly { readonly methodId: string; readonly priceMinor: number }[];
  /** A coin or card meter; null where a visit has one price. */
  readonly tariff: Tariff | null;
  readonly queue: Queue | null;
  readonly forbids: readonly SiteRule[];
  /** Absent: ordinary. */
  readonly siteSoap?: SiteSoap;
  /** Absent: brought. */
  readonly bucketWater?: BucketWater;
  readonly travelMinutes: number;
  /** Cars that can be washed there side by side. */
  readonly carsAtOnce: number;
  /** Minutes that one may stay there with a car; null or absent: as long as one likes. */
  readonly mostMinutes?: number | null;
  /** Where in the shade a car can be dried near by, in words; empty or absent: nowhere that is known. */
  readonly dryingSpot?: string;
}

/** A second place in which a wash that began here can be ended: dried, or washed by hand once it is rinsed. */
export interface Finish {
  readonly place: PlaceAlone;
  /** On the road from here to there. */
  readonly driveMinutes: number;
  /** What it costs to end a wash there, minor units. */
  readonly priceMinor: number;
}

/** A place with the second one in which a wash that began there may end. */
export interface Place extends PlaceAlone {
  /** Absent: what begins here ends here. */
  readonly finish?: Finish;
}

/** The water that dries on the car: the last rinse where there is one. */
export const lastWater = (place: Place): Water => place.finalRinse ?? place.washWater;

const WEEKEND_FROM = 5;

/** Minutes in the queue when one arrives at a local weekday (Monday 0) and minute of the day. */
export function queueMinutes(
  place: Pick<Place, 'queue'>,
  at: { readonly weekday: number; readonly minuteOfDay: number },
): number {
  if (!place.queue) return 0;
  const hours = at.weekday >= WEEKEND_FROM ? place.queue.weekendMinutes : place.queue.weekdayMinutes;
  return hours[Math.floor(at.minuteOfDay / 60)] ?? 0;
}
