import type {
  FlipInput,
  MessageKind,
  MethodId,
  NeededField,
  PhotoConsent,
  PrecipKind,
  RoadClass,
  RoadState,
  RuleGlyph,
  RuleId,
  SaltAgent,
  SiteRule,
  VerdictKind,
} from '@keen/core';

export const METHOD_NAMES: Readonly<Record<MethodId, string>> = {
  'touchless-automatic': 'touchless automatic',
  'bay-touch-free': 'self-serve, touch-free',
  'bay-contact': 'self-serve, by hand',
  'bay-rinse-rinseless': 'bay rinse, rinseless finish',
  'garage-rinseless': 'rinseless indoors',
  'garage-hose': 'hose indoors',
  'drive-hose': 'hose on the drive',
  'rinseless-outdoors': 'rinseless outdoors',
  waterless: 'waterless spray',
  'salt-flush': 'salt flush, rinse only',
  'strip-reseal': 'strip and re-seal',
  'pre-coating': 'wash before a coating',
  'winter-strip': 'winter strip and foamed seal',
  'pre-coating-air': 'before a coating, air only',
  'rinseless-heavy': 'rinseless, two pre-soaks',
};
export const methodName = (methodId: string): string => METHOD_NAMES[methodId as MethodId] ?? methodId;

export const VERDICT_WORDS: Readonly<Record<VerdictKind, string>> = {
  go: 'Go',
  'go-if': 'Go if…',
  wait: 'Wait',
  no: 'No',
  unknown: 'Not known',
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
  'soil-ceiling': 'How dirty it is',
  scratch: 'Scratches',
  'seals-overnight': 'Seals and locks tonight',
  'dry-on': 'Product drying on',
  're-soiling': 'The road after',
  'site-rule': 'Site and town rules',
  'direct-sun': 'Sun on it',
  'working-warmth': 'Warmth for the product',
  'label-time': 'Time on the label',
  chemicals: 'Acid, alkali and rinsing',
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
  soil: 'soil',
  scratch: 'scratch',
  sun: 'sun',
  warmth: 'warmth',
};

export const AGENT_NAMES: Readonly<Record<SaltAgent, string>> = {
  NaCl: 'rock salt (NaCl)',
  MgCl2: 'magnesium chloride',
  CaCl2: 'calcium chloride',
};
export const ROAD_NAMES: Readonly<Record<RoadClass, string>> = {
  main: 'Main road',
  town: 'Town',
  bridge: 'Bridge',
};
export const ROAD_STATE_NAMES: Readonly<Record<RoadState, string>> = {
  dry: 'dry',
  damp: 'damp',
  wet: 'wet',
  slush: 'slush',
  snow: 'snow',
  ice: 'ice',
};
export const CONSENT_NAMES: Readonly<Record<PhotoConsent, string>> = {
  none: 'No photographs',
  'own-records': 'For the shop’s own records',
  public: 'May be shown to anybody',
};
export const MESSAGE_NAMES: Readonly<Record<MessageKind, string>> = {
  booked: 'Booked',
  moved: 'Moved',
  'called-off': 'Called off',
  'freeze-care': 'Freeze care tonight',
};
export const FALL_NAMES: Readonly<Record<PrecipKind, string>> = {
  none: 'nothing',
  rain: 'rain',
  sleet: 'sleet',
  snow: 'snow',
};
export const WEATHER_FIELD_NAMES: Readonly<Record<NeededField, string>> = {
  airTempC: 'the air',
  dewPointC: 'the damp',
  windMetresPerSecond: 'the wind',
  cloudFraction: 'the sky',
  precipMm: 'rain or snow',
};
export const SITE_RULE_NAMES: Readonly<Record<SiteRule, string>> = {
  'no-own-bucket': 'No buckets of your own',
  'no-own-foam': 'No foam of your own',
  'no-run-off': 'No wash water on the ground or in the storm drain',
  'no-washing-in-frost': 'No washing in frost',
  'no-contact': 'No washing by hand',
  'neighbour-close': 'No jet, hose or foam: a car is parked beside it',
};
export const FLIP_NAMES: Readonly<Record<FlipInput, string>> = {
  air: 'Air',
  wind: 'Wind at 10 m',
  humidity: 'Humidity',
  cloud: 'Cloud',
  solids: 'Solids in the last water',
  'hand-speed': 'Minutes from wet to wiped',
  start: 'Start',
};
export const optionsOf = <K extends string>(
  names: Readonly<Record<K, string>>,
): { value: K; label: string }[] =>
  (Object.entries(names) as [K, string][]).map(([value, label]) => ({ value, label }));

/** Name of a record by id, or its id while it is not known. */
export const nameOf = (
  records: readonly { readonly id: string; readonly name: string }[] | undefined,
  id: string,
): string => records?.find((record) => record.id === id)?.name ?? id;
