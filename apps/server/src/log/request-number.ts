import { AsyncLocalStorage } from 'node:async_hooks';
import { randomBytes } from 'node:crypto';
import type { NextFunction, Request, Response } from 'express';

const storage = new AsyncLocalStorage<string>();

/** The number of the request that is being answered; null: none is. */
export const requestNumber = (): string | null => storage.getStore() ?? null;

/** Gives each request a number, by which its lines in the log are found; the answer carries it as `x-request-id`. */
export function numbered(_request: Request, response: Response, next: NextFunction): void {
  const number = randomBytes(4).toString('hex');
  response.setHeader('x-request-id', number);
  storage.run(number, next);
}
