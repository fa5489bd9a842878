import type { ErrorBody } from '@keen/core';
import type { RequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';

const WINDOW_MS = 15 * 60_000;

/**
 * Lets nobody guess a secret address: so many wrong ones from one machine, and it has to wait.
 *
 * @param most wrong guesses within a quarter of an hour; right ones are not counted
 */
export const fewGuesses = (most = 20): RequestHandler =>
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
          field: 'secret',
          message: 'Too many wrong addresses from this machine; wait a quarter of an hour.',
        },
      };
      response.status(429).json(body);
    },
  });
