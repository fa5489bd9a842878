import type { ErrorBody, ImportMode } from '@keen/core';
import { BadRequestException } from '@nestjs/common';

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
