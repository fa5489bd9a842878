import type {
  BodyClass,
  PaintTone,
  PanelId,
  PlaceKind,
  Protection,
  RuleGlyph,
  RuleId,
  SaltZone,
  SpotsFound,
  Tap,
  VerdictKind,
  WaterBehaviour,
} from '@keen/core';

export const METHOD_NAMES: Readonly<Record<string, string>> = {
  'touchless-automatic': 'touchless automatic',
  'bay-touch-free': 'self-serve, touch-free',
  'garage-rinseless': 'rinseless indoors',
  'drive-hose': 'hose on the drive',
};
export const methodName = (methodId: string): string => METHOD_NAMES[methodId] ?? methodId;

export const VERDICT_WORDS: Readonly<Record<VerdictKind, string>> = {
  go: 'Go',
  'go-if': 'Go if…',
  wait: 'Wait',
  no: 'No',
  unknown: 'Not known',
};

export const PANEL_NAMES: Readonly<Record<PanelId, string>> = {
  roof: 'roof',
  bonnet: 'bonnet',
  boot: 'boot lid',
  windscreen: 'windscreen',
  left: 'left flank',
  right: 'right flank',
  front: 'front',
  rear: 'rear',
};

export const SECTION_NAMES: Readonly<Record<string, string>> = {
  'whole-car': 'the whole car',
  'one-side': 'one side',
  'two-panels': 'two panels',
  'one-panel': 'one panel',
};

export const RULE_NAMES: Readonly<Record<RuleId, string>> = {
  'method-offered': 'Offered here',
  'floor-drain': 'Floor and drain',
  'tap-frost': 'Tap',
  'open-hours': 'Opening hours',
  'ice-on-car': 'Ice on the car',
  spots: 'Spots',
  falling: 'Rain or snow',
  daylight: 'Daylight',
  'cold-hands': 'Cold hands',
  'ice-on-ground': 'Ice on the ground',
  wear: 'Wear of protection',
  'forecast-agrees': 'Forecast agreement',
};

export const GLYPH_NAMES: Readonly<Record<RuleGlyph, string>> = {
  ice: 'ice',
  spot: 'spot',
  road: 'road',
  clock: 'clock',
  dark: 'dark',
  'cold-hands': 'cold hands',
  rule: 'rule',
  falling: 'rain or snow',
  wear: 'wear',
  forecast: 'forecast',
};

export const BODY_NAMES: Readonly<Record<BodyClass, string>> = {
  saloon: 'Saloon',
  estate: 'Estate',
  hatch: 'Hatch',
  suv: 'SUV',
  pickup: 'Pickup',
  van: 'Van',
};
export const TONE_NAMES: Readonly<Record<PaintTone, string>> = {
  white: 'White or cream',
  silver: 'Silver or light',
  mid: 'Mid colour',
  black: 'Black or very dark',
};
export const PROTECTION_NAMES: Readonly<Record<Protection, string>> = {
  bare: 'None',
  wax: 'Wax',
  sealant: 'Sealant',
  coating: 'Coating',
};
export const BEHAVIOUR_NAMES: Readonly<Record<WaterBehaviour, string>> = {
  flat: 'Lies flat',
  sheeting: 'Sheets off',
  beading: 'Beads',
};
export const PLACE_KIND_NAMES: Readonly<Record<PlaceKind, string>> = {
  garage: 'Garage',
  'heated-unit': 'Heated unit',
  'self-serve-bay': 'Self-serve bay',
  'automatic-bay': 'Automatic bay',
  drive: 'Drive',
};
export const TAP_NAMES: Readonly<Record<Tap, string>> = {
  none: 'None',
  'frost-shut': 'Shut while nights freeze',
  always: 'Always live',
};
export const SPOTS_NAMES: Readonly<Record<SpotsFound, string>> = {
  none: 'No spots',
  few: 'A few spots',
  many: 'Many spots',
};
export const ZONE_NAMES: Readonly<Record<SaltZone, string>> = {
  underbody: 'Underbody',
  arches: 'Arches',
  'lower-left': 'Lower left',
  'lower-right': 'Lower right',
  rear: 'Rear',
  upper: 'Upper body',
};

export const optionsOf = <K extends string>(
  names: Readonly<Record<K, string>>,
): { value: K; label: string }[] =>
  (Object.entries(names) as [K, string][]).map(([value, label]) => ({ value, label }));
