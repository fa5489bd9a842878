import type { Request } from 'express';

/** Aborts when the one who asked has hung up before the answer was sent. */
export function whenGone(request: Request): AbortSignal {
  const gone = new AbortController();
  request.res?.on('close', () => {
    if (!request.res?.writableEnded) gone.abort();
  });
  return gone.signal;
}
