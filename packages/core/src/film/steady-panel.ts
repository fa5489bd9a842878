import { saturationOverIcePa, saturationOverWaterPa } from '../air/index.js';
import { brineOf, type SaltAgent } from '../brine/index.js';
import { bisect } from '../quantity/index.js';
import {
  FUSION_J_PER_KG,
  ICE_HEAT_J_PER_KG_K,
  vaporisationJPerKg,
  WATER_HEAT_J_PER_KG_K,
} from './constants.js';
import { PanelClimate, type PanelSurroundings } from './panel-climate.js';

export interface SteadyTemps {
  /** Where a dry panel settles. */
  readonly dryPanelTempC: number;
  /** Where a panel settles under a film that lasts; at the freezing point while ice and water keep the balance. */
  readonly wetPanelTempC: number;
}

interface WetSurroundings extends PanelSurroundings {
  readonly brine?: { readonly agent: SaltAgent; readonly massPercent: number };
}

const BRACKET = { low: -120, high: 150 };

/** Where a dry panel settles: sun-baked, or cooled by the sky; °C. */
export const dryPanelC = (climate: PanelClimate): number =>
  bisect((tempC) => climate.dryHeatWm2(tempC), BRACKET);

/**
 * Where does this panel's temperature settle, dry and wet?
 *
 * @param around surroundings of the panel, and the strength of the film if it is a brine
 * @returns °C both
 */
export function steadyTemps(around: WetSurroundings): SteadyTemps {
  const climate = new PanelClimate(around);
  const brine = around.brine ? brineOf(around.brine.agent) : null;
  const massPercent = around.brine?.massPercent ?? 0;
  const activity = (tempC: number): number => (brine ? brine.waterActivity(massPercent, tempC) : 1);
  const freezingC = brine ? brine.freezingPointC(massPercent) : 0;
  const overLiquid = (tempC: number): number =>
    climate.dryHeatWm2(tempC) -
    climate.evaporation(activity(tempC) * saturationOverWaterPa(tempC), tempC) * vaporisationJPerKg(tempC);
  const overIce = (tempC: number): number =>
    climate.dryHeatWm2(tempC) -
    climate.evaporation(saturationOverIcePa(tempC), tempC) *
      (vaporisationJPerKg(tempC) + FUSION_J_PER_KG + (WATER_HEAT_J_PER_KG_K - ICE_HEAT_J_PER_KG_K) * tempC);
  const liquidC = bisect(overLiquid, BRACKET);
  const wetPanelTempC = liquidC >= freezingC ? liquidC : Math.min(freezingC, bisect(overIce, BRACKET));
  return { dryPanelTempC: dryPanelC(climate), wetPanelTempC };
}
