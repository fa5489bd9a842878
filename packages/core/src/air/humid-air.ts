/// <reference path="./psychrolib.d.ts" />
import psychrolib from 'psychrolib';
import { bisect, requireInRange } from '../quantity/index.js';
import { dewPointOverWaterC, frostPointC, saturationOverIcePa, saturationOverWaterPa } from './saturation.js';

psychrolib.SetUnitSystem(psychrolib.SI);

export interface HumidAirInput {
  readonly airTempC: number;
  readonly relHumidityFraction: number;
  readonly pressureHpa?: number;
}

export interface HumidAir {
  readonly dewPointC: number;
  readonly frostPointC: number | null;
  readonly wetBulbC: number;
  readonly iceBulbC: number | null;
  readonly vapourPressurePa: number;
}

interface BulbState {
  readonly airTempC: number;
  readonly humidityRatio: number;
  readonly pressurePa: number;
}

/** Humidity ratio of saturated air, kg/kg. */
const saturatedRatio = (saturationPa: number, pressurePa: number): number =>
  (0.621945 * saturationPa) / (pressurePa - saturationPa);

/** Adiabatic saturation over a liquid film (ASHRAE Fundamentals 2017 ch. 1 eq. 33), also below 0 °C. */
function liquidBulbC({ airTempC, humidityRatio, pressurePa }: BulbState): number {
  return bisect(
    (bulbC) =>
      humidityRatio * (2501 + 1.86 * airTempC - 4.186 * bulbC) -
      (2501 - 2.326 * bulbC) * saturatedRatio(saturationOverWaterPa(bulbC), pressurePa) +
      1.006 * (airTempC - bulbC),
    { low: airTempC - 60, high: airTempC + 1 },
  );
}

/** The same over ice (eq. 35); air that is damp beyond ice saturation has its ice bulb above the air. */
function iceBulb({ airTempC, humidityRatio, pressurePa }: BulbState): number | null {
  const bulbC = bisect(
    (tempC) =>
      humidityRatio * (2830 + 1.86 * airTempC - 2.1 * tempC) -
      (2830 - 0.24 * tempC) * saturatedRatio(saturationOverIcePa(tempC), pressurePa) +
      1.006 * (airTempC - tempC),
    { low: airTempC - 60, high: airTempC + 10 },
  );
  return bulbC < 0 ? bulbC : null;
}

/**
 * How damp is this air, and how cold can a wet thing get in it?
 *
 * @param input airTempC −60…60, relHumidityFraction 0…1 over liquid water at every temperature, pressureHpa 500…1100
 * @returns dew point and wet bulb of a liquid film (also below 0 °C), frost point and ice bulb where below 0 °C, Pa
 * Model: Magnus (WMO-No. 8) for saturation; wet bulb by ASHRAE's balance over liquid water at every temperature.
 * psychrolib speaks of ice below 0 °C and stands on another saturation formula, so that close to saturation its bulb
 * could fall below this dew point; the two agree within 0.05 °C where the conventions meet (tested).
 * @throws FieldError naming the field out of range; a humidity of exactly 0 has no dew point and is out of range
 * @example humidAir({ airTempC: 20, relHumidityFraction: 0.5 }).dewPointC // 9.26
 */
export function humidAir({ airTempC, relHumidityFraction, pressureHpa = 1013.25 }: HumidAirInput): HumidAir {
  requireInRange('humidAir', { airTempC }, { min: -60, max: 60, unit: '°C' });
  requireInRange('humidAir', { relHumidityFraction }, { min: 0.001, max: 1, unit: '(fraction)' });
  requireInRange('humidAir', { pressureHpa }, { min: 500, max: 1100, unit: 'hPa' });
  const vapourPressurePa = relHumidityFraction * saturationOverWaterPa(airTempC);
  const pressurePa = pressureHpa * 100;
  const state: BulbState = {
    airTempC,
    humidityRatio: psychrolib.GetHumRatioFromVapPres(vapourPressurePa, pressurePa),
    pressurePa,
  };
  const dewPointC = dewPointOverWaterC(vapourPressurePa);
  const frostC = frostPointC(vapourPressurePa);
  return {
    dewPointC,
    frostPointC: frostC < 0 ? frostC : null,
    wetBulbC: liquidBulbC(state),
    iceBulbC: iceBulb(state),
    vapourPressurePa,
  };
}
