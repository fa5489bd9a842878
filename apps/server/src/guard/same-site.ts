import { isIP } from 'node:net';
import type { ErrorBody } from '@keen/core';
import type { NextFunction, Request, Response } from 'express';

/** A request that is turned away, and why. */
export interface Refusal {
  readonly status: 403 | 415;
  readonly error: ErrorBody['error'];
}

/** What of a request tells where it comes from; names of headers in lower case. */
export interface AskedBy {
  readonly method: string;
  readonly headers: Readonly<Record<string, string | string[] | undefined>>;
}

const LOOPBACK_NAMES = ['localhost'];
const READS: ReadonlySet<string> = new Set(['GET', 'HEAD', 'OPTIONS']);
/** A browser says by which kind of page it was asked; `none`: by hand. */
const OWN_SITE: ReadonlySet<string> = new Set(['same-origin', 'none']);
const ACCEPTED = /^(application\/json|image\/[\w.+-]+)\s*(;|$)/i;

const refusal = (status: Refusal['status'], error: Refusal['error']): Refusal => ({ status, error });

/** The name or number in a Host header; null: there is none to read. */
function hostnameOf(host: string | undefined): string | null {
  if (!host) return null;
  try {
    return new URL(`http://${host}`).hostname.replace(/^\[|\]$/g, '');
  } catch {
    return null;
  }
}

const textOf = (value: string | string[] | undefined): string | undefined =>
  Array.isArray(value) ? value[0] : value;

/** A page elsewhere can make a name of its own point here, but not a number. */
const isOurs = (hostname: string | null, names: readonly string[]): boolean =>
  hostname !== null && (isIP(hostname) > 0 || [...LOOPBACK_NAMES, ...names].includes(hostname.toLowerCase()));

/** May a page with this origin change something here? It may if it came from here. */
function isOwnOrigin(origin: string, host: string, names: readonly string[]): boolean {
  try {
    const from = new URL(origin);
    return from.host === host || names.includes(from.hostname.toLowerCase());
  } catch {
    return false;
  }
}

/**
 * Why is this request turned away?
 *
 * @param names under which the server may be asked besides its numbers and `localhost`
 * @returns null where it may pass: asked under one of its names, and where it changes something not by a page from elsewhere and with JSON or
 * an image only
 */
export function refusalOf({ method, headers }: AskedBy, names: readonly string[]): Refusal | null {
  const host = textOf(headers.host);
  if (!isOurs(hostnameOf(host), names))
    return refusal(403, {
      code: 'unknown-host',
      field: 'Host',
      message: `Host is "${host ?? ''}"; this server does not go by that name. Name it in KEEN_HOSTS to allow it.`,
    });
  if (READS.has(method)) return null;
  const site = textOf(headers['sec-fetch-site']);
  const origin = textOf(headers.origin);
  const isForeign =
    (site !== undefined && !OWN_SITE.has(site)) ||
    (origin !== undefined && !isOwnOrigin(origin, host ?? '', names));
  if (isForeign)
    return refusal(403, {
      code: 'foreign-page',
      field: 'Origin',
      message: 'A page from elsewhere may change nothing here.',
    });
  const type = textOf(headers['content-type']);
  const hasBody = headers['transfer-encoding'] !== undefined || Number(headers['content-length'] ?? 0) > 0;
  if ((type !== undefined || hasBody) && !ACCEPTED.test(type ?? ''))
    return refusal(415, {
      code: 'wrong-type',
      field: 'Content-Type',
      message: `Content-Type is "${type ?? ''}"; only application/json and images are taken.`,
    });
  return null;
}

/** Turns away what pages from elsewhere send, before anything of it is read. */
export const sameSiteOnly =
  (names: readonly string[]) =>
  (request: Request, response: Response, next: NextFunction): void => {
    const refused = refusalOf(request, names);
    if (refused) response.status(refused.status).json({ error: refused.error });
    else next();
  };
