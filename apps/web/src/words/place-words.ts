import type { PlaceKind, Tap } from '@keen/core';

export const PLACE_KIND_NAMES: Readonly<Record<PlaceKind, string>> = {
  garage: 'Garage',
  'heated-unit': 'Heated unit',
  'self-serve-bay': 'Self-serve bay',
  'automatic-bay': 'Automatic bay',
  drive: 'Drive',
  'car-park': 'Car park or kerb',
};

export const TAP_NAMES: Readonly<Record<Tap, string>> = {
  none: 'None',
  'frost-shut': 'Shut while nights freeze',
  always: 'Always live',
};

/** What is known of the air indoors. */
export const INDOOR_AIR_NAMES = {
  model: 'Not heated',
  usual: 'Usually so warm',
  read: 'Read just now',
  kept: 'Heated, kept at',
} as const;
