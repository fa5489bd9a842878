import type { ErrorBody, Fault } from '@keen/core';
import { BadRequestException, ValidationPipe } from '@nestjs/common';
import type { ValidationError } from 'class-validator';

function faultsOf(errors: readonly ValidationError[], prefix = ''): Fault[] {
  return errors.flatMap((error) => {
    const field = prefix + error.property;
    const own = Object.entries(error.constraints ?? {}).map(([rule, message]): Fault => {
      const unknown = rule === 'whitelistValidation';
      return {
        code: unknown ? 'unknown-field' : error.value === undefined ? 'missing-field' : 'bad-field',
        field,
        message: unknown ? `${field} is not a field here.` : `${prefix}${message}`,
      };
    });
    return [...own, ...faultsOf(error.children ?? [], `${field}.`)];
  });
}

/** Rejects unknown fields and answers with every fault, the first one foremost. */
export const validation = (): ValidationPipe =>
  new ValidationPipe({
    whitelist: true,
    forbidNonWhitelisted: true,
    transform: true,
    exceptionFactory: (errors) => {
      const [first, ...others] = faultsOf(errors);
      const error = first ?? { code: 'bad-request', field: null, message: 'The request is not understood.' };
      return new BadRequestException({ error: { ...error, others } } satisfies ErrorBody);
    },
  });
