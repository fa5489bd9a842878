import type { Brine } from '../brine/index.js';
import { bisect } from '../quantity/index.js';
import { FUSION_J_PER_KG, ICE_HEAT_J_PER_KG_K, WATER_HEAT_J_PER_KG_K } from './constants.js';

/** How the water on a panel stands at one enthalpy. */
export interface Phases {
  readonly tempC: number;
  readonly iceKgPerM2: number;
}

/**
 * Panel and water as one store of heat: temperature and ice follow from enthalpy, so that freezing and thawing need no
 * special case. Enthalpy is zero for panel and liquid water at 0 °C.
 */
export interface WaterStore {
  readonly panelJPerM2K: number;
  /** Pure water, whose phases follow in closed form. */
  readonly isPure: boolean;
  enthalpy(waterKgPerM2: number, tempC: number): number;
  phases(waterKgPerM2: number, enthalpyJPerM2: number): Phases;
  /** Where ice begins (or ends) for this much water in all. */
  freezingPointC(waterKgPerM2: number): number;
  /** Vapour pressure over the film as a share of that over pure water while there is no ice. */
  waterActivity(waterKgPerM2: number, tempC: number): number;
}

/** Pure water: closed form. */
export function pureWaterStore(panelJPerM2K: number): WaterStore {
  return {
    panelJPerM2K,
    isPure: true,
    freezingPointC: () => 0,
    waterActivity: () => 1,
    enthalpy: (water, tempC) =>
      tempC >= 0
        ? (panelJPerM2K + water * WATER_HEAT_J_PER_KG_K) * tempC
        : (panelJPerM2K + water * ICE_HEAT_J_PER_KG_K) * tempC - FUSION_J_PER_KG * water,
    phases(water, enthalpy) {
      if (enthalpy >= 0)
        return { tempC: enthalpy / (panelJPerM2K + water * WATER_HEAT_J_PER_KG_K), iceKgPerM2: 0 };
      const toFreezeAll = -FUSION_J_PER_KG * water;
      if (enthalpy >= toFreezeAll) return { tempC: 0, iceKgPerM2: -enthalpy / FUSION_J_PER_KG };
      return {
        tempC: (enthalpy - toFreezeAll) / (panelJPerM2K + water * ICE_HEAT_J_PER_KG_K),
        iceKgPerM2: water,
      };
    },
  };
}

/**
 * Brine: ice forms until what is left is strong enough to stay liquid; at the eutectic the rest turns solid.
 *
 * @param soluteKgPerM2 dissolved salt, which neither evaporates nor leaves
 */
export function brineStore(panelJPerM2K: number, brine: Brine, soluteKgPerM2: number): WaterStore {
  const strength = (water: number): number => (100 * soluteKgPerM2) / (soluteKgPerM2 + water);
  const iceAt = (water: number, tempC: number): number => {
    if (tempC < brine.eutecticC) return water;
    if (tempC >= 0) return 0;
    const besideIce = brine.massPercentBesideIce(tempC);
    if (besideIce <= 0) return Math.max(0, water);
    const liquid = soluteKgPerM2 * (100 / besideIce - 1);
    return Math.max(0, water - liquid);
  };
  const heat = (water: number, ice: number, tempC: number): number =>
    (panelJPerM2K + (water - ice) * WATER_HEAT_J_PER_KG_K + ice * ICE_HEAT_J_PER_KG_K) * tempC -
    FUSION_J_PER_KG * ice;
  return {
    panelJPerM2K,
    isPure: false,
    freezingPointC: (water) => brine.freezingPointC(strength(water)),
    waterActivity: (water, tempC) => brine.waterActivity(strength(water), tempC),
    enthalpy: (water, tempC) => heat(water, iceAt(water, tempC), tempC),
    phases(water, enthalpy) {
      const tempC = bisect((t) => enthalpy - heat(water, iceAt(water, t), t), { low: -120, high: 120 });
      const besideEutectic = Math.abs(tempC - brine.eutecticC) < 1e-6;
      if (!besideEutectic) return { tempC, iceKgPerM2: iceAt(water, tempC) };
      const slope = (ICE_HEAT_J_PER_KG_K - WATER_HEAT_J_PER_KG_K) * tempC - FUSION_J_PER_KG;
      return { tempC, iceKgPerM2: Math.min(water, Math.max(0, (enthalpy - heat(water, 0, tempC)) / slope)) };
    },
  };
}
