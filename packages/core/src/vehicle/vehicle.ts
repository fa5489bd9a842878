import type { BodyClass } from './data/panels.js';

export const PAINT_TONES = ['white', 'silver', 'mid', 'black'] as const;
export type PaintTone = (typeof PAINT_TONES)[number];

export const WATER_BEHAVIOURS = ['flat', 'sheeting', 'beading'] as const;
export type WaterBehaviour = (typeof WATER_BEHAVIOURS)[number];

export const PROTECTIONS = ['bare', 'wax', 'sealant', 'coating'] as const;
export type Protection = (typeof PROTECTIONS)[number];

export const BODY_MATERIALS = ['steel', 'aluminium'] as const;
export type BodyMaterial = (typeof BODY_MATERIALS)[number];

/** Kilometres a day by kind of road; the week is taken as even. */
export interface DailyDriving {
  readonly mainRoadKm: number;
  readonly townKm: number;
  readonly bridgeKm: number;
}

/** What the engine needs to know of a vehicle. */
export interface Vehicle {
  readonly id: string;
  readonly bodyClass: BodyClass;
  readonly paintTone: PaintTone;
  readonly bodyMaterial: BodyMaterial;
  readonly protection: Protection;
  readonly waterBehaviour: WaterBehaviour;
  readonly driving: DailyDriving;
  /** Where it stands at night; null: in the street. */
  readonly standsAtPlaceId: string | null;
  /** Wanted at least every so many days. */
  readonly cadenceDays: number;
}

/** Solar absorptance by paint tone (judgement). */
export const ABSORPTANCE_FRACTION: Readonly<Record<PaintTone, number>> = {
  white: 0.25,
  silver: 0.45,
  mid: 0.7,
  black: 0.93,
};

/** Residue from which spots show, mg/m² (judgement: 10–15 on dark paint, 30 on light). */
export const SPOTS_SHOW_MG_PER_M2: Readonly<Record<PaintTone, number>> = {
  white: 30,
  silver: 25,
  mid: 15,
  black: 12,
};

/** Water that stays on a rinsed panel, g/m² (judgement). */
const FLOOD_FILM: Readonly<Record<WaterBehaviour, { upright: number; level: number }>> = {
  flat: { upright: 90, level: 150 },
  sheeting: { upright: 60, level: 100 },
  beading: { upright: 35, level: 60 },
};

/** Film after a flood rinse, g/m²: by behaviour, straight between level and upright. */
export function floodFilmGramsPerM2(behaviour: WaterBehaviour, tiltDeg: number): number {
  const { upright, level } = FLOOD_FILM[behaviour];
  const share = Math.min(1, Math.max(0, tiltDeg / 90));
  return level + (upright - level) * share;
}
