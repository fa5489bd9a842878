import { BadRequestException } from '@nestjs/common';
import type { ErrorBody } from '../errors/api-error.js';

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
}

export const IMPORT_MODES = ['look', 'all-or-nothing', 'good-lines'] as const;
/** `look`: report only. `all-or-nothing`: keep if there is no fault. `good-lines`: keep what is good. */
export type ImportMode = (typeof IMPORT_MODES)[number];

/** Whether this mode keeps what was found. */
export const keeps = (
  mode: ImportMode,
  found: { good: readonly unknown[]; faults: readonly unknown[] },
): boolean =>
  mode !== 'look' && found.good.length > 0 && (mode === 'good-lines' || found.faults.length === 0);

/** The file as a whole cannot be read. */
export const unreadable = (message: string, line?: number): BadRequestException =>
  new BadRequestException({
    error: { code: 'unreadable-file', field: line === undefined ? 'text' : `line ${line}`, message },
  } satisfies ErrorBody);
