import type { ErrorBody } from '@keen/core';
import type { RequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';

const WINDOW_MS = 15 * 60_000;

/**
 * Lets nobody guess a secret: so many wrong ones from one machine, and it has to wait.
 *
 * @param what is guessed, in the plural, and its field
 * @param most wrong guesses within a quarter of an hour; right ones are not counted
 */
export const fewGuesses = (
  { what, field }: { readonly what: string; readonly field: string },
  most = 20,
): RequestHandler =>
  rateLimit({
    windowMs: WINDOW_MS,
    limit: most,
    skipSuccessfulRequests: true,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    // It listens on its own machine, or behind a proxy that is the only one it hears.
    validate: { xForwardedForHeader: false, forwardedHeader: false },
    handler: (_request, response) => {
      const body: ErrorBody = {
        error: {
          code: 'too-many-guesses',
          field,
          message: `Too many wrong ${what} from this machine; wait a quarter of an hour.`,
        },
      };
      response.status(429).json(body);
    },
  });
