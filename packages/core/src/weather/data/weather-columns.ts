import type { WeatherReading } from '../weather-reading.js';

export type WeatherQuantity = Exclude<keyof WeatherReading, 'atMs'> | 'relHumidity';

/** One way to write a column of hourly weather: the unit is the last word of its name. */
export interface WeatherColumn {
  readonly name: string;
  readonly quantity: WeatherQuantity;
  readonly unit: string;
  /** Range of the column's own unit; what lies outside is a slip. */
  readonly min: number;
  readonly max: number;
  /** To the field's unit: value × scale + offset. */
  readonly scale: number;
  readonly offset: number;
}

const F_TO_C = { scale: 5 / 9, offset: -160 / 9 };
const AS_IS = { scale: 1, offset: 0 };
const times = (scale: number) => ({ scale, offset: 0 });

/**
 * Columns of an hourly table and keys of an hour in JSON; conversions are exact by definition of the units (knot 1852 m an hour,
 * mile 1609.344 m, inch 25.4 mm, inch of mercury 33.8639 hPa). Ranges: the coldest and hottest air ever measured, with some in hand.
 */
export const WEATHER_COLUMNS = [
  { name: 'airTempC', quantity: 'airTempC', unit: '°C', min: -70, max: 50, ...AS_IS },
  { name: 'airTempF', quantity: 'airTempC', unit: '°F', min: -94, max: 122, ...F_TO_C },
  { name: 'dewPointC', quantity: 'dewPointC', unit: '°C', min: -80, max: 35, ...AS_IS },
  { name: 'dewPointF', quantity: 'dewPointC', unit: '°F', min: -112, max: 95, ...F_TO_C },
  { name: 'relHumidityPercent', quantity: 'relHumidity', unit: '%', min: 1, max: 100, ...times(0.01) },
  { name: 'relHumidityFraction', quantity: 'relHumidity', unit: '0–1', min: 0.01, max: 1, ...AS_IS },
  { name: 'windMetresPerSecond', quantity: 'windMetresPerSecond', unit: 'm/s', min: 0, max: 75, ...AS_IS },
  { name: 'windKmh', quantity: 'windMetresPerSecond', unit: 'km/h', min: 0, max: 270, ...times(1 / 3.6) },
  { name: 'windMph', quantity: 'windMetresPerSecond', unit: 'mph', min: 0, max: 168, ...times(0.44704) },
  { name: 'windKnots', quantity: 'windMetresPerSecond', unit: 'kn', min: 0, max: 146, ...times(1852 / 3600) },
  { name: 'gustMetresPerSecond', quantity: 'gustMetresPerSecond', unit: 'm/s', min: 0, max: 110, ...AS_IS },
  { name: 'gustKmh', quantity: 'gustMetresPerSecond', unit: 'km/h', min: 0, max: 396, ...times(1 / 3.6) },
  { name: 'gustMph', quantity: 'gustMetresPerSecond', unit: 'mph', min: 0, max: 246, ...times(0.44704) },
  { name: 'gustKnots', quantity: 'gustMetresPerSecond', unit: 'kn', min: 0, max: 214, ...times(1852 / 3600) },
  { name: 'windFromDeg', quantity: 'windFromDeg', unit: '° from north', min: 0, max: 360, ...AS_IS },
  { name: 'cloudPercent', quantity: 'cloudFraction', unit: '%', min: 0, max: 100, ...times(0.01) },
  { name: 'cloudFraction', quantity: 'cloudFraction', unit: '0–1', min: 0, max: 1, ...AS_IS },
  { name: 'cloudOktas', quantity: 'cloudFraction', unit: 'eighths', min: 0, max: 8, ...times(1 / 8) },
  { name: 'precipMm', quantity: 'precipMm', unit: 'mm in the hour', min: 0, max: 120, ...AS_IS },
  { name: 'precipInches', quantity: 'precipMm', unit: 'in in the hour', min: 0, max: 4.7, ...times(25.4) },
  { name: 'snowDepthCm', quantity: 'snowDepthCm', unit: 'cm', min: 0, max: 1200, ...AS_IS },
  { name: 'snowDepthInches', quantity: 'snowDepthCm', unit: 'in', min: 0, max: 470, ...times(2.54) },
  { name: 'pressureHpa', quantity: 'pressureHpa', unit: 'hPa', min: 500, max: 1100, ...AS_IS },
  { name: 'pressureInHg', quantity: 'pressureHpa', unit: 'inHg', min: 14.8, max: 32.5, ...times(33.8639) },
] as const satisfies readonly WeatherColumn[];
