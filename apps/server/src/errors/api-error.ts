import type { ErrorBody } from '@keen/core';
import { BadRequestException, ConflictException, HttpException, NotFoundException } from '@nestjs/common';

export const badField = (field: string, message: string): BadRequestException =>
  new BadRequestException({ error: { code: 'bad-field', field, message } } satisfies ErrorBody);

export const notFound = (field: string, id: string): NotFoundException =>
  new NotFoundException({
    error: { code: 'not-found', field, message: `There is no ${field} ${id}.` },
  } satisfies ErrorBody);

export const conflict = (field: string, message: string): ConflictException =>
  new ConflictException({ error: { code: 'conflict', field, message } } satisfies ErrorBody);

/** Not let in: 401 for somebody who is not known, 403 for somebody who may not. */
export const turnedAway = (status: 401 | 403, error: ErrorBody['error']): HttpException =>
  new HttpException({ error } satisfies ErrorBody, status);
