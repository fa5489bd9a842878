import type {
  BodyClass,
  CadenceTarget,
  CarZone,
  ClogCleaner,
  CompatibilityReason,
  FreezeCareId,
  Leftover,
  PaintTone,
  PanelId,
  Protection,
  ProtectionStanding,
  SeasonId,
  SeasonJobId,
  SoilKind,
  SpotsFound,
  WaterBehaviour,
  ZoneGroup,
} from '@keen/core';

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
export const SEASON_JOB_NAMES: Readonly<Record<SeasonJobId, string>> = {
  underbody: 'underbody',
  'anti-corrosion': 'anti-corrosion foam',
  'top-up': 'top-up of protection',
  decontaminate: 'decontamination',
  polish: 'polish',
  're-coat': 'new coat',
  'engine-bay': 'engine bay',
};
export const TARGET_NAMES = {
  days: 'Days',
  'salt-days': 'Days with salt on it',
  'active-hours': 'Hours of salt at work',
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
export const COMPATIBILITY_REASONS: Readonly<Record<CompatibilityReason, string>> = {
  'too-alkaline': 'too alkaline for it',
  'too-acid': 'too acid for it',
  dissolves: 'its solvent takes it off',
  abrades: 'it abrades',
  'will-not-bond': 'it bonds to bare paint only',
  'delicate-metal': 'it stains or etches delicate metal',
  'acid-on-metal': 'acid on metal',
};
