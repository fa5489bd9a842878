import type { WeatherHour } from './weather-hour.js';
import type { WeatherReading } from './weather-reading.js';

/** A forecast as a source told it: hours may be missing, and fields of hours. */
export interface ForecastRun {
  readonly issuedMs: number;
  readonly source: string;
  /** The most likely course first, then the members that spread around it, each in order of time. */
  readonly members: readonly (readonly WeatherReading[])[];
}

/** A forecast in which no field is missing. */
export interface WholeRun extends ForecastRun {
  readonly members: readonly (readonly WeatherHour[])[];
}
