import type { TreatmentRecord } from './records.js';
import type { MergedHour, WeatherHour } from '../weather/index.js';

/** What is kept of one source. */
export interface KeptOfSource {
  readonly source: string;
  readonly measuredHours: number;
  readonly firstMs: number | null;
  readonly lastMs: number | null;
  readonly issuedMs: number | null;
}

/** One coming hour with how far the members spread. */
export interface ForecastHour extends WeatherHour {
  readonly lowTempC: number;
  readonly highTempC: number;
}

export interface WeatherAnswer {
  readonly source: string;
  readonly issuedMs: number;
  readonly memberCount: number;
  /** The first hour to come. */
  readonly fromMs: number;
  /** Hours that are known. */
  readonly past: readonly WeatherHour[];
  readonly ahead: readonly ForecastHour[];
  /** Which source gave each hour, and what is missing where it is not known. */
  readonly hourSources: readonly (Omit<MergedHour, 'hour'> & { readonly atMs: number })[];
}

export interface WeatherSourceView extends KeptOfSource {
  readonly isStation: boolean;
  /** Place in the order of trust, from 0; null: it does not count. */
  readonly rank: number | null;
  readonly memberCount: number;
}

export interface Bulletins {
  readonly authority: string;
  readonly treatments: readonly TreatmentRecord[];
}

/** A bulletin that was kept, and whether it came after the fact, so that the salt was worked out again from there. */
export interface KeptBulletin extends TreatmentRecord {
  readonly isLate: boolean;
}
