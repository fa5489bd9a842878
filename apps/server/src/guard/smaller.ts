import compression from 'compression';
import type { Request, RequestHandler, Response } from 'express';

/** News come as they happen; packed they would wait for each other. */
const isNews = (response: Response): boolean =>
  String(response.getHeader('content-type') ?? '').startsWith('text/event-stream');

/** Compresses text for clients that accept it. */
export const smaller = (): RequestHandler =>
  compression({
    filter: (request: Request, response: Response) =>
      !isNews(response) && compression.filter(request, response),
  });
