import {
  FUSION_J_PER_KG,
  type PanelClimate,
  type PanelMaterial,
  TINY_KG,
  type WaterStore,
} from '../film/index.js';
import { SECONDS_PER_MINUTE } from '../quantity/index.js';
import { filmRunOn, storeOf } from './panel-store.js';
import type { ClimateFrom, PanelDeed, PanelSpan } from './panel-deed.js';

/** A dry panel is followed in steps of so many kelvins at most: radiation alone bends the balance. */
const DRY_STEP_K = 2;
const LONGEST_DRY_STEP_SECONDS = 1200;

/**
 * One panel through a whole wash: dry at first, then wetted, blown and wiped at its minutes, under a climate that may change.
 *
 * Wetting: panel, what lies there with its ice, and what passes come to one enthalpy; then the film stays with its share of ice. Blowing
 * and wiping take liquid water only. A dry panel goes by the same balance without water and gathers no dew.
 * Source: film balance of `FilmRun`; mixing is conservation of heat and water.
 */
export class PanelWash {
  minute = 0;
  waterKg = 0;
  tempC: number;
  iceKg = 0;
  firstIceMinute: number | null = null;
  dryMinute: number | null = null;
  lowestTempC: number;
  highestTempC: number;
  enthalpyJ: number;
  readonly stepScale: number;
  private readonly store: WaterStore;

  /**
   * @param climates in order; the first holds from the start
   * @param start the panel before the first deed, °C; `stepScale` 0.1 makes every step ten times finer
   */
  constructor(
    private readonly material: PanelMaterial,
    private readonly climates: readonly [ClimateFrom, ...ClimateFrom[]],
    { startC, stepScale = 1 }: { readonly startC: number; readonly stepScale?: number },
  ) {
    this.stepScale = stepScale;
    this.store = storeOf(material);
    this.tempC = startC;
    this.enthalpyJ = this.store.enthalpy(0, startC);
    this.lowestTempC = startC;
    this.highestTempC = startC;
  }

  /** Stands as another of the same panel does, to see what would become of it otherwise. */
  standAs(other: PanelWash): void {
    this.minute = other.minute;
    this.waterKg = other.waterKg;
    this.iceKg = other.iceKg;
    this.tempC = other.tempC;
    this.enthalpyJ = other.enthalpyJ;
    this.firstIceMinute = other.firstIceMinute;
    this.dryMinute = other.dryMinute;
    this.lowestTempC = other.lowestTempC;
    this.highestTempC = other.highestTempC;
  }

  private climateNow(): { climate: PanelClimate; untilMinute: number } {
    let at = 0;
    while ((this.climates[at + 1]?.fromMinute ?? Infinity) <= this.minute) at += 1;
    const { climate } = this.climates[at] ?? this.climates[0];
    return { climate, untilMinute: this.climates[at + 1]?.fromMinute ?? Infinity };
  }

  /** Lets time pass. With `untilIce` or `untilEdge` it stops where ice first forms, or where it does or the panel is dry. */
  advance(toMinute: number, until: 'end' | 'ice' | 'edge' = 'end'): void {
    while (this.minute < toMinute - 1e-9) {
      if (until !== 'end' && this.firstIceMinute !== null) return;
      if (until === 'edge' && this.dryMinute !== null) return;
      const { climate, untilMinute } = this.climateNow();
      const endMinute = Math.min(toMinute, untilMinute);
      if (this.waterKg > TINY_KG) this.runWet(climate, endMinute, until);
      else this.runDry(climate, endMinute);
    }
  }

  private runWet(climate: PanelClimate, endMinute: number, until: 'end' | 'ice' | 'edge'): void {
    const run = filmRunOn(this.material, climate, this);
    const limit = (endMinute - this.minute) * SECONDS_PER_MINUTE;
    while (run.drySeconds === null && run.seconds < limit - 1e-7) {
      if (until !== 'end' && run.firstIceSeconds !== null) break;
      run.step(limit - run.seconds);
    }
    const from = this.minute;
    if (run.firstIceSeconds !== null) this.firstIceMinute ??= from + run.firstIceSeconds / SECONDS_PER_MINUTE;
    if (run.drySeconds !== null) this.dryMinute ??= from + run.drySeconds / SECONDS_PER_MINUTE;
    this.minute = run.seconds >= limit - 1e-7 ? endMinute : from + run.seconds / SECONDS_PER_MINUTE;
    this.waterKg = run.waterKg;
    this.iceKg = run.iceKg;
    this.tempC = run.tempC;
    this.enthalpyJ = run.drySeconds === null ? run.enthalpyJ : this.store.enthalpy(0, run.tempC);
    this.feel(run.lowestTempC, run.highestTempC);
  }

