import type { ErrorBody, ImportMode, LineFault } from '@keen/core';
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

/** Who has so many wants another file, not a longer list. */
const MOST_FAULTS = 100;

/** The first hundred faults, and how many more there are. */
export const reported = (faults: readonly LineFault[]): LineFault[] => {
  const more = faults.length - MOST_FAULTS;
  const told = faults.slice(0, MOST_FAULTS);
  const last = told.at(-1);
  if (more <= 0 || !last) return told;
  const rest = `And ${more} more ${more === 1 ? 'is' : 'are'} wrong after this.`;
  return [...told, { line: last.line, field: last.field, message: rest }];
};
