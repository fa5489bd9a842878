import type { ErrorBody, Fault } from '@keen/core';
import { isDeepStrictEqual } from 'node:util';
import { ConflictException } from '@nestjs/common';
import { IsObject } from 'class-validator';
import { MayBeAbsent } from './not-null.js';

/** What a form that changes a record read of the fields it changes, so that a change meanwhile is not overwritten unseen. */
export class ReadBeforeDto {
  @MayBeAbsent() @IsObject() was?: Record<string, unknown>;
}

/** As it travels: what is absent is null, and nothing is a class. */
const plain = (value: unknown): unknown => (value === undefined ? null : JSON.parse(JSON.stringify(value)));

/**
 * Is the record still what the form read?
 *
 * @param was the fields that are to change, as they were read; absent: the sender does not mind. Fields that the record does not have
 *   are passed over
 * @throws 409 with a fault for each field that somebody changed meanwhile, and both values
 */
export function requireUnchanged(record: object, was: Record<string, unknown> | undefined): void {
  const now = new Map(Object.entries(record));
  const faults = Object.entries(was ?? {}).flatMap(([field, value]): Fault[] => {
    const here = plain(now.get(field));
    if (!now.has(field) || isDeepStrictEqual(here, plain(value))) return [];
    return [
      {
        code: 'changed-meanwhile',
        field,
        message: `${field} was changed meanwhile: it was ${JSON.stringify(value)} when you opened this, and is ${JSON.stringify(here)} now.`,
      },
    ];
  });
  const [first, ...others] = faults;
  if (first) throw new ConflictException({ error: { ...first, others } } satisfies ErrorBody);
}