  private feel(lowC: number, highC: number): void {
    if (lowC < this.lowestTempC) this.lowestTempC = lowC;
    if (highC > this.highestTempC) this.highestTempC = highC;
  }

  private runDry(climate: PanelClimate, endMinute: number): void {
    let left = (endMinute - this.minute) * SECONDS_PER_MINUTE;
    const capacity = this.store.panelJPerM2K;
    while (left > 1e-7) {
      const conductance = climate.dryConductanceWm2K(this.tempC);
      const settlesByK = climate.dryHeatWm2(this.tempC) / conductance;
      const tau = capacity / conductance;
      const stepK = DRY_STEP_K * this.stepScale;
      const byHeat =
        Math.abs(settlesByK) <= stepK ? Infinity : -tau * Math.log1p(-stepK / Math.abs(settlesByK));
      const seconds = Math.min(left, LONGEST_DRY_STEP_SECONDS * this.stepScale, byHeat);
      this.tempC -= settlesByK * Math.expm1(-seconds / tau);
      this.feel(this.tempC, this.tempC);
      left -= seconds;
    }
    this.minute = endMinute;
    this.enthalpyJ = this.store.enthalpy(0, this.tempC);
  }

  get hasIce(): boolean {
    return this.iceKg > TINY_KG;
  }

  /** Does it now, and begins a new span. */
  do(deed: PanelDeed): void {
    switch (deed.kind) {
      case 'wet':
        this.wet(deed.filmKg, deed.passesKg, deed.waterTempC);
        break;
      case 'blow':
        this.leaveLiquid((this.waterKg - this.iceKg) * deed.leavesFraction);
        break;
      case 'wipe':
        this.leaveLiquid(Math.min(this.waterKg - this.iceKg, deed.leavesKg));
        break;
    }
    this.firstIceMinute = this.iceKg > TINY_KG ? this.minute : null;
    this.dryMinute = this.waterKg <= TINY_KG ? this.minute : null;
    this.lowestTempC = this.tempC;
    this.highestTempC = this.tempC;
  }

  private wet(filmKg: number, passesKg: number, waterTempC: number): void {
    const inAllKg = this.waterKg + passesKg;
    // What comes carries its heat without the panel's.
    const comesJ = this.store.enthalpy(passesKg, waterTempC) - this.store.enthalpy(0, waterTempC);
    const { tempC, iceKgPerM2 } = this.store.phases(inAllKg, this.enthalpyJ + comesJ);
    this.waterKg = Math.min(filmKg, inAllKg);
    this.iceKg = inAllKg > TINY_KG ? (iceKgPerM2 * this.waterKg) / inAllKg : 0;
    this.settleAt(tempC);
  }

  private leaveLiquid(liquidKg: number): void {
    this.waterKg = this.iceKg + liquidKg;
    if (this.waterKg <= TINY_KG) {
      this.waterKg = 0;
      this.iceKg = 0;
    }
    this.settleAt(this.tempC);
  }

  /** Heat of panel, water and ice as they stand at one temperature. */
  private settleAt(tempC: number): void {
    this.tempC = tempC;
    // Pure water holds ice and liquid side by side at 0 °C only.
    this.enthalpyJ = tempC === 0 ? -FUSION_J_PER_KG * this.iceKg : this.store.enthalpy(this.waterKg, tempC);
  }

  /** The span since the last deed, as it stands now. */
  span(atMinute: number, startTempC: number): PanelSpan {
    return {
      atMinute,
      startTempC,
      firstIceMinute: this.firstIceMinute,
      dryMinute: this.dryMinute,
      lowestTempC: this.lowestTempC,
      endTempC: this.tempC,
      endWaterGramsPerM2: this.waterKg * 1000,
      endIceGramsPerM2: this.iceKg * 1000,
    };
  }
}
