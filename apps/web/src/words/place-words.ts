import type { BucketWater, PlaceKind, SiteSoap, Tap } from '@keen/core';

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

export const SITE_SOAP_NAMES: Readonly<Record<SiteSoap, string>> = {
  weak: 'Thin: it hardly foams',
  ordinary: 'Ordinary',
  strong: 'Strong: it bites',
};

export const BUCKET_WATER_NAMES: Readonly<Record<BucketWater, string>> = {
  brought: 'Brought full, with lids',
  gun: 'Filled there, from the paid gun',
};

/** What is known of the air indoors. */
export const INDOOR_AIR_NAMES = {
  model: 'Not heated',
  usual: 'Usually at',
  read: 'Read just now',
  kept: 'Heated, kept at',
} as const;
