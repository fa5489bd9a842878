import { VAPOUR_GAS_CONSTANT, ZERO_C_IN_K } from '../quantity/index.js';
import { saturationOverWaterPa, vapourDensityKgPerM3 } from '../air/index.js';
import { skyViewFraction } from '../sun/index.js';
import {
  AIR_HEAT_J_PER_KG_K,
  DRY_AIR_GAS_CONSTANT,
  LEWIS_TWO_THIRDS,
  PANEL_EMISSIVITY,
  SEA_LEVEL_PA,
  STEFAN_BOLTZMANN,
  vaporisationJPerKg,
} from './constants.js';

/** What surrounds one panel. */
export interface PanelSurroundings {
  readonly tiltDeg: number;
  readonly absorptanceFraction: number;
  readonly solarWm2: number;
  readonly airTempC: number;
  readonly relHumidityFraction: number;
  readonly airSpeedMetresPerSecond: number;
  readonly skyTempC: number;
  readonly backWm2K?: number;
  /** What the back of the panel leans on; the air's temperature if absent. */
  readonly backTempC?: number;
}

/**
 * The surroundings turned into the coefficients of the heat and vapour balance, once for a run.
 * Convection: Watmuff, Charters & Proctor 1977, 2.8 + 3.0 v. Vapour: Chilton–Colburn analogy.
 */
export class PanelClimate {
  readonly airTempC: number;
  readonly vapourKgPerM3: number;
  readonly massTransferMetresPerSecond: number;
  private readonly convectionWm2K: number;
  private readonly gainsWm2: number;
  private readonly backWm2K: number;
  private readonly backTempC: number;

  constructor(around: PanelSurroundings) {
    const airK = around.airTempC + ZERO_C_IN_K;
    const skyView = skyViewFraction(around.tiltDeg);
    const longWaveWm2 =
      STEFAN_BOLTZMANN * (skyView * (around.skyTempC + ZERO_C_IN_K) ** 4 + (1 - skyView) * airK ** 4);
    const airKgPerM3 = SEA_LEVEL_PA / (DRY_AIR_GAS_CONSTANT * airK);
    this.airTempC = around.airTempC;
    this.convectionWm2K = 2.8 + 3.0 * around.airSpeedMetresPerSecond;
    this.massTransferMetresPerSecond =
      this.convectionWm2K / (airKgPerM3 * AIR_HEAT_J_PER_KG_K * LEWIS_TWO_THIRDS);
    this.vapourKgPerM3 = vapourDensityKgPerM3(
      around.relHumidityFraction * saturationOverWaterPa(around.airTempC),
      around.airTempC,
    );
    this.gainsWm2 = around.absorptanceFraction * around.solarWm2 + PANEL_EMISSIVITY * longWaveWm2;
    this.backWm2K = around.backWm2K ?? 0;
    this.backTempC = around.backTempC ?? around.airTempC;
  }

  /** Heat into a panel at this temperature without evaporation, W/m². */
  dryHeatWm2(tempC: number): number {
    const squared = (tempC + ZERO_C_IN_K) * (tempC + ZERO_C_IN_K);
    return (
      this.gainsWm2 -
      PANEL_EMISSIVITY * STEFAN_BOLTZMANN * squared * squared -
      this.convectionWm2K * (tempC - this.airTempC) +
      this.backWm2K * (this.backTempC - tempC)
    );
  }

  /** Heat into a panel under plain liquid water at this temperature, W/m². */
  wetHeatWm2(tempC: number): number {
    return (
      this.dryHeatWm2(tempC) -
      this.evaporation(saturationOverWaterPa(tempC), tempC) * vaporisationJPerKg(tempC)
    );
  }

  /** How fast that heat falls with temperature, W m⁻² K⁻¹. */
  dryConductanceWm2K(tempC: number): number {
    const kelvin = tempC + ZERO_C_IN_K;
    return (
      4 * PANEL_EMISSIVITY * STEFAN_BOLTZMANN * kelvin * kelvin * kelvin + this.convectionWm2K + this.backWm2K
    );
  }

  /** Water leaving a surface with this vapour pressure, kg m⁻² s⁻¹; negative where it condenses. */
  evaporation(surfacePa: number, tempC: number): number {
    const surfaceKgPerM3 = surfacePa / (VAPOUR_GAS_CONSTANT * (tempC + ZERO_C_IN_K));
    return this.massTransferMetresPerSecond * (surfaceKgPerM3 - this.vapourKgPerM3);
  }
}
