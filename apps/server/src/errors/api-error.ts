import type { ErrorBody } from '@keen/core';
import { BadRequestException, ConflictException, NotFoundException } from '@nestjs/common';

export const badField = (field: string, message: string): BadRequestException =>
  new BadRequestException({ error: { code: 'bad-field', field, message } } satisfies ErrorBody);

export const notFound = (field: string, id: string): NotFoundException =>
  new NotFoundException({
    error: { code: 'not-found', field, message: `There is no ${field} ${id}.` },
  } satisfies ErrorBody);

export const conflict = (field: string, message: string): ConflictException =>
  new ConflictException({ error: { code: 'conflict', field, message } } satisfies ErrorBody);
