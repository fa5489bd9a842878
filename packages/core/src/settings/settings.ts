import type { HouseRules } from '../house/index.js';
import type { Hands, Prices } from '../plan/index.js';
import type { Limits } from '../rules/index.js';

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

export interface Settings {
  readonly limits: Limits;
  readonly prices: Prices;
  readonly display: DisplaySettings;
  readonly house: HouseRules;
  /** The side of the road that one drives on; lorries pass on the other. */
  readonly drivesOn: DrivingSide;
  /** Who washes, and when. */
  readonly hands: readonly Hands[];
  /** The shop's clock on the wall. */
  readonly timeZone: string;
}

export const DEFAULT_DISPLAY: DisplaySettings = {
  temperature: 'C',
  wind: 'kmh',
  distance: 'km',
  hardness: 'mgPerLitreCaCO3',
  volume: 'L',
  currency: 'CAD',
};
