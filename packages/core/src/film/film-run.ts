import { ZERO_C_IN_K } from '../quantity/index.js';
import { saturationOverIcePa, saturationOverWaterPa } from '../air/index.js';
import {
  FUSION_J_PER_KG,
  ICE_HEAT_J_PER_KG_K,
  vaporisationJPerKg,
  WATER_HEAT_J_PER_KG_K,
} from './constants.js';
import { freshRates, meanDecay, type Phase, type Rates } from './film-rates.js';
import type { PanelClimate } from './panel-climate.js';
import {
  FREEZING_LOOK_SECONDS,
  HOT_C,
  HOT_STEP_K,
  LEAST_DRYING_STEP_SECONDS,
  LEAST_PHASE_STEP_SECONDS,
  LONGEST_FROZEN_STEP_SECONDS,
  LONGEST_STEP_SECONDS,
  MOST_FREEZING_LOOKS,
  STEP_K,
  STEP_PLAIN_FRACTION,
  STEP_WATER_FRACTION,
} from './step-limits.js';
import type { WaterStore } from './water-store.js';

/** Less water than this is none, kg/m². */
export const TINY_KG = 1e-12;

/**
 * A film of water living on a panel, step by step. Each step solves the balance linearised at its start exactly
 * (exponential Rosenbrock–Euler, second order, stable at any step), stops at the instant of a phase change or of
 * drying, and books heat and water so that nothing is lost.
 */
export class FilmRun {
  seconds = 0;
  waterKg = 0;
  iceKg = 0;
  tempC = 0;
  enthalpyJ = 0;
  evaporatedKg = 0;
  /** Heat that has come in, vapour's heat taken off, J/m². */
  heatInJ = 0;
  firstIceSeconds: number | null = null;
  drySeconds: number | null = null;
  lowestTempC = 0;
  highestTempC = 0;
  private readonly stepScale: number;
  private readonly rates = freshRates();

  /**
   * @param store panel and water
   * @param climate what surrounds them
   * @param start water in kg/m², and the heat of panel and water, J/m²; `stepScale` 0.1 makes every step ten times finer
   */
  constructor(
    private readonly store: WaterStore,
    private climate: PanelClimate,
    start: { readonly waterKg: number; readonly enthalpyJ: number; readonly stepScale?: number },
  ) {
    this.stepScale = start.stepScale ?? 1;
    this.begin(climate, start.waterKg, start.enthalpyJ);
  }

  /** Starts over on the same panel, for a million objects would cost more than their sums: water in kg/m², heat in J/m². */
  begin(climate: PanelClimate, waterKg: number, enthalpyJ: number): void {
    this.climate = climate;
    this.seconds = 0;
    this.evaporatedKg = 0;
    this.heatInJ = 0;
    this.waterKg = waterKg;
    this.enthalpyJ = enthalpyJ;
    this.settle();
    this.lowestTempC = this.tempC;
    this.highestTempC = this.tempC;
    this.firstIceSeconds = this.iceKg > TINY_KG ? 0 : null;
    this.drySeconds = waterKg <= TINY_KG ? 0 : null;
  }

  /** One step of at most `limitSeconds`; sets first ice and dryness when it meets them. */
  step(limitSeconds: number): void {
    const rates = this.measure();
    if (rates.phase !== 'liquid') this.firstIceSeconds ??= this.seconds;
    const tau = rates.capacity / rates.conductanceWm2K;
    let seconds = Math.min(limitSeconds, this.comfortableStep(rates, tau));
    const change = this.secondsToPhaseChange(rates, tau);
    const changesPhase = change < seconds;
    if (changesPhase) {
      seconds = Math.min(limitSeconds, change);
      if (rates.phase !== 'liquid')
        seconds = Math.min(limitSeconds, Math.max(change, LEAST_PHASE_STEP_SECONDS * this.stepScale));
    }
    let leaving = this.meanEvaporation(rates, seconds / tau) * seconds;
    let dries = false;
    if (leaving >= this.waterKg - TINY_KG) {
      dries = true;
      seconds *= this.waterKg / leaving;
      leaving = this.waterKg;
    }
    this.book(
      seconds,
      rates.heatWm2 * meanDecay(seconds / tau) * seconds - leaving * rates.leavingJPerKg,
      leaving,
    );
    if (dries) {
      this.waterKg = 0;
      this.iceKg = 0;
      this.drySeconds = this.seconds;
    } else if (changesPhase && rates.phase === 'liquid') {
      this.firstIceSeconds ??= this.seconds;
    }
  }

