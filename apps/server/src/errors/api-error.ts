import { BadRequestException, ConflictException, NotFoundException } from '@nestjs/common';

/** One fault of a request. */
export interface Fault {
  readonly code: string;
  readonly field: string | null;
  readonly message: string;
}

/** The one shape of every error that the program answers with. */
export interface ErrorBody {
  readonly error: Fault & { readonly others?: readonly Fault[] };
}

export const badField = (field: string, message: string): BadRequestException =>
  new BadRequestException({ error: { code: 'bad-field', field, message } } satisfies ErrorBody);

export const notFound = (field: string, id: string): NotFoundException =>
  new NotFoundException({
    error: { code: 'not-found', field, message: `There is no ${field} ${id}.` },
  } satisfies ErrorBody);

export const conflict = (field: string, message: string): ConflictException =>
  new ConflictException({ error: { code: 'conflict', field, message } } satisfies ErrorBody);
