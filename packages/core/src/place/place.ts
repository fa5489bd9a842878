import type { EarthPoint, Shelter } from '../sun/index.js';

export const PLACE_KINDS = ['garage', 'heated-unit', 'self-serve-bay', 'automatic-bay', 'drive'] as const;
export type PlaceKind = (typeof PLACE_KINDS)[number];

/** How the air at the car follows the air outside. */
export type PlaceClimate =
  | { readonly kind: 'outdoors' }
  | { readonly kind: 'open-bay' }
  | { readonly kind: 'unheated' }
  | { readonly kind: 'heated'; readonly setpointC: number };

export const TAPS = ['none', 'frost-shut', 'always'] as const;
/** `frost-shut`: closed while nights freeze, lest the pipe bursts. */
export type Tap = (typeof TAPS)[number];

/** Opening on one weekday, minutes after local midnight. */
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

/** What the engine needs to know of a place. */
export interface Place extends EarthPoint {
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
  readonly methods: readonly { readonly methodId: string; readonly priceMinor: number }[];
  readonly travelMinutes: number;
}

/** The water that dries on the car: the last rinse where there is one. */
export const lastWater = (place: Place): Water => place.finalRinse ?? place.washWater;