  private meanEvaporation(rates: Rates, x: number): number {
    const meanRiseK = (rates.heatWm2 / rates.conductanceWm2K) * (1 - meanDecay(x));
    return rates.evaporation + rates.evaporationPerK * meanRiseK;
  }

  private book(seconds: number, gainedJ: number, leavingKg: number): void {
    this.seconds += seconds;
    this.evaporatedKg += leavingKg;
    this.heatInJ += gainedJ;
    this.waterKg -= leavingKg;
    this.enthalpyJ += gainedJ;
    this.settle();
    if (this.tempC < this.lowestTempC) this.lowestTempC = this.tempC;
    if (this.tempC > this.highestTempC) this.highestTempC = this.tempC;
  }

  /** Temperature and ice from the heat that is there; of pure water without a detour, for it is asked a million times. */
  private settle(): void {
    const { store, waterKg, enthalpyJ } = this;
    if (!store.isPure) {
      const { tempC, iceKgPerM2 } = store.phases(waterKg, enthalpyJ);
      this.tempC = tempC;
      this.iceKg = iceKgPerM2;
    } else if (enthalpyJ >= 0) {
      this.tempC = enthalpyJ / (store.panelJPerM2K + waterKg * WATER_HEAT_J_PER_KG_K);
      this.iceKg = 0;
    } else if (enthalpyJ >= -FUSION_J_PER_KG * waterKg) {
      this.tempC = 0;
      this.iceKg = -enthalpyJ / FUSION_J_PER_KG;
    } else {
      this.tempC =
        (enthalpyJ + FUSION_J_PER_KG * waterKg) / (store.panelJPerM2K + waterKg * ICE_HEAT_J_PER_KG_K);
      this.iceKg = waterKg;
    }
  }

  /** Fills the rates for the present state. */
  private measure(): Rates {
    const { store, climate, tempC, rates } = this;
    const atFreezing = tempC <= (store.isPure ? 0 : store.freezingPointC(this.waterKg)) + 1e-9;
    const hasIce = this.iceKg > TINY_KG;
    const overIce = hasIce && tempC <= 0;
    const activity = overIce || store.isPure ? 1 : store.waterActivity(this.waterKg, tempC);
    const surfacePa = overIce ? saturationOverIcePa(tempC) : activity * saturationOverWaterPa(tempC);
    rates.evaporation = climate.evaporation(surfacePa, tempC);
    const logSlope = overIce
      ? (22.46 * 272.62) / (272.62 + tempC) ** 2
      : (17.62 * 243.12) / (243.12 + tempC) ** 2;
    rates.evaporationPerK =
      (rates.evaporation + climate.massTransferMetresPerSecond * climate.vapourKgPerM3) *
      (logSlope - 1 / (tempC + ZERO_C_IN_K));
    rates.phase = this.phaseNow(hasIce, atFreezing);
    this.weigh(rates);
    return rates;
  }

  private phaseNow(hasIce: boolean, atFreezing: boolean): Phase {
    if (!hasIce) {
      if (!atFreezing) return 'liquid';
      return this.balance(0) < 0 ? 'slush' : 'liquid';
    }
    if (this.waterKg - this.iceKg > TINY_KG) return 'slush';
    return this.tempC >= -1e-9 && this.balance(0) > 0 ? 'slush' : 'frozen';
  }

  /** Heat into the film at the present temperature when what leaves takes this much fusion heat with it, W/m². */
  private balance(fusionJPerKg: number): number {
    return (
      this.climate.dryHeatWm2(this.tempC) -
      this.rates.evaporation * (vaporisationJPerKg(this.tempC) + fusionJPerKg)
    );
  }

