import { type BodyClass, type PanelId, ZONE_OF_PANEL } from './data/panels.js';
import type { SeasonJobId } from './data/season-job-ids.js';
import type { CarZone } from './data/zones.js';

export const PAINT_TONES = ['white', 'silver', 'mid', 'black'] as const;
export type PaintTone = (typeof PAINT_TONES)[number];

export const WATER_BEHAVIOURS = ['flat', 'sheeting', 'beading'] as const;
export type WaterBehaviour = (typeof WATER_BEHAVIOURS)[number];

export const PROTECTIONS = ['bare', 'wax', 'sealant', 'spray-ceramic', 'coating', 'film'] as const;
export type Protection = (typeof PROTECTIONS)[number];

export const BODY_MATERIALS = ['steel', 'aluminium'] as const;
export type BodyMaterial = (typeof BODY_MATERIALS)[number];

/** Kilometres by kind of road on a usual day. */
export interface DailyDriving {
  readonly mainRoadKm: number;
  readonly townKm: number;
  readonly bridgeKm: number;
}

/** How many usual days' driving each weekday brings, Monday first: 0 stays at home, 2 twice the way. */
export type WeekShares = readonly number[];
export const EVEN_WEEK: WeekShares = [1, 1, 1, 1, 1, 1, 1];

/** What lies on one zone to protect it, and what water did there when somebody last looked. */
export interface ZoneProtection {
  readonly zone: CarZone;
  readonly kind: Protection;
  /** What it is called on its bottle; null or absent: not known. */
  readonly productName?: string | null;
  /** null: nobody remembers. */
  readonly appliedMs: number | null;
  /** The maker's claim; null where there is none. */
  readonly claimedLifeDays: number | null;
  readonly observed: { readonly behaviour: WaterBehaviour; readonly atMs: number } | null;
  /** When somebody last told what lies there; absent: before it was noted. A wash since then may have taken it off or renewed it. */
  readonly notedMs?: number | null;
}

export const TARGET_KINDS = ['days', 'salt-days', 'active-hours'] as const;
/** By what a car's washes are wanted: days, days with salt on it, or active hours of the salt clock. */
export type CadenceTarget =
  | { readonly kind: 'days' }
  | { readonly kind: 'salt-days' | 'active-hours'; readonly most: number };

/** What the engine needs to know of a vehicle. */
export interface Vehicle {
  readonly id: string;
  readonly bodyClass: BodyClass;
  readonly paintTone: PaintTone;
  readonly bodyMaterial: BodyMaterial;
  /** Where `protections` says nothing of a zone. */
  readonly protection: Protection;
  /** Where nobody has looked at a zone. */
  readonly waterBehaviour: WaterBehaviour;
  /** Zones that differ, or whose dates are known. */
  readonly protections: readonly ZoneProtection[];
  /** Polished, gloss-black or bare metal wheels: no strong chemistry on them, and grit is rinsed off first. */
  readonly delicateWheels: boolean;
  /** Driven from a battery that is charged through a flap. */
  readonly hasChargePort: boolean;
  readonly driving: DailyDriving;
  readonly weekShares: WeekShares;
  /** Where it stands at night; null: in the street. */
  readonly standsAtPlaceId: string | null;
  /** Wanted at least every so many days, where its target is days. */
  readonly cadenceDays: number;
  readonly target: CadenceTarget;
  /** Work of the season that is wanted for it. */
  readonly seasonJobs: readonly SeasonJobId[];
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

/** On glass, mg/m²: seen against the light, sooner than on pale paint (judgement). */
export const SPOTS_SHOW_ON_GLASS_MG_PER_M2 = 14;

/** What water does on a panel: as observed on its zone, else as on the car. */
export function behaviourOn(
  vehicle: Pick<Vehicle, 'waterBehaviour' | 'protections'>,
  panel: PanelId,
): WaterBehaviour {
  const zone = ZONE_OF_PANEL[panel];
  const row = vehicle.protections.find((entry) => entry.zone === zone);
  // Bare paint that nobody has looked at since holds water flat, whatever the rest of the car does.
  return row?.observed?.behaviour ?? (row?.kind === 'bare' ? 'flat' : vehicle.waterBehaviour);
}

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
