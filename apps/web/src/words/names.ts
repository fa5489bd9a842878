import type {
  BodyClass,
  CadenceTarget,
  CarZone,
  ClogCleaner,
  CompatibilityReason,
  FlipInput,
  FreezeCareId,
  GearKind,
  KeptIn,
  Leftover,
  MessageKind,
  MethodId,
  NeededField,
  PaintTone,
  PhotoConsent,
  PanelId,
  PrecipKind,
  ProductRole,
  Protection,
  ProtectionStanding,
  RoadClass,
  RoadState,
  RuleGlyph,
  RuleId,
  SaltAgent,
  SeasonId,
  SeasonJobId,
  SiteRule,
  SoilKind,
  SpotsFound,
  VerdictKind,
  WaterBehaviour,
  ZoneGroup,
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
};
export const methodName = (methodId: string): string => METHOD_NAMES[methodId as MethodId] ?? methodId;

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
  'spray-ceramic': 'Spray ceramic',
  coating: 'Coating',
  film: 'Protection film',
};
export const BEHAVIOUR_NAMES: Readonly<Record<WaterBehaviour, string>> = {
  flat: 'Lies flat',
  sheeting: 'Sheets off',
  beading: 'Beads',
};
export const SPOTS_NAMES: Readonly<Record<SpotsFound, string>> = {
  none: 'No spots',
  few: 'A few spots',
  many: 'Many spots',
};
export const ZONE_NAMES: Readonly<Record<CarZone, string>> = {
  roof: 'Roof',
  bonnet: 'Bonnet',
  boot: 'Boot lid',
  glass: 'Glass',
  'upper-left': 'Upper left',
  'upper-right': 'Upper right',
  trim: 'Trim',
  front: 'Front',
  rear: 'Rear',
  'lower-left': 'Lower left',
  'lower-right': 'Lower right',
  'wheels-left': 'Wheels left',
  'wheels-right': 'Wheels right',
  'arches-left': 'Arches left',
  'arches-right': 'Arches right',
  underbody: 'Underbody',
};
export const GROUP_NAMES: Readonly<Record<ZoneGroup, string>> = {
  upper: 'Upper body',
  lower: 'Lower body',
  wheels: 'Wheels',
  arches: 'Arches',
  under: 'Underbody',
};
export const SOIL_NAMES: Readonly<Record<SoilKind, string>> = {
  'salt-film': 'Salt film',
  grit: 'Grit',
  iron: 'Iron',
  bugs: 'Bugs',
  tar: 'Tar',
  scale: 'Scale',
};
/** Grades 0 to 5. */
export const GRADE_NAMES = ['clean', 'dust', 'light film', 'film with grit', 'heavy', 'caked'] as const;
/** The same for what does not lie on as a film: iron, bugs, tar, scale. */
export const AMOUNT_NAMES = ['none', 'a trace', 'little', 'some', 'much', 'caked'] as const;
export const LEFTOVER_NAMES: Readonly<Record<Leftover, string>> = {
  film: 'a light film',
  arches: 'arches',
  'deep-wheels': 'deep wheels',
  underbody: 'underbody',
  uppers: 'upper body',
  lowers: 'lower body',
  vents: 'vents and gaps',
  bugs: 'bugs',
  tar: 'tar',
  iron: 'iron',
  scale: 'scale',
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
export const SEASON_JOB_NAMES: Readonly<Record<SeasonJobId, string>> = {
  underbody: 'underbody',
  'anti-corrosion': 'anti-corrosion foam',
  'top-up': 'top-up of protection',
  decontaminate: 'decontamination',
  polish: 'polish',
  're-coat': 'new coat',
};
export const TARGET_NAMES = {
  days: 'Days',
  'salt-days': 'Days with salt on it',
  'active-hours': 'Active hours of the salt clock',
} as const satisfies Readonly<Record<CadenceTarget['kind'], string>>;
/** "underbody and anti-corrosion foam"; empty where there is none. */
export const seasonJobsText = (jobIds: readonly SeasonJobId[]): string =>
  new Intl.ListFormat('en').format(jobIds.map((id) => SEASON_JOB_NAMES[id]));
export const SEASON_NAMES: Readonly<Record<SeasonId, string>> = {
  'pre-winter': 'before winter',
  'mid-winter': 'in mid-winter',
  spring: 'in spring',
  'salt-season': 'while there is salt',
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
export const FREEZE_CARE_NAMES: Readonly<Record<FreezeCareId, string>> = {
  seals: 'wipe and treat the door seals',
  locks: 'blow out the locks',
  handles: 'work the handles dry',
  mirrors: 'leave the mirrors unfolded',
  wipers: 'lift or dry the wipers',
  flap: 'dry the fuel or charge flap',
  brakes:
    'dry the brakes on a gentle drive, and park without the parking brake where maker and slope allow it',
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
  precipMm: 'what falls',
};
export const SITE_RULE_NAMES: Readonly<Record<SiteRule, string>> = {
  'no-own-bucket': 'No buckets of your own',
  'no-own-foam': 'No foam of your own',
  'no-run-off': 'No wash water on the ground or in the storm drain',
  'no-washing-in-frost': 'No washing in frost',
  'no-contact': 'No washing by hand',
  'neighbour-close': 'No jet, hose or foam: another car stands close',
};
export const STANDING_NAMES: Readonly<Record<ProtectionStanding, string>> = {
  none: 'bare',
  sound: 'sound',
  worn: 'worn',
  spent: 'spent',
  'clogged-or-gone': 'clogged or gone',
  'unknown-age': 'age not known',
};
export const CLEANER_NAMES: Readonly<Record<ClogCleaner, string>> = {
  'film-remover': 'a film remover (alkaline)',
  'iron-remover': 'an iron remover',
  'mineral-acid': 'a mild mineral acid',
};
export const KEPT_IN_NAMES: Readonly<Record<KeptIn, string>> = { van: 'in the van', indoors: 'indoors' };
export const GEAR_NAMES: Readonly<Record<GearKind, string>> = {
  'folded-towel': 'folded towels',
  'drying-towel': 'drying towels',
  mitt: 'mitts',
  sponge: 'sponges',
  sprayer: 'sprayer',
  foamer: 'foamer',
  bucket: 'buckets',
  lance: 'lance',
  blower: 'blower',
  steamer: 'steamer',
  'inline-filter': 'inline filter',
  resin: 'demineralising resin',
};
export const ROLE_NAMES: Readonly<Record<ProductRole, string>> = {
  shampoo: 'Shampoo',
  rinseless: 'Rinseless wash',
  waterless: 'Waterless spray',
  'alkaline-pre-wash': 'Alkaline pre-wash',
  'film-remover': 'Film remover',
  'salt-neutraliser': 'Salt neutraliser',
  'wheel-cleaner': 'Wheel cleaner',
  'wheel-acid': 'Acid wheel cleaner',
  'iron-remover': 'Iron remover',
  'bug-remover': 'Bug remover',
  'tar-remover': 'Tar remover',
  'mineral-acid': 'Mineral remover (acid)',
  'strip-shampoo': 'Strip shampoo',
  'panel-wipe': 'Panel wipe (solvent)',
  clay: 'Clay',
  polish: 'Polish',
  'spray-wax': 'Spray wax',
  sealant: 'Sealant',
  'spray-ceramic': 'Spray ceramic',
  'drying-aid': 'Drying aid',
  'underbody-foam': 'underbody foam',
};
export const COMPATIBILITY_REASONS: Readonly<Record<CompatibilityReason, string>> = {
  'too-alkaline': 'too alkaline for it',
  'too-acid': 'too acid for it',
  dissolves: 'its solvent takes it off',
  abrades: 'it abrades',
  'will-not-bond': 'it bonds to bare paint only',
  'delicate-metal': 'it stains or etches delicate metal',
  'acid-on-metal': 'acid on metal',
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
