/**
 * What the words of aviation weather text are taken to mean in figures.
 * Cloud: WMO Manual on Codes (No. 306, FM 15): FEW 1–2, SCT 3–4, BKN 5–7, OVC 8 eighths; the middle of each is taken (derived).
 * Amounts: the text gives light, moderate or heavy only. For snow the middle of the classes used by observers for liquid equivalent,
 * for rain likewise (WMO No. 8: light < 2.5, moderate 2.5–10 mm/h); judgement, since the classes are wide.
 */
export const CLOUD_COVER_FRACTION = {
  SKC: 0,
  CLR: 0,
  NSC: 0.1,
  NCD: 0.1,
  CAVOK: 0.1,
  FEW: 1.5 / 8,
  SCT: 3.5 / 8,
  BKN: 6 / 8,
  OVC: 1,
  VV: 1,
} as const satisfies Readonly<Record<string, number>>;

export type FallIntensity = 'light' | 'moderate' | 'heavy';

export const FALL_MM_PER_HOUR = {
  rain: { light: 0.8, moderate: 4, heavy: 12 },
  sleet: { light: 0.5, moderate: 2, heavy: 5 },
  snow: { light: 0.4, moderate: 1.5, heavy: 4 },
} as const satisfies Readonly<Record<'rain' | 'sleet' | 'snow', Readonly<Record<FallIntensity, number>>>>;
