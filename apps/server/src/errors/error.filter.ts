import { type ArgumentsHost, Catch, type ExceptionFilter, HttpException, Logger } from '@nestjs/common';
import { FieldError, type ErrorBody } from '@keen/core';
import type { Response } from 'express';
import { requestNumber } from '../log/request-number.js';
import { faultText } from '../db/in-passing.js';

/** Faults of the database file, by the driver's code: status and what to say. */
const DATABASE_FAULTS: readonly {
  readonly match: RegExp;
  readonly status: number;
  readonly code: string;
  readonly message: string;
}[] = [
  {
    match: /SQLITE_FULL|ENOSPC/,
    status: 507,
    code: 'disk-full',
    message:
      'The disk is full, so nothing was saved; what is there can still be read. Make room and try again.',
  },
  {
    match: /SQLITE_READONLY/,
    status: 503,
    code: 'database-read-only',
    message: 'The database file cannot be written to, so nothing was saved.',
  },
  {
    match: /SQLITE_BUSY|SQLITE_LOCKED/,
    status: 503,
    code: 'database-busy',
    message: 'The database is busy with another program. Try again in a moment.',
  },
  {
    match: /CLIENT_CLOSED|SQLITE_CANTOPEN|SQLITE_IOERR|SQLITE_NOTADB|SQLITE_CORRUPT/,
    status: 503,
    code: 'database-closed',
    message: 'The database file cannot be reached. See that it is there, then start the program again.',
  },
];

const CODES: Readonly<Record<number, string>> = {
  400: 'bad-request',
  403: 'forbidden',
  404: 'not-found',
  409: 'conflict',
  413: 'too-large',
};

interface Answer {
  readonly status: number;
  readonly body: ErrorBody;
}

const isErrorBody = (body: unknown): body is ErrorBody =>
  typeof body === 'object' &&
  body !== null &&
  'error' in body &&
  typeof body.error === 'object' &&
  body.error !== null;

function ofHttp(exception: HttpException): Answer {
  const status = exception.getStatus();
  const body = exception.getResponse();
  if (isErrorBody(body)) return { status, body };
  return {
    status,
    body: { error: { code: CODES[status] ?? 'failed', field: null, message: exception.message } },
  };
}

/** By which the fault is found in the log. */
function numberText(): string {
  const number = requestNumber();
  return number === null ? '' : ` In the log it is number ${number}.`;
}

/** Turns anything thrown into a status and the one error shape. */
export function answerFor(exception: unknown): Answer {
  if (exception instanceof HttpException) return ofHttp(exception);
  if (exception instanceof FieldError) {
    return {
      status: 400,
      body: { error: { code: exception.code, field: exception.field, message: exception.message } },
    };
  }
  if (exception instanceof Error && exception.name === 'Cancelled') {
    return { status: 499, body: { error: { code: 'cancelled', field: null, message: exception.message } } };
  }
  if (exception instanceof Error && exception.name === 'Busy') {
    return { status: 503, body: { error: { code: 'busy', field: null, message: exception.message } } };
  }
  const fault = DATABASE_FAULTS.find(({ match }) => match.test(faultText(exception)));
  if (fault)
    return {
      status: fault.status,
      body: { error: { code: fault.code, field: null, message: fault.message } },
    };
  return {
    status: 500,
    body: {
      error: {
        code: 'failed',
        field: null,
        message: `Something went wrong in the program; nothing was changed.${numberText()}`,
      },
    },
  };
}

@Catch()
export class ErrorFilter implements ExceptionFilter {
  private readonly logger = new Logger('errors');

  catch(exception: unknown, host: ArgumentsHost): void {
    const { status, body } = answerFor(exception);
    if (status >= 500)
      this.logger.error(
        exception instanceof Error ? (exception.stack ?? exception.message) : String(exception),
      );
    const response = host.switchToHttp().getResponse<Response>();
    if (!response.headersSent) response.status(status).json(body);
  }
}
