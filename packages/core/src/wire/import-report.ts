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
