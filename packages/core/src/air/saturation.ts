import { VAPOUR_GAS_CONSTANT, ZERO_C_IN_K } from '../quantity/index.js';
/**
 * Saturation vapour pressure over liquid water, in Pa; below 0 °C over supercooled water.
 * WMO Magnus form, WMO-No. 8 (2018) annex 4.B. Valid −45 to 60 °C, within 0.3 % of Murphy & Koop 2005 to −40 °C.
 *
 * @example saturationOverWaterPa(0) // 611.2
 */
export const saturationOverWaterPa = (tempC: number): number =>
  611.2 * Math.exp((17.62 * tempC) / (243.12 + tempC));

/**
 * Saturation vapour pressure over ice, in Pa. WMO Magnus form, valid −65 to 0 °C.
 *
 * @example saturationOverIcePa(-10) // about 260
 */
export const saturationOverIcePa = (tempC: number): number =>
  611.2 * Math.exp((22.46 * tempC) / (272.62 + tempC));

/**
 * Dew point over liquid water of a vapour pressure: the Magnus form turned round.
 *
 * @param vapourPressurePa above 0
 */
export function dewPointOverWaterC(vapourPressurePa: number): number {
  const ln = Math.log(vapourPressurePa / 611.2);
  return (243.12 * ln) / (17.62 - ln);
}

/** Frost point of a vapour pressure: the Magnus form over ice turned round. Meaningful below 0 °C. */
export function frostPointC(vapourPressurePa: number): number {
  const ln = Math.log(vapourPressurePa / 611.2);
  return (272.62 * ln) / (22.46 - ln);
}

/** Density of water vapour at a pressure and temperature, kg/m³ (ideal gas). */
export const vapourDensityKgPerM3 = (vapourPressurePa: number, tempC: number): number =>
  vapourPressurePa / (VAPOUR_GAS_CONSTANT * (tempC + ZERO_C_IN_K));

/** Relative humidity over liquid water (0–1) of air at a temperature with a given dew point over water. */
export const humidityFromDewPoint = (airTempC: number, dewPointC: number): number =>
  Math.min(1, saturationOverWaterPa(dewPointC) / saturationOverWaterPa(airTempC));

/** Dew point over liquid water of air at a temperature with a given relative humidity over water (above 0). */
export const dewPointFromHumidity = (airTempC: number, relHumidityFraction: number): number =>
  dewPointOverWaterC(relHumidityFraction * saturationOverWaterPa(airTempC));
