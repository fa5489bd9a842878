import type { WashColumns, WashLine } from '../log/index.js';
import type { CarColumns, CarLine } from '../vehicle/index.js';

/** What is wrong with one line of a file. */
export interface LineFault {
  readonly line: number;
  readonly field: string;
  readonly message: string;
}

/** What an import found, line by line, and what it kept. */
export interface ImportReport<T> {
  readonly good: readonly T[];
  readonly faults: readonly LineFault[];
  /** False: only looked at, or turned down because of a fault. */
  readonly kept: boolean;
  /** What was read and left out, in words. */
  readonly notes?: readonly string[];
}

export const IMPORT_MODES = ['look', 'all-or-nothing', 'good-lines'] as const;

/** `look`: report only. `all-or-nothing`: keep if there is no fault. `good-lines`: keep what is good. */
export type ImportMode = (typeof IMPORT_MODES)[number];

/** What came in with a list of cars, so that it can be taken out again. */
export interface CarsMade {
  readonly vehicleIds: readonly string[];
  readonly customerIds: readonly string[];
}

/** A list of cars, with its headings and how they were understood. */
export interface CarListReport extends ImportReport<CarLine> {
  readonly headings: readonly string[];
  readonly columns: CarColumns;
  /** null: nothing was kept. */
  readonly made: CarsMade | null;
}

/** What came in with a list of old washes, so that it can be taken out again. */
export interface WashesMade {
  readonly washIds: readonly string[];
}

/** What a list of old washes holds, and what was kept of it. */
export interface WashListReport extends ImportReport<WashLine> {
  readonly headings: readonly string[];
  readonly columns: WashColumns;
  /** null: nothing was kept. */
  readonly made: WashesMade | null;
}
