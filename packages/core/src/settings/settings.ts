import type { MessageKind } from '../booking/index.js';
import type { HouseRules, Variant } from '../house-rules/index.js';
import type { MethodId } from '../method/index.js';
import type { Worker, Prices } from '../plan/index.js';
import type { PriceList } from '../quote/index.js';
import type { Limits } from '../rules/index.js';
import type { SeasonNumbers } from '../season/index.js';

export const TEMPERATURE_UNITS = ['C', 'F'] as const;
export const HARDNESS_DISPLAY_UNITS = [
  'mgPerLitreCaCO3',
  'gpg',
  'dH',
  'fH',
  'clark',
  'mmolPerLitre',
] as const;

export const DRIVING_SIDES = ['right', 'left'] as const;
export type DrivingSide = (typeof DRIVING_SIDES)[number];

/** How figures are shown; nothing else depends on it. */
export interface DisplaySettings {
  readonly temperature: (typeof TEMPERATURE_UNITS)[number];
  readonly wind: 'ms' | 'kmh' | 'mph';
  readonly distance: 'km' | 'mi';
  readonly hardness: (typeof HARDNESS_DISPLAY_UNITS)[number];
  readonly volume: 'L' | 'gal';
  /** ISO 4217. */
  readonly currency: string;
}

/** A method in steps that the shop has given a name. */
export interface NamedWay {
  readonly name: string;
  readonly methodId: string;
  readonly variant: Variant;
}

export interface Settings {
  readonly limits: Limits;
  readonly prices: Prices;
  readonly display: DisplaySettings;
  readonly house: HouseRules;
  /** Orders of steps that the shop keeps by a name, to begin from; nothing is done by them unless somebody chooses one. */
  readonly namedWays: readonly NamedWay[];
  /** The side of the road that one drives on; lorries pass on the other. */
  readonly drivesOn: DrivingSide;
  /** Who washes, and when. */
  readonly workers: readonly Worker[];
  /** The shop's clock on the wall. */
  readonly timeZone: string;
  /** Weather sources in the order of trust; one that is not named does not count. null: the built-in station alone. */
  readonly weatherOrder: readonly string[] | null;
  /** Numbers of the season's jobs. */
  readonly season: SeasonNumbers;
  /** What customers pay. */
  readonly priceList: PriceList;
  /** For how many washes product is left, by method; a method that is not named has plenty. */
  readonly stock: Readonly<Partial<Record<MethodId, number>>>;
  /** The shop's own words for messages, by kind; what is not there is as shipped. */
  readonly templates: Readonly<Partial<Record<MessageKind, string>>>;
}

export const DEFAULT_DISPLAY: DisplaySettings = {
  temperature: 'C',
  wind: 'kmh',
  distance: 'km',
  hardness: 'mgPerLitreCaCO3',
  volume: 'L',
  currency: 'CAD',
};
