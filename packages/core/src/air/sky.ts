import { ZERO_C_IN_K } from '../quantity/index.js';
/**
 * Temperature at which the sky radiates, °C, as an equal black hemisphere.
 *
 * @param sky airTempC, dewPointC over water, cloudFraction 0…1
 * Model: clear emissivity from the dew point, Berdahl & Martin 1984 (their daily mean, without the hour term);
 * cloud ε + (1 − ε)·0.84·N.
 * @example skyTempC({ airTempC: 0, dewPointC: -10, cloudFraction: 0 }) // about -22
 */
export function skyTempC(sky: {
  readonly airTempC: number;
  readonly dewPointC: number;
  readonly cloudFraction: number;
}): number {
  const d = sky.dewPointC / 100;
  const clear = 0.711 + 0.56 * d + 0.73 * d * d;
  const emissivity = clear + (1 - clear) * 0.84 * sky.cloudFraction;
  return (sky.airTempC + ZERO_C_IN_K) * emissivity ** 0.25 - ZERO_C_IN_K;
}
