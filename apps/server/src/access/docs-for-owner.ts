import type { ErrorBody } from '@keen/core';
import type { RequestHandler } from 'express';
import type { AccessService } from './access.service.js';

/** The API's description is the owner's to read, as what it describes is the owner's to do. */
export const docsForOwner =
  (access: AccessService): RequestHandler =>
  (request, response, next) => {
    const look = async (): Promise<void> => {
      const isOwner =
        (await access.isOpen()) || (await access.recognise(request.headers)).who?.role === 'owner';
      if (isOwner) return next();
      const body: ErrorBody = {
        error: { code: 'not-signed-in', field: null, message: 'Sign in as the owner to read this.' },
      };
      response.status(401).json(body);
    };
    look().catch(next);
  };