  /** Heat flux, conductance, capacity and the heat of what leaves, by phase. */
  private weigh(rates: Rates): void {
    const { store, tempC, waterKg } = this;
    const frozen = rates.phase === 'frozen';
    const fusionHere = FUSION_J_PER_KG + (WATER_HEAT_J_PER_KG_K - ICE_HEAT_J_PER_KG_K) * tempC;
    rates.heatWm2 = this.balance(frozen ? fusionHere : 0);
    rates.conductanceWm2K =
      this.climate.dryConductanceWm2K(tempC) +
      rates.evaporationPerK * (vaporisationJPerKg(tempC) + (frozen ? fusionHere : 0));
    rates.leavingJPerKg = frozen
      ? ICE_HEAT_J_PER_KG_K * tempC - FUSION_J_PER_KG
      : WATER_HEAT_J_PER_KG_K * tempC;
    if (rates.phase === 'slush') {
      const delta = 1e-3;
      rates.capacity =
        (store.enthalpy(waterKg, tempC + delta) - store.enthalpy(waterKg, tempC - delta)) / (2 * delta);
    } else {
      rates.capacity = store.panelJPerM2K + waterKg * (frozen ? ICE_HEAT_J_PER_KG_K : WATER_HEAT_J_PER_KG_K);
    }
  }

  private comfortableStep(rates: Rates, tau: number): number {
    const longest =
      (rates.phase === 'frozen' ? LONGEST_FROZEN_STEP_SECONDS : LONGEST_STEP_SECONDS) * this.stepScale;
    const settlesByK = Math.abs(rates.heatWm2 / rates.conductanceWm2K);
    const stepK = (this.tempC > HOT_C ? HOT_STEP_K : STEP_K) * this.stepScale;
    const byHeat = settlesByK <= stepK ? longest : -tau * Math.log1p(-stepK / settlesByK);
    return Math.min(longest, byHeat, this.stepByWater(rates, longest));
  }

  /** How long until so much water has come or gone that the balance is another. */
  private stepByWater({ evaporation }: Rates, longest: number): number {
    if (evaporation === 0) return longest;
    const isBrine = !this.store.isPure;
    const share = isBrine ? STEP_WATER_FRACTION : STEP_PLAIN_FRACTION;
    const least = isBrine ? 1 : LEAST_DRYING_STEP_SECONDS * this.stepScale;
    return Math.max(least, (share * this.stepScale * this.waterKg) / Math.abs(evaporation));
  }

  private secondsToPhaseChange(rates: Rates, tau: number): number {
    switch (rates.phase) {
      case 'slush':
        return this.secondsToEndOfSlush(rates);
      case 'frozen': {
        const settlesBy = rates.heatWm2 / rates.conductanceWm2K;
        const towards = -this.tempC;
        return settlesBy > towards && towards >= 0 ? -tau * Math.log1p(-towards / settlesBy) : Infinity;
      }
      case 'liquid':
        return this.secondsToFreezing(rates, tau);
    }
  }

  /** A brine's freezing point runs away from the falling temperature as it dries, so it is looked for where both meet. */
  private secondsToFreezing(rates: Rates, tau: number): number {
    const { store } = this;
    const settlesBy = rates.heatWm2 / rates.conductanceWm2K;
    const isBrine = !store.isPure;
    let waterKg = this.waterKg;
    let seconds = Infinity;
    for (let look = 0; look < MOST_FREEZING_LOOKS; look += 1) {
      const towards = store.freezingPointC(waterKg) - this.tempC;
      if (!(settlesBy < towards && towards <= 0)) return Infinity;
      const before = seconds;
      seconds = -tau * Math.log1p(-towards / settlesBy);
      if (!isBrine || Math.abs(seconds - before) < FREEZING_LOOK_SECONDS * this.stepScale) break;
      waterKg = this.waterKg - this.meanEvaporation(rates, seconds / tau) * seconds;
      if (waterKg <= TINY_KG) return Infinity;
    }
    return seconds;
  }

  /** Slush of pure water freezes or melts at a steady rate; brine slush drifts and is left to the enthalpy. */
  private secondsToEndOfSlush(rates: Rates): number {
    if (!this.store.isPure) return Infinity;
    const icePerSecond = -(rates.heatWm2 - rates.evaporation * rates.leavingJPerKg) / FUSION_J_PER_KG;
    const liquidPerSecond = -rates.evaporation - icePerSecond;
    const melted = icePerSecond < 0 ? this.iceKg / -icePerSecond : Infinity;
    const frozen = liquidPerSecond < 0 ? (this.waterKg - this.iceKg) / -liquidPerSecond : Infinity;
    return Math.min(melted, frozen);
  }
}
